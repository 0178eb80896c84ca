import { median, quantileSorted } from 'simple-statistics';
import { tallies, type ChoiceData } from './choice.ts';
import { logistic, outlookOf, totalEvidence, type Outlook } from './likelihood.ts';
import type { Layout } from './parameters.ts';

/** Errors that would not have been made, had one thing been as it typically is. */
export interface Consequence {
  /** Mean over the draws; below 0 where it is better than typical. */
  prevented: number;
  /** From the 5th to the 95th percentile of the draws. */
  interval: [number, number];
  /** Share of the draws above 0. */
  chance: number;
}

export interface Consequences {
  /** Had the class used this character as it uses its typical one; undefined for characters that are not identified. */
  characters: (Consequence | undefined)[];
  /** Had this species been known as well as the typical one; undefined for species not asked. */
  species: (Consequence | undefined)[];
  /** Had this name been given no more readily than the typical one. */
  overGiven: (Consequence | undefined)[];
}

/** Students are taken together in this many groups of like ability at most. */
const GROUPS = 24;

/**
 * Reports by consequence (docs/method.md, Reports): over draws of all parameters, `Σ_r [P_err(θ) − P_err(θ with one thing at the median of the others)]`
 * over the answers given. The parts are not additive: two characters may each have prevented the same error.
 * @param identified which characters the data speak about; only they count towards the median and get a figure.
 * @param onDraw called after each draw; what it throws stops the count.
 */
export function consequences(
  data: ChoiceData,
  layout: Layout,
  draws: readonly Float64Array[],
  identified: readonly boolean[],
  onDraw: (done: number) => void = () => undefined,
): Consequences {
  const totals = data.situations.map(totalEvidence);
  const asked = new Set(data.situations.map(({ truth }) => truth));
  const offered = new Set(data.situations.flatMap(({ options }) => options));
  const groups = abilityGroups(data, layout, draws);
  const kept = {
    characters: data.characters.map((): number[] => []),
    species: data.taxa.map((): number[] => []),
    overGiven: data.taxa.map((): number[] => []),
  };
  for (const [done, theta] of draws.entries()) {
    const sums = {
      characters: new Float64Array(data.characters.length),
      species: new Float64Array(data.taxa.length),
      overGiven: new Float64Array(data.taxa.length),
    };
    const at = (offset: number, places: Iterable<number>) => [...places].map((i) => theta[offset + i]!);
    const typicalOf = typicalUses(theta, identified);
    const [missed, scattered, overGiven] = [
      median(at(layout.missed, asked)),
      median(at(layout.scattered, asked)),
      median(at(layout.overGiven, offered)),
    ];
    const abilities = groups.abilities(theta);
    data.situations.forEach((situation, s) => {
      const counts = groups.counts[s]!;
      const outlook = outlookOf(situation, totals[s]!, theta, layout);
      const errors = (own: number, others: number) => {
        let sum = 0;
        for (let g = 0; g < counts.length; g += 1)
          if (counts[g]! > 0) sum += counts[g]! * (1 - logistic(own + abilities[g]! - others));
        return sum;
      };
      const now = errors(outlook.own, outlook.others);
      const { truth, options, characters, evidence } = situation;
      const width = characters.length;
      characters.forEach((c, i) => {
        const better = typicalOf.get(c);
        if (better === undefined) return;
        const change = better - theta[c]!;
        const others = reweighed(outlook, options.length, (k) => -change * evidence[k * width + i]!);
        sums.characters[c]! += now - errors(outlook.own, others);
      });
      const flat = theta[layout.scattered + truth]! - scattered;
      const own = outlook.own + theta[layout.missed + truth]! - missed;
      const known = reweighed(outlook, options.length, (k) => -flat * totals[s]![k]!);
      sums.species[truth]! += now - errors(own, known);
      options.forEach((name, k) => {
        const less = overGiven - theta[layout.overGiven + name]!;
        sums.overGiven[name]! +=
          now -
          (name === truth
            ? errors(outlook.own + less, outlook.others)
            : errors(outlook.own, outlook.others + Math.log(1 + outlook.shares[k]! * (Math.exp(less) - 1))));
      });
    });
    for (const kind of ['characters', 'species', 'overGiven'] as const)
      sums[kind].forEach((sum, i) => kept[kind][i]!.push(sum));
    onDraw(done + 1);
  }
  return {
    characters: kept.characters.map((sums, c) => (identified[c] ? summed(sums) : undefined)),
    species: kept.species.map((sums, t) => (asked.has(t) ? summed(sums) : undefined)),
    overGiven: kept.overGiven.map((sums, t) => (offered.has(t) ? summed(sums) : undefined)),
  };
}

/** Fewer identified characters than this are no measure of what is typical; all of the class's then are. */
const TYPICAL_OF = 3;

/** For each identified character the median use of the others. */
export function typicalUses(theta: Float64Array, identified: readonly boolean[]): Map<number, number> {
  const known = identified.flatMap((yes, c) => (yes ? [c] : []));
  const measure = known.length > TYPICAL_OF ? known : [...identified.keys()];
  return new Map(
    known.map((c) => {
      const others = measure.filter((d) => d !== c).map((d) => theta[d]!);
      return [c, others.length ? median(others) : theta[c]!];
    }),
  );
}

/** ln Σ of the wrong alternatives once the utility of each option has changed; unnamed answers stay. */
function reweighed({ others, shares }: Outlook, options: number, change: (option: number) => number): number {
  let sum = 0;
  for (let k = 0; k < shares.length; k += 1)
    sum += k < options && shares[k]! > 0 ? shares[k]! * Math.exp(change(k)) : shares[k]!;
  return others + Math.log(sum);
}

function summed(sums: readonly number[]): Consequence {
  const sorted = [...sums].sort((x, y) => x - y);
  return {
    prevented: sums.reduce((sum, x) => sum + x, 0) / sums.length,
    interval: [quantileSorted(sorted, 0.05), quantileSorted(sorted, 0.95)],
    chance: sums.filter((x) => x > 0).length / sums.length,
  };
}

/** Students in groups of like ability, with how many answers of each group every situation has. */
function abilityGroups(data: ChoiceData, layout: Layout, draws: readonly Float64Array[]) {
  const mean = (student: number) =>
    draws.reduce((sum, theta) => sum + theta[layout.abilities + student]!, 0) / Math.max(1, draws.length);
  const order = Array.from({ length: data.students }, (_, student) => ({
    student,
    ability: mean(student),
  })).sort((x, y) => x.ability - y.ability);
  const groups = Math.min(GROUPS, data.students);
  const groupOf = new Int32Array(data.students);
  order.forEach(({ student }, rank) => (groupOf[student] = Math.floor((rank * groups) / data.students)));
  const counts = tallies(data).map(({ students }) => {
    const count = new Float64Array(groups);
    for (const student of students) count[groupOf[student]!]! += 1;
    return count;
  });
  const sizes = new Float64Array(groups);
  for (const g of groupOf) sizes[g]! += 1;
  const abilities = (theta: Float64Array) => {
    const means = new Float64Array(groups);
    groupOf.forEach((g, student) => (means[g]! += theta[layout.abilities + student]! / sizes[g]!));
    return means;
  };
  return { counts, abilities };
}
