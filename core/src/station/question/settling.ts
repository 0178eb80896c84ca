import type { Contrast } from '../../evidence/index.ts';
import { TELLS } from '../../evidence/index.ts';
import { SHOWN_BY, type Vocabulary } from '../../vocabulary/index.ts';

/** Characters to choose from when one says what tells two trees apart. */
const SETTLERS = 4;

/**
 * Which character tells two trees apart, among such as do not: one that does, and up to three that both share, of the same organ first so that the
 * organ does not give it away. In an order by lot.
 *
 * @param made what tells the two apart in what is shown
 * @param random a draw from 0 to 1
 * @returns ids of characters to choose from and all that are right; undefined where nothing decides, or too little is shared to choose from
 * @example
 * settlersOf(contrast(list, 'abies-grandis', 'abies-lasiocarpa', BUILT_IN, view), BUILT_IN, Math.random);
 * // { characters: ['bud.resin', 'needle.bands', 'twig.hair', 'scar.peg'], right: ['needle.bands', 'needle.lie'] }
 */
export function settlersOf(
  made: Contrast,
  vocabulary: Vocabulary,
  random: () => number,
): { characters: string[]; right: string[] } | undefined {
  if (made.deciding.length === 0) return undefined;
  const right = made.ranked.filter(({ evidence }) => evidence >= TELLS).map(({ characterId }) => characterId);
  const first = made.said.find((id) => right.includes(id));
  const organOf = (id: string) => SHOWN_BY[vocabulary.get(id)!.organ];
  const agreeing = byLot(
    made.agreeing.filter((id) => !vocabulary.get(id)?.derived),
    random,
  ).sort(
    (x, y) =>
      Number(organOf(y) === (first && organOf(first))) - Number(organOf(x) === (first && organOf(first))),
  );
  if (!first || agreeing.length < 2) return undefined;
  return { characters: byLot([first, ...agreeing.slice(0, SETTLERS - 1)], random), right };
}

/** In an order by lot. */
export function byLot<T>(many: readonly T[], random: () => number): T[] {
  return many
    .map((one) => ({ one, lot: random() }))
    .sort((a, b) => a.lot - b.lot)
    .map(({ one }) => one);
}
