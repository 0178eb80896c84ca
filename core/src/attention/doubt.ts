import { attendedOf } from './overlooked.ts';
import { tellingsOf } from './told.ts';

/** Log odds with which an ordinary character is looked at, where it is not worked out: eight of some thirty. */
const ORDINARY = -1;

/** One answer to “what did you go by”, by the ids of characters. */
export interface ToldById {
  offered: readonly string[];
  told: readonly string[];
}

/**
 * How doubtful it still is whether a class passes each character over, by what its students said they went by: 1 where it is as likely as not, or nothing
 * was said of it; near 0 where it is settled. (Four times the variance of what is true or not.)
 *
 * @returns 0–1 by id, of those that were offered
 * @example
 * doubtsOf([{ offered: ['bud.resin', 'bud.shape'], told: ['bud.shape'] }, …]); // { 'bud.resin': 0.98, 'bud.shape': 0.1 }
 */
export function doubtsOf(reports: readonly ToldById[]): Record<string, number> {
  const ids = [...new Set(reports.flatMap(({ offered }) => offered))].sort();
  const place = new Map(ids.map((id, c) => [id, c]));
  const placesOf = (some: readonly string[]) => some.flatMap((id) => place.get(id) ?? []);
  const tellings = tellingsOf(
    ids.length,
    reports.map(({ offered, told }) => ({ offered: placesOf(offered), told: placesOf(told) })),
  );
  const attended = attendedOf(
    tellings.map((told) => ({ told })),
    ORDINARY,
  );
  return Object.fromEntries(
    ids.map((id, c) => {
      const { overlooked } = attended[c]!;
      return [id, 4 * overlooked * (1 - overlooked)];
    }),
  );
}
