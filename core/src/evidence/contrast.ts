import type { Aid, View } from '../view/index.ts';
import { AIDS, SHOWN_TITLES } from '../view/index.ts';
import type { Character, ShownOrgan, Vocabulary } from '../vocabulary/index.ts';
import { midMonth, MONTHS } from '../season/index.ts';
import { pairEvidence, spokenFor, type CharacterEvidence } from './bhattacharyya.ts';
import { idealReaderError, pairError, SETTLED_AT, verdictOf, type Verdict } from './error.ts';
import { readingsOf, type ProfiledTaxon, type ReadingOptions, type Readings, lacking } from './readings.ts';

/** Below this a character says nothing worth showing: the two taxa agree in it. Nats. */
export const AGREES_BELOW = 0.05;
/** How many of the strongest characters are searched for deciding sets. */
const CANDIDATES = 14;

export interface Contrast {
  verdict: Verdict;
  /** Error of the ideal reader with every visible character, 0–½. */
  error: number;
  /** Characters that differ, strongest first. */
  ranked: CharacterEvidence[];
  /** The cheapest set with an error of 2 % at most, cheapest first within it; empty where none exists. */
  deciding: string[];
  decidingError: number;
  agreeing: string[];
  /** Near-duplicates that agree with a stronger character of their group. */
  seconded: { characterId: string; by: string }[];
  /** Characters visible in both but scored for one only. */
  gaps: { characterId: string; missing: 'a' | 'b' }[];
}

/**
 * What tells taxon a from taxon b in a view, given the list that is taught: near-duplicate characters are thinned over the
 * whole list. Throws if either taxon is not in the list.
 */
export function contrast(
  list: readonly ProfiledTaxon[],
  aId: string,
  bId: string,
  vocabulary: Vocabulary,
  view: View,
  options: ReadingOptions = {},
): Contrast {
  const { a, b, readings, all, known, spokenHere, taking } = evidenceOfPair(
    list,
    aId,
    bId,
    vocabulary,
    view,
    options,
  );
  const error = pairError(taking, a, b);
  const ranked = taking.filter((entry) => entry.evidence >= AGREES_BELOW);
  const deciding = decidingSet(ranked, a, b);
  return {
    verdict: verdictOf(error),
    error,
    ranked,
    deciding: deciding.characters.map((entry) => entry.characterId),
    decidingError: deciding.error,
    agreeing: taking.filter((entry) => entry.evidence < AGREES_BELOW).map((entry) => entry.characterId),
    seconded: all.flatMap((entry) => {
      const by = spokenHere(entry.characterId);
      return by && entry.evidence >= AGREES_BELOW ? [{ characterId: entry.characterId, by }] : [];
    }),
    gaps: [...readings.channels.keys()]
      .filter((id) => !known.has(id))
      .flatMap((characterId) => {
        const missing = lacking(readings, characterId, a, b);
        return missing ? [{ characterId, missing } as const] : [];
      }),
  };
}

const DISTANCE_COST: Record<Character['distance'], number> = {
  afar: 1,
  binoculars: 1.5,
  arm: 1,
  hand: 1,
  lens: 1.6,
  cut: 2.5,
};
const SENSE_COST: Record<Character['sense'], number> = { eye: 1, touch: 1.1, smell: 1.4 };
const LEVEL_COST: Record<Character['level'], number> = { beginner: 1, intermediate: 1.25, advanced: 1.6 };

/** What looking at a character costs a student: it grows with distance, aids and level. A plain sight costs 1. */
export const lookingCost = (character: Character): number =>
  DISTANCE_COST[character.distance] * SENSE_COST[character.sense] * LEVEL_COST[character.level];

/**
 * The cheapest set of characters whose ideal reader errs in 2 % at most: every set of up to three is tried, then characters
 * are added by evidence over cost. Sets of equal cost are told apart by their error.
 */
function decidingSet(ranked: readonly CharacterEvidence[], a: number, b: number) {
  const pool = ranked.slice(0, CANDIDATES);
  const cost = (entry: CharacterEvidence) => lookingCost(entry.channels[0]!.character);
  const errorOf = (set: readonly CharacterEvidence[]) =>
    idealReaderError(
      set.flatMap((entry) => entry.channels),
      a,
      b,
    );
  let best: { characters: CharacterEvidence[]; error: number; cost: number } | undefined;
  const consider = (set: CharacterEvidence[]) => {
    const total = set.reduce((sum, entry) => sum + cost(entry), 0);
    if (best && total > best.cost + 1e-9) return;
    const evidence = set.reduce((sum, entry) => sum + entry.evidence, 0);
    // Pe ≥ ½(1−√(1−ρ²)): with ρ > 0.28 no set can reach 2 %.
    if (Math.exp(-evidence) > 0.28) return;
    const error = errorOf(set);
    if (error > SETTLED_AT) return;
    if (!best || total < best.cost - 1e-9 || error < best.error)
      best = { characters: set, error, cost: total };
  };
  // Singles, then pairs, then triples: what is found early spares the dearer sets their computation.
  for (const size of [1, 2, 3]) for (const set of subsets(pool, size)) consider(set);
  if (best) return { characters: byEvidence(best.characters), error: best.error };

  const greedy: CharacterEvidence[] = [];
  for (const entry of [...ranked].sort((x, y) => y.evidence / cost(y) - x.evidence / cost(x))) {
    greedy.push(entry);
    const error = errorOf(greedy);
    if (error <= SETTLED_AT) return { characters: byEvidence(greedy), error };
  }
  return { characters: [] as CharacterEvidence[], error: errorOf(ranked) };
}

