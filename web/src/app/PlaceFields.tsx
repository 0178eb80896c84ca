import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { useQueryClient } from '@tanstack/react-query';
import { lazy, Suspense, useEffect, useState } from 'react';
import type { Axis } from '@hurrow/core/range';
import { placeDoubt } from './placeDoubt.ts';
import { elevationDoubt, putOnMap, readPlace, whereOneStands, type WrittenPlace } from './writtenPlace.ts';
import styles from './place.module.css';
import { LinkButton, Opening } from './parts.tsx';

const SiteMap = lazy(() => import('../range/SiteMap.tsx'));

const AXES: [Axis, string][] = [
  ['latitude', t`Latitude`],
  ['longitude', t`Longitude`],
];

/**
 * Latitude, longitude and elevation as people write them, with the state or country that they come to. A place at sea, or far from where the
 * library's trees grow, is questioned, never refused.
 */
export function PlaceFields({
  place,
  onChange,
  farFrom,
}: {
  place: WrittenPlace;
  onChange(place: WrittenPlace): void;
  /** Kilometers from a place to the nearest range of the library, where any are recorded. */
  farFrom?: (place: { latitude: number; longitude: number }) => number | undefined;
}) {
  const read = readPlace({ ...place, elevation: '0' });
  const [said, setSaid] = useState<{ text: string; repair?: string }>();
  const [latitude, longitude] = 'problem' in read ? [undefined, undefined] : [read.latitude, read.longitude];
  const queries = useQueryClient();
  useEffect(() => {
    if (latitude === undefined || longitude === undefined) return;
    let current = true;
    // The map of the world comes only when there is a place to look up; without it the place is not doubted.
    void Promise.all([import('@hurrow/core/map'), import('../range/atlasQuery.ts')])
      .then(async ([{ placeName }, { atlasQuery }]) => {
        const atlas = await queries.fetchQuery(atlasQuery);
        const name = (long: number, lat: number) => placeName(atlas, long, lat);
        if (current) setSaid(placeDoubt({ latitude, longitude }, name, farFrom?.({ latitude, longitude })));
      })
      .catch(() => undefined);
    return () => {
      current = false;
    };
  }, [latitude, longitude, farFrom, queries]);
  return (
    <div className={styles['place']}>
      {AXES.map(([axis, title]) => (
        <label key={axis}>
          <span>{title}</span>
          <input
            value={place[axis]}
            placeholder={axis === 'latitude' ? '47.6 N' : '116.4 W'}
            onChange={(event) => onChange({ ...place, [axis]: event.target.value })}
          />
        </label>
      ))}
      <label>
        <span>
          <Trans>Elevation, m</Trans>
        </span>
        <input
          inputMode="decimal"
          value={place.elevation}
          onChange={(event) => onChange({ ...place, elevation: event.target.value })}
        />
      </label>
      <Finding place={place} onChange={onChange} />
      <p aria-live="polite" className={said?.repair === undefined ? 'quiet' : 'gold'}>
        {'problem' in read
          ? (place.latitude || place.longitude) && read.problem
          : said && (
              <>
                {said.text}{' '}
                {said.repair && (
                  <LinkButton onClick={() => onChange({ ...place, longitude: said.repair! })}>
                    <Trans>Take {said.repair}</Trans>
                  </LinkButton>
                )}
              </>
            )}
      </p>
    </div>
  );
}

/** Where a map begins on which nothing is written yet. */
const NOWHERE_YET = { latitude: 40, longitude: -100 };

/** Other ways to a place than typing it: from a map, or from where one stands. */
function Finding({ place, onChange }: { place: WrittenPlace; onChange(place: WrittenPlace): void }) {
  const [onMap, setOnMap] = useState(false);
  const [said, setSaid] = useState<string>();
  const read = readPlace({ ...place, elevation: '0' });
  const change = (next: WrittenPlace) => {
    setSaid((held) => elevationDoubt(place, next) ?? (next.elevation === place.elevation ? held : undefined));
    onChange(next);
  };
  const standing = () => {
    setSaid(t`Asking this device where it is…`);
    navigator.geolocation.getCurrentPosition(
      ({ coords }) => {
        setSaid(undefined);
        change(whereOneStands(place, coords));
      },
      () => setSaid(t`This device does not say where it is. Choose the place on the map, or type it.`),
      { enableHighAccuracy: true, timeout: 20_000 },
    );
  };
  return (
    <div className={styles['finding']}>
      <LinkButton onClick={() => setOnMap(!onMap)}>
        {onMap ? t`Put the map away` : t`Choose on a map`}
      </LinkButton>
      {'geolocation' in navigator && (
        <LinkButton onClick={standing}>
          <Trans>Take where I stand</Trans>
        </LinkButton>
      )}
      {onMap && (
        <Suspense
          fallback={
            <Opening>
              <Trans>Opening the map…</Trans>
            </Opening>
          }
        >
          <SiteMap
            place={'problem' in read ? NOWHERE_YET : read}
            onPlace={(found) => change(putOnMap(place, found))}
          />
        </Suspense>
      )}
      {said && <p className="gold">{said}</p>}
    </div>
  );
}
