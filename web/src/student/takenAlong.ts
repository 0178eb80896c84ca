import { t } from '@lingui/core/macro';
import type { Sitting } from '@hurrow/contract/sitting';
import type { TakenStore } from './takenStore.ts';

/** Pictures asked for at once. */
const TOGETHER = 4;

/** How much of the pictures of all open quizzes is on this phone. */
export interface Along {
  of: number;
  here: number;
  /** The last try got nothing. */
  stuck: boolean;
}

/** Stations of open quizzes that are looked at on the phone. */
export const pictured = (sitting: Pick<Sitting, 'open'>): string[] =>
  sitting.open.flatMap(({ stations }) => stations.filter(({ drawn }) => drawn).map(({ id }) => id));

/**
 * Brings the pictures of all open quizzes onto the phone, and drops those of quizzes that are closed.
 *
 * @param fetchPicture rejects where it cannot be had now
 * @param tell called with each picture that has come
 */
export async function takeAlong(
  store: TakenStore,
  sitting: Sitting,
  fetchPicture: (stationId: string) => Promise<Blob>,
  tell: (along: Along) => void,
): Promise<void> {
  const wanted = pictured(sitting);
  const held = new Set(await store.pictures());
  await store.dropPictures([...held].filter((id) => !wanted.includes(id)));
  const missing = wanted.filter((id) => !held.has(id));
  let here = wanted.length - missing.length;
  let stuck = false;
  tell({ of: wanted.length, here, stuck });
  const next = async (): Promise<void> => {
    for (let id = missing.shift(); id !== undefined && !stuck; id = missing.shift()) {
      try {
        await store.keepPicture(id, await fetchPicture(id));
        here += 1;
      } catch {
        stuck = true;
      }
      tell({ of: wanted.length, here, stuck });
    }
  };
  await Promise.all(Array.from({ length: TOGETHER }, next));
}

/**
 * What is said of it: nothing where there is no picture to take.
 *
 * @example
 * alongInWords({ of: 20, here: 7, stuck: false }); // '7 of 20 pictures are on this phone. Stay in the signal until all are.'
 */
export function alongInWords({ of, here, stuck }: Along): string {
  if (of === 0) return '';
  if (here === of) return t`Everything is on this phone: it works without a signal.`;
  return stuck
    ? t`${here} of ${of} pictures are on this phone. Without a signal the others cannot be seen; they are fetched when there is one.`
    : t`${here} of ${of} pictures are on this phone. Stay in the signal until all are.`;
}
