import type { Vocabulary } from '../vocabulary/index.ts';
import { midMonth, MONTHS } from '../season/index.ts';
import { onDay, type View } from '../view/index.ts';
import { spokenFor, type CharacterEvidence } from './bhattacharyya.ts';
import {
  AGREES_BELOW,
  contrastError,
  evidenceOfPair,
  evidenceTaken,
  genusOf,
  lookingCost,
  TELLS,
} from './contrast.ts';
import { idealReaderError, pairError, SETTLED_AT, verdictOf, type Verdict } from './error.ts';
import type { ProfiledTaxon, ReadingOptions } from './profiled.ts';
import { readingsOfTrees } from './readings.ts';

export interface ContrastOfSeveral {
  /** The verdict of the pair that is hardest to tell apart. */
  verdict: Verdict;
  /** Every pair with its own error. */
  pairs: { a: string; b: string; error: number; verdict: Verdict }[];
  /** Characters by the evidence they give the pair they serve best, strongest first; `serves` counts the pairs they tell apart. */
  ranked: { characterId: string; evidence: number; mean: number; serves: number }[];
  /** The cheapest set found that settles every pair that can be settled; empty where none can. */
  deciding: string[];
  agreeing: string[];
}

/**
 * What tells two to four taxa of a list from one another in a view. The deciding set is built by adding the character that does most
 * for the pairs still open for what it costs, and then leaving out every one that is no longer needed.
 * Throws if a taxon is not in the list, or fewer than two are asked for.
 */
export function contrastOf(
  list: readonly ProfiledTaxon[],
  ids: readonly string[],
  vocabulary: Vocabulary,
  view: View,
  options: ReadingOptions = {},
): ContrastOfSeveral {
  const places = ids.map((id) => list.findIndex(({ taxon }) => taxon.id === id));
  if (places.length < 2 || places.includes(-1))
    throw new Error('A contrast needs two taxa or more of its list');
  const readings = readingsOfTrees(list, vocabulary, view, options);
  const left = spokenFor(readings);
  const pairs = places.flatMap((a, i) =>
    places.slice(i + 1).map((b) => {
      const { taking } = evidenceTaken(readings, left, a, b);
      return {
        a,
        b,
        taking: new Map(taking.map((entry) => [entry.characterId, entry])),
        error: pairError(taking, a, b),
      };
    }),
  );
  const characters = [...new Set(pairs.flatMap(({ taking }) => [...taking.keys()]))];
  const ranked = characters
    .map((characterId) => {
      const each = pairs.map(({ taking }) => taking.get(characterId)?.evidence ?? 0);
      return {
        characterId,
        evidence: Math.max(...each),
        mean: each.reduce((sum, e) => sum + e, 0) / each.length,
        serves: each.filter((e) => e >= TELLS).length,
      };
    })
    .sort((x, y) => y.mean - x.mean);
  const idOf = (place: number) => list[place]!.taxon.id;
  return {
    verdict: verdictOf(Math.max(...pairs.map(({ error }) => error))),
    pairs: pairs.map(({ a, b, error }) => ({ a: idOf(a), b: idOf(b), error, verdict: verdictOf(error) })),
    ranked: ranked.filter(({ evidence }) => evidence >= AGREES_BELOW),
    deciding: decidingForAll(
      pairs.filter(({ error }) => error <= SETTLED_AT),
      sharedGenus(places.map((place) => list[place]!)),
    ),
    agreeing: ranked.filter(({ evidence }) => evidence < AGREES_BELOW).map(({ characterId }) => characterId),
  };
}

interface OpenPair {
  a: number;
  b: number;
  taking: Map<string, CharacterEvidence>;
}

/** The genus of them all, if they are of one. */
const sharedGenus = ([first, ...rest]: readonly ProfiledTaxon[]) =>
  rest.every((other) => genusOf(first!, other)) ? first!.taxon.genus : undefined;

function decidingForAll(pairs: readonly OpenPair[], genus: string | undefined): string[] {
  const settled = ({ a, b, taking }: OpenPair, set: readonly string[]) =>
    idealReaderError(
      set.flatMap((id) => taking.get(id)?.channels ?? []),
      a,
      b,
    ) <= SETTLED_AT;
  const ids = [...new Set(pairs.flatMap(({ taking }) => [...taking.keys()]))];
  const cost = new Map(
    ids.map((id) => {
      const entry = pairs.map(({ taking }) => taking.get(id)).find((found) => found)!;
      return [id, lookingCost(entry.channels[0]!.character, genus)] as const;
    }),
  );
  const set: string[] = [];
  for (let open = [...pairs]; open.length > 0; open = open.filter((pair) => !settled(pair, set))) {
    const best = ids
      .filter((id) => !set.includes(id))
      .map((id) => ({
        id,
        worth:
          open.reduce((sum, { taking }) => sum + Math.min(3.22, taking.get(id)?.evidence ?? 0), 0) /
          cost.get(id)!,
      }))
      .sort((x, y) => y.worth - x.worth)[0];
    if (!best || best.worth <= 0) break;
    set.push(best.id);
  }
  return set.reduce((kept, id) => {
    const without = kept.filter((other) => other !== id);
    return pairs.every((pair) => settled(pair, without)) ? without : kept;
  }, set);
}

/** The error of a pair in the middle of each month, the view else unchanged: January first. */
export function pairOverYear(
  list: readonly ProfiledTaxon[],
  aId: string,
  bId: string,
  vocabulary: Vocabulary,
  view: View,
  options: ReadingOptions = {},
): { month: string; error: number; verdict: Verdict }[] {
  return MONTHS.map((month, i) => {
    const error = contrastError(list, aId, bId, vocabulary, onDay(view, midMonth(i)), options);
    return { month, error, verdict: verdictOf(error) };
  });
}

/** The error of some characters alone between two taxa of a list: whether what an instructor calls the sure way is one. */
export function errorOf(
  list: readonly ProfiledTaxon[],
  aId: string,
  bId: string,
  characters: readonly string[],
  vocabulary: Vocabulary,
  view: View,
  options: ReadingOptions = {},
): { error: number; verdict: Verdict; unseen: string[] } {
  // The instructor chose them: none steps aside for a near-duplicate.
  const { a, b, all } = evidenceOfPair(list, aId, bId, vocabulary, view, options);
  const held = all.filter(({ characterId }) => characters.includes(characterId));
  const error = idealReaderError(
    held.flatMap(({ channels }) => channels),
    a,
    b,
  );
  return {
    error,
    verdict: verdictOf(error),
    unseen: characters.filter((id) => !held.some(({ characterId }) => characterId === id)),
  };
}
