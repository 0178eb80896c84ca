import { seasonShare, type Calendar } from '../season/index.ts';
import type { View } from '../view/index.ts';
import type { Part, ShownOrgan } from '../vocabulary/index.ts';

/** Characters that are worked out and never scored: whether a specimen is in flower, or in fruit, by the organ that shows it. */
export const BEARING = { 'flower.present': 'flowers', 'fruit.present': 'fruit' } as const;
export type BearingId = keyof typeof BEARING;
export const isBearingId = (id: string): id is BearingId => id in BEARING;

/** Of whole trees in their season this share bears: the young ones do not, nor those of the other sex, nor all in every year. */
const BEARS = 0.8;
/** What a share this near to none is taken for: the tails of a normal are no season. */
const HARDLY_ANY = 0.02;

const SHOWN_ON = { flowers: 'flower', fruit: 'fruit', ripeFruit: 'fruit' } as const;
export type BorneParts = keyof typeof SHOWN_ON;
export const isBorne = (part: Part): part is BorneParts => part in SHOWN_ON;

const isOfNothingElse = (organs: readonly ShownOrgan[], organ: ShownOrgan) =>
  organs.every((each) => each === organ);

/**
 * Share of a taxon's specimens that bear flowers or fruit in a view, 0–1: by its calendar, and of whole trees four in five of those. What was cut
 * to show them shows them; a view of nothing but the fruit is of a fruit. Undefined where the calendar does not say.
 * bearingShare('fruit', { fruitRipe: [{ from: 240, to: 280 }] }, { day: 260, organs: ['habit', 'fruit'] }); // about 0.8
 */
export function bearingShare(
  part: BorneParts,
  calendar: Calendar,
  { day, organs }: Pick<View, 'day' | 'organs'>,
): number | undefined {
  const season = seasonShare(part, calendar, day);
  if (season === undefined) return undefined;
  if (season < HARDLY_ANY) return 0;
  if (isOfNothingElse(organs, SHOWN_ON[part])) return 1;
  const inSeason = season > 1 - HARDLY_ANY ? 1 : season;
  return organs.includes('habit') ? BEARS * inSeason : inSeason;
}
