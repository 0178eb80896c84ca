import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { useState } from 'react';
import { growsHere, growsHereInWords, type RangeCells } from '@hurrow/core/range';
import { commonName, type Taxon } from '@hurrow/core/taxon';
import { placeAsked, type WrittenPlace } from './placeAsked.ts';
import styles from './range.module.css';
import { writtenAs } from '../language/inWords.ts';
import { RANGE_WORDS } from './rangeWords.ts';

export interface Elevations {
  low: number | undefined;
  high: number | undefined;
}

const PARTS = { latitude: t`latitude`, longitude: t`longitude`, elevation: t`elevation` };

/** Asks of a place whether the taxon grows there. */
export function GrowsHere({
  taxon,
  cells,
  elevation,
  site,
}: {
  taxon: Taxon;
  cells: RangeCells;
  elevation: Elevations;
  site: { latitude: number; longitude: number; elevation: number } | undefined;
}) {
  const [place, setPlace] = useState<WrittenPlace>();
  const written = place ?? {
    latitude: String(site?.latitude ?? ''),
    longitude: String(site?.longitude ?? ''),
    elevation: String(site?.elevation ?? ''),
  };
  const asked = placeAsked(written);
  return (
    <>
      <h2>
        <Trans>Does it grow here?</Trans>
      </h2>
      <div className={styles['place-line']}>
        {(['latitude', 'longitude', 'elevation'] as const).map((part) => (
          <label key={part}>
            {PARTS[part]}
            <input
              inputMode="decimal"
              value={written[part]}
              onChange={(event) => setPlace({ ...written, [part]: event.target.value })}
            />
          </label>
        ))}
      </div>
      <p role="status">
        {asked
          ? growsHereInWords(growsHere(asked, cells, elevation), commonName(taxon), RANGE_WORDS)
          : t`Write latitude and longitude in degrees, such as 47.6 and -116.4, and the elevation in meters.`}
      </p>
      {elevation.low !== undefined && elevation.high !== undefined && (
        <p className="quiet">
          <Trans>
            Recorded from {elevation.low.toLocaleString(writtenAs('en-US'))} to{' '}
            {elevation.high.toLocaleString(writtenAs('en-US'))} m.
          </Trans>
        </p>
      )}
    </>
  );
}
