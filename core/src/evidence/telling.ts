import { MEDIUM_VIEWS, type View } from '../view/index.ts';
import { standingOf, type Standing, type Vocabulary } from '../vocabulary/index.ts';
import { characterEvidence } from './bhattacharyya.ts';
import { dissimilarity } from './dissimilarity.ts';
import { LEAVES_PRESENT } from './leaves.ts';
import type { ProfiledTaxon, ReadingOptions } from './profiled.ts';
import { readingsOf, type Readings } from './readings.ts';

/** So many of the species most like it decide what is worth seeing of a tree. */
const RIVALS = 5;
/** Days that together show every part of a tree: in full leaf; in flower; in ripe fruit; bare. */
const SEASONS = [196, 125, 275, 20];
const WORTH: Record<Standing, number> = { mark: 1, second: 0.4, supporting: 0.1 };

const onDay = (day: number): View => ({
  ...MEDIUM_VIEWS.livingTree,
  organs: ['bark', 'twig', 'bud', 'leaf', 'flower', 'fruit'],
  day,
  qualifiers: { plantAge: 'mature' },
});

/**
 * What each character does to tell a species from those of its list most like it, in the season that shows it best: the mean of
 * `1 − e^(−evidence)` over the five nearest, weighed by its standing. One map a species, by id of the character, in the order of the
 * vocabulary; characters that tell nothing are left out. Supporting characters and site are not asked.
 *
 * @example
 * tellingCharacters(list, BUILT_IN)[0]; // Map { 'needle.perBundle' → 0.9, 'cone.armed' → 0.4, … }
 */
export function tellingCharacters(
  list: readonly ProfiledTaxon[],
  vocabulary: Vocabulary,
  options: ReadingOptions = {},
): ReadonlyMap<string, number>[] {
  const marks = new Map(
    [...vocabulary].filter(
      ([id, character]) => id !== LEAVES_PRESENT && standingOf(character) !== 'supporting',
    ),
  );
  const seasons = SEASONS.map((day) => readingsOf(list, marks, onDay(day), options));
  return list.map((_, t) => {
    const rivals = nearestTo(seasons[0]!, t);
    const held = new Map<string, number>();
    for (const readings of seasons)
      for (const [id, each] of tellingOf(readings, t, rivals))
        held.set(id, Math.max(each, held.get(id) ?? 0));
    return held;
  });
}

/**
 * The species most like one, nearest first. By the mean over what both have, not by the sum: two trees that share few characters, a pine and
 * a poplar, would else be near.
 */
function nearestTo(readings: Readings, t: number): number[] {
  const unlike = readings.taxa.map((_, r) => dissimilarity(readings, t, r));
  return [...unlike.keys()]
    .filter((r) => r !== t)
    .sort((x, y) => unlike[x]! - unlike[y]!)
    .slice(0, RIVALS);
}

/** What each character that can be seen does to tell a species from its rivals: the mean of `1 − e^(−evidence)`, by its standing. */
function tellingOf(readings: Readings, t: number, rivals: readonly number[]): Map<string, number> {
  const found = new Map<string, number>();
  const { genus } = readings.taxa[t]!.taxon;
  for (const [id, channels] of readings.channels) {
    const told = rivals.reduce((all, r) => {
      const evidence = characterEvidence(channels, t, r)?.evidence ?? 0;
      return all + 1 - Math.exp(-evidence);
    }, 0);
    if (told > 0)
      found.set(id, (WORTH[standingOf(channels[0]!.character, genus)] * told) / Math.max(1, rivals.length));
  }
  return found;
}