function* subsets<T>(pool: readonly T[], size: number, from = 0): Generator<T[]> {
  if (size === 0) return yield [];
  for (let i = from; i <= pool.length - size; i += 1)
    for (const rest of subsets(pool, size - 1, i + 1)) yield [pool[i]!, ...rest];
}

const byEvidence = (set: readonly CharacterEvidence[]) => [...set].sort((x, y) => y.evidence - x.evidence);

export interface Remedy {
  kind: 'organ' | 'aid' | 'month';
  /** "bark", "lens", "May". */
  label: string;
  error: number;
}

/** What would settle a pair that the view does not: one more organ, one more aid, or another month. Best first. */
export function remedies(
  list: readonly ProfiledTaxon[],
  aId: string,
  bId: string,
  vocabulary: Vocabulary,
  view: View,
  options: ReadingOptions = {},
): Remedy[] {
  const tryOut = (kind: Remedy['kind'], label: string, changed: View): Remedy => ({
    kind,
    label,
    error: contrastError(list, aId, bId, vocabulary, changed, options),
  });
  const organs = (Object.keys(SHOWN_TITLES) as ShownOrgan[])
    .filter((organ) => !view.organs.includes(organ))
    .map((organ) => tryOut('organ', SHOWN_TITLES[organ], { ...view, organs: [...view.organs, organ] }));
  const aids = AIDS.filter((aid) => !view.aids.includes(aid)).map((aid: Aid) =>
    tryOut('aid', aid, { ...view, aids: [...view.aids, aid] }),
  );
  const months = MONTHS.map((month, i) => tryOut('month', month, { ...view, day: midMonth(i) }));
  return [...organs, ...aids, ...months]
    .filter((remedy) => remedy.error <= SETTLED_AT)
    .sort((x, y) => x.error - y.error);
}

/** Error of the ideal reader between two taxa of a list in a view. Throws if either is not in the list. */
export function contrastError(
  list: readonly ProfiledTaxon[],
  aId: string,
  bId: string,
  vocabulary: Vocabulary,
  view: View,
  options: ReadingOptions = {},
): number {
  const { a, b, taking } = evidenceOfPair(list, aId, bId, vocabulary, view, options);
  return pairError(taking, a, b);
}

/** One pair of a list, by place in it, with the error of the ideal reader between the two. */
export interface PairOfList {
  a: number;
  b: number;
  error: number;
}

/** The error of every pair of a list in a view, in the order of the list. Same figures as `contrastError`, computed together. */
export function pairErrors(
  list: readonly ProfiledTaxon[],
  vocabulary: Vocabulary,
  view: View,
  options: ReadingOptions = {},
): PairOfList[] {
  const readings = readingsOf(list, vocabulary, view, options);
  const left = spokenFor(readings);
  return list.flatMap((_, a) =>
    list.slice(a + 1).map((_other, i) => {
      const b = a + 1 + i;
      return { a, b, error: pairError(evidenceTaken(readings, left, a, b).taking, a, b) };
    }),
  );
}

/** All evidence of a pair of a list given by ids. Throws if either is not in the list. */
export function evidenceOfPair(
  list: readonly ProfiledTaxon[],
  aId: string,
  bId: string,
  vocabulary: Vocabulary,
  view: View,
  options: ReadingOptions,
) {
  const a = list.findIndex((entry) => entry.taxon.id === aId);
  const b = list.findIndex((entry) => entry.taxon.id === bId);
  if (a < 0 || b < 0) throw new Error('Both taxa of a contrast must be in its list');
  const readings = readingsOf(list, vocabulary, view, options);
  return { a, b, readings, ...evidenceTaken(readings, spokenFor(readings), a, b) };
}

/** The evidence of a pair, and that which takes part once near-duplicates have stepped aside. */
export function evidenceTaken(readings: Readings, left: Map<string, string>, a: number, b: number) {
  const all = pairEvidence(readings, a, b);
  const known = new Set(all.map((entry) => entry.characterId));
  // A near-duplicate steps aside only where the one that speaks for it is known for this pair as well.
  const spokenHere = (id: string) => {
    const by = left.get(id);
    return by !== undefined && known.has(by) ? by : undefined;
  };
  return { all, known, spokenHere, taking: all.filter((entry) => !spokenHere(entry.characterId)) };
}
