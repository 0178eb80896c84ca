import type { Aid, View } from '../view/index.ts';
import { AIDS, onDay, SHOWN_TITLES } from '../view/index.ts';
import {
  saidBehind,
  standingOf,
  type Character,
  type ShownOrgan,
  type Standing,
  type Vocabulary,
} from '../vocabulary/index.ts';
import { midMonth, MONTHS } from '../season/index.ts';
import { pairEvidence, spokenFor, type CharacterEvidence } from './bhattacharyya.ts';
import { errorFloor, idealReaderError, pairError, SETTLED_AT, verdictOf, type Verdict } from './error.ts';
import type { ProfiledTaxon, ReadingOptions } from './profiled.ts';
import { lacking, readingsOfTrees, type Readings } from './readings.ts';

/** Below this a character says nothing worth showing: the two taxa agree in it. Nats. */
export const AGREES_BELOW = 0.05;
/** How many characters, those that do most for what they cost, are searched for deciding sets. */
const CANDIDATES = 12;
/** From this evidence on a character tells two taxa apart on its own, in nats. */
export const TELLS = 1.27;
/** With this evidence a pair is settled; more does nothing for it. */
const SETTLES = 3.22;
/** Characters that are said of a pair: one to look at, and two that confirm it. */
const SAID = 3;

export interface Contrast {
  verdict: Verdict;
  /** Error of the ideal reader with every visible character, 0–½. */
  error: number;
  /** Characters that differ, strongest first. */
  ranked: CharacterEvidence[];
  /** The cheapest set with an error of 2 % at most, cheapest first within it; empty where none exists. */
  deciding: string[];
  decidingError: number;
  /** What to say: look at the first, confirm by up to two more. Empty only where nothing differs. */
  said: string[];
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
  const genus = genusOf(list[a]!, list[b]!);
  const deciding = decidingSet(ranked, a, b, genus);
  return {
    verdict: verdictOf(error),
    error,
    ranked,
    deciding: deciding.characters.map((entry) => entry.characterId),
    decidingError: deciding.error,
    said: sayingOf(deciding.characters, ranked, genus).map((entry) => entry.characterId),
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
  lens: 1.4,
  cut: 2.5,
};
const SENSE_COST: Record<Character['sense'], number> = { eye: 1, touch: 1.1, smell: 1.4 };
const LEVEL_COST: Record<Character['level'], number> = { beginner: 1, intermediate: 1.2, advanced: 1.5 };
const STANDING_COST: Record<Standing, number> = { mark: 1, second: 1.7, supporting: 3.5 };
/** What the whole of the convention adds at most: it decides between characters that cost about the same. */
const OUT_OF_ORDER = 0.1;
/** What a beginner misreads must be looked at again, with this weight. */
const LOOKED_AT_AGAIN = 1.5;

/**
 * What looking at a character costs a student: it grows as its standing falls, and with distance, aids, level and how often it is misread;
 * a little with its place in the order in which manuals part trees. A mark in plain sight with which manuals begin costs little more than 1. Between two trees of one genus,
 * the standing there counts: `lookingCost(twigHair, 'Picea')`.
 */
export function lookingCost(character: Character, genus?: string): number {
  const { distance, sense, level, id, misread } = character;
  const standing = STANDING_COST[standingOf(character, genus)];
  const order = 1 + OUT_OF_ORDER * saidBehind(id);
  const twice = 1 + LOOKED_AT_AGAIN * misread.novice;
  return standing * DISTANCE_COST[distance] * SENSE_COST[sense] * LEVEL_COST[level] * order * twice;
}

/** The genus that two taxa share; undefined where they are of two. */
export const genusOf = (a: ProfiledTaxon, b: ProfiledTaxon): string | undefined =>
  a.taxon.genus === b.taxon.genus ? a.taxon.genus : undefined;

/**
 * The cheapest set of characters whose ideal reader errs in 2 % at most: every set of up to three is tried, then characters
 * are added by evidence over cost. Sets of equal cost are told apart by their error.
 */
function decidingSet(ranked: readonly CharacterEvidence[], a: number, b: number, genus: string | undefined) {
  const cost = (entry: CharacterEvidence) => lookingCost(entry.channels[0]!.character, genus);
  const worth = (entry: CharacterEvidence) => Math.min(SETTLES, entry.evidence) / cost(entry);
  const pool = [...ranked].sort((x, y) => worth(y) - worth(x)).slice(0, CANDIDATES);
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
    if (errorFloor(set, a, b) > SETTLED_AT) return;
    const error = errorOf(set);
    if (error > SETTLED_AT) return;
    if (!best || total < best.cost - 1e-9 || error < best.error)
      best = { characters: set, error, cost: total };
  };
  // Singles, then pairs, then triples: what is found early spares the dearer sets their computation.
  for (const size of [1, 2, 3]) for (const set of subsets(pool, size)) consider(set);
  if (best) return { characters: inOrder(best.characters, genus), error: best.error };

  const greedy: CharacterEvidence[] = [];
  for (const entry of [...ranked].sort((x, y) => y.evidence / cost(y) - x.evidence / cost(x))) {
    greedy.push(entry);
    const error = errorOf(greedy);
    if (error <= SETTLED_AT) return { characters: inOrder(greedy, genus), error };
  }
  return { characters: [] as CharacterEvidence[], error: errorOf(ranked) };
}

/** Characters in the order in which they are said: the one first that does most for what it costs. */
const inOrder = (set: readonly CharacterEvidence[], genus: string | undefined) => {
  const worth = ({ evidence, channels }: CharacterEvidence) =>
    Math.min(SETTLES, evidence) / lookingCost(channels[0]!.character, genus) ** 2;
  return [...set].sort((x, y) => worth(y) - worth(x));
};

/**
 * What is said of a pair, as people say it: look at the first, confirm by the others, three at most. The deciding characters stand first;
 * where they are fewer, such as tell the two apart by themselves confirm them, marks before others, each of another group.
 */
function sayingOf(
  deciding: readonly CharacterEvidence[],
  ranked: readonly CharacterEvidence[],
  genus: string | undefined,
): CharacterEvidence[] {
  const said = deciding.slice(0, SAID);
  const others = inOrder(
    ranked.filter((entry) => entry.evidence >= (deciding.length ? TELLS : 0) && !deciding.includes(entry)),
    genus,
  );
  for (const entry of others) {
    if (said.length >= SAID) break;
    const { character } = entry.channels[0]!;
    const again = ({ channels }: CharacterEvidence) =>
      character.derived || (character.group && channels[0]!.character.group === character.group);
    if (said.some(again)) continue;
    if (said.length > 0 && standingOf(character, genus) === 'supporting') continue;
    said.push(entry);
  }
  return said;
}

function* subsets<T>(pool: readonly T[], size: number, from = 0): Generator<T[]> {
  if (size === 0) return yield [];
  for (let i = from; i <= pool.length - size; i += 1)
    for (const rest of subsets(pool, size - 1, i + 1)) yield [pool[i]!, ...rest];
}

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
  const months = MONTHS.map((month, i) => tryOut('month', month, onDay(view, midMonth(i))));
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
  const readings = readingsOfTrees(list, vocabulary, view, options);
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
  const readings = readingsOfTrees(list, vocabulary, view, options);
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
