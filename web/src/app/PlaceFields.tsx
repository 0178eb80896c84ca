import { useQueryClient } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import type { Axis } from '@hurrow/core/range';
import { placeDoubt } from './placeDoubt.ts';
import { readPlace, type WrittenPlace } from './writtenPlace.ts';
import styles from './place.module.css';
import { LinkButton } from './parts.tsx';

const AXES: [Axis, string][] = [
  ['latitude', 'Latitude'],
  ['longitude', 'Longitude'],
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
        <span>Elevation, m</span>
        <input
          inputMode="decimal"
          value={place.elevation}
          onChange={(event) => onChange({ ...place, elevation: event.target.value })}
        />
      </label>
      <p aria-live="polite" className={said?.repair === undefined ? 'quiet' : 'gold'}>
        {'problem' in read
          ? (place.latitude || place.longitude) && read.problem
          : said && (
              <>
                {said.text}{' '}
                {said.repair && (
                  <LinkButton onClick={() => onChange({ ...place, longitude: said.repair! })}>
                    Take {said.repair}
                  </LinkButton>
                )}
              </>
            )}
      </p>
    </div>
  );
}
