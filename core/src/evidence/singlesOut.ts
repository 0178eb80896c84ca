import type { Vocabulary } from '../vocabulary/index.ts';
import type { View } from '../view/index.ts';
import { spokenFor, type CharacterEvidence } from './bhattacharyya.ts';
import { evidenceTaken, lookingCost } from './contrast.ts';
import { cheapestHit } from './hittingSet.ts';
import { errorBound, errorFloor, pairError, SETTLED_AT } from './error.ts';
import type { ProfiledTaxon, ReadingOptions } from './profiled.ts';
import { readingsOfTrees, type Readings } from './readings.ts';

export interface SinglesOut {
  taxonId: string;
  /** The cheapest set of characters that settles the taxon against every rival that can be settled. Strongest first. */
  characters: string[];
  /** What it costs to look at them all; 1 is one plain sight. */
  cost: number;
  /** Rivals that no set of visible characters settles. */
  notSettled: string[];
  /** False where the search was stopped before the minimum was proved; the set then settles, but may not be the cheapest. */
  proved: boolean;
}

/** Programs solved for one taxon before the search is stopped. */
const ROUNDS = 100;

/**
 * What singles each taxon out of a list in a view (docs/method.md, What singles a taxon out), as an implicit hitting set (E. Moreno-Centeno & R. M. Karp 2013,
 * Operations Research 61: 453–468): the cheapest characters are chosen that hit every cut known; a rival that they leave
 * above 2 % adds cuts, "one character of those outside this failing set", and they are chosen again. Exact, since a set that
 * fails for a rival fails in all its parts. Taxa are asked for by id; all if none is named.
 */
export function singlesOut(
  list: readonly ProfiledTaxon[],
  vocabulary: Vocabulary,
  view: View,
  options: ReadingOptions & { taxa?: readonly string[]; progress?: (share: number) => void } = {},
): SinglesOut[] {
  const readings = readingsOfTrees(list, vocabulary, view, options);
  const left = spokenFor(readings);
  const asked = list.flatMap(({ taxon }, t) => (!options.taxa || options.taxa.includes(taxon.id) ? [t] : []));
  return asked.map((t, n) => {
    const found = cheapestSet(readings, left, t);
    options.progress?.((n + 1) / asked.length);
    return found;
  });
}

interface Rival {
  taxonId: string;
  at: number;
  /** What each character is worth against it, in nats, and the channels it is read by. */
  evidence: Map<string, CharacterEvidence>;
}

function cheapestSet(readings: Readings, left: Map<string, string>, t: number): SinglesOut {
  const rivals: Rival[] = [];
  const notSettled: string[] = [];
  readings.taxa.forEach(({ taxon }, at) => {
    if (at === t) return;
    const { taking } = evidenceTaken(readings, left, t, at);
    const evidence = new Map(taking.map((entry) => [entry.characterId, entry]));
    const rival = { taxonId: taxon.id, at, evidence };
    if (errorAgainst(rival, t, [...evidence.keys()]) > SETTLED_AT) notSettled.push(taxon.id);
    else rivals.push(rival);
  });
  const { id: taxonId, genus } = readings.taxa[t]!.taxon;
  const relatives = readings.taxa.filter(({ taxon }) => taxon.genus === genus).length > 1;
  const costs = new Map(
    [...new Set(rivals.flatMap(({ evidence }) => [...evidence.keys()]))].map((id) => [
      id,
      lookingCost(readings.channels.get(id)![0]!.character, relatives ? genus : undefined),
    ]),
  );
  const cuts = new Map<string, string[]>();
  const cutOff = (rival: Rival, set: readonly string[]) => {
    for (const cut of beyond(rival, t, set, costs)) cuts.set([...cut].sort().join(), cut);
  };
  for (const rival of rivals) cutOff(rival, []);
  let chosen: string[] = [];
  let proved = rivals.length === 0;
  for (let round = 0; round < ROUNDS && rivals.length > 0; round += 1) {
    chosen = cheapestHit([...cuts.values()], costs);
    const failing = rivals.filter((rival) => errorAgainst(rival, t, chosen) > SETTLED_AT);
    if (failing.length === 0) {
      proved = true;
      break;
    }
    for (const rival of failing) cutOff(rival, chosen);
  }
  if (!proved) chosen = completed(chosen, rivals, t, costs);
  const strength = (id: string) =>
    rivals.reduce((sum, { evidence }) => sum + Math.min(3.22, evidence.get(id)?.evidence ?? 0), 0);
  return {
    taxonId,
    characters: chosen.sort((a, b) => strength(b) - strength(a)),
    cost: chosen.reduce((sum, id) => sum + costs.get(id)!, 0),
    notSettled,
    proved,
  };
}

/**
 * The cuts that a failing set gives: at least one character outside the largest sets found that contain it and still fail. The
 * weakest characters are added to it first, then the dearest; since more characters never err more, how many can be is found by halving.
 */
function beyond(
  rival: Rival,
  t: number,
  chosen: readonly string[],
  costs: ReadonlyMap<string, number>,
): string[][] {
  const others = [...rival.evidence].filter(([id, { evidence: e }]) => e > 1e-9 && !chosen.includes(id));
  const orders = [
    [...others].sort(([, x], [, y]) => x.evidence - y.evidence),
    [...others].sort(([a, x], [b, y]) => costs.get(b)! - costs.get(a)! || x.evidence - y.evidence),
  ];
  return orders.map((order) => {
    const ids = order.map(([id]) => id);
    let [fails, settles] = [0, ids.length];
    while (settles - fails > 1) {
      const half = (fails + settles) >> 1;
      if (errorAgainst(rival, t, [...chosen, ...ids.slice(0, half)]) > SETTLED_AT) fails = half;
      else settles = half;
    }
    return ids.slice(fails);
  });
}

const errorAgainst = ({ at, evidence }: Rival, t: number, chosen: readonly string[]): number => {
  const held = chosen.flatMap((id) => evidence.get(id) ?? []);
  // Where the bounds decide, nothing more is worked out.
  const bound = errorBound(held, t, at);
  if (bound <= SETTLED_AT) return bound;
  const floor = errorFloor(held, t, at);
  return floor > SETTLED_AT ? floor : pairError(held, t, at);
};

/** A set made to settle every rival by adding, while one is left, the character that does most for what it costs. */
function completed(
  chosen: readonly string[],
  rivals: readonly Rival[],
  t: number,
  costs: ReadonlyMap<string, number>,
): string[] {
  const set = [...chosen];
  for (;;) {
    const failing = rivals.filter((rival) => errorAgainst(rival, t, set) > SETTLED_AT);
    if (failing.length === 0) return set;
    const best = [...costs.keys()]
      .filter((id) => !set.includes(id))
      .map((id) => ({
        id,
        worth:
          failing.reduce((sum, { evidence }) => sum + Math.min(1.27, evidence.get(id)?.evidence ?? 0), 0) /
          costs.get(id)!,
      }))
      .sort((a, b) => b.worth - a.worth)[0];
    if (!best) return set;
    set.push(best.id);
  }
}
