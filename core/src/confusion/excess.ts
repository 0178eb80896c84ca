import type { ConfusedPair, NamedAnswer } from './pairs.ts';

/** How far a confusion exceeds what over-given names and hard species alone would bring. */
export interface Excess {
  /** Confusions expected of this cell if likeness had no say. */
  expected: number;
  /** Expected share of the answers to this truth. */
  expectedRate: number;
  /** Chance of as many or more by those alone. */
  p: number;
  /** Stands out after Benjamini & Hochberg's correction, at a false discovery rate of 5 %. */
  standsOut: boolean;
}

/** Weight of the prior that draws each species and each name to the class's average, as if so many errors had been seen. */
const PRIOR = 2;
const SWEEPS = 60;

/** A single answer may be a slip of the pen, whatever its chance. */
const AT_LEAST = 2;

/**
 * For each confused pair what is expected of it, from how often its truth is missed and how often its answer is given too readily, both found
 * without that very cell (quasi-independence: L. A. Goodman 1968, JASA 63: 1091–1131), the tail of the count under that rate and its own uncertainty, and what stands out among all the
 * pairs that could, those whose smallest attainable p is below 0.05 (Y. Benjamini & Y. Hochberg 1995, JRSS B 57: 289–300). Of each student and tree
 * one answer counts, by turns from every quiz: who repeats a slip is not many who slip. `expected` is of all answers all the same, to stand beside their count.
 * @param answers in the order in which they were given
 * @param optionsOf the names that could be given at a station.
 */
export function excessOf(
  pairs: readonly ConfusedPair[],
  answers: readonly NamedAnswer[],
  optionsOf: (stationId: string) => readonly string[],
): Excess[] {
  const independent = onePerStudentAndTree(answers);
  const table = tableOf(independent, optionsOf, answers);
  const found = pairs.map((pair) => {
    const { rate, relativeVariance } = expectedRate(
      table,
      table.place.get(pair.truth)!,
      table.place.get(pair.answer)!,
    );
    const asked = independent.filter(({ truth }) => truth === pair.truth);
    const count = asked.filter(({ named }) => named === pair.answer).length;
    return {
      count,
      expected: rate * pair.asked,
      rate,
      p: predictiveTail(count, asked.length, rate, relativeVariance),
    };
  });
  const couldStandOut = testable(table);
  const sorted = [...found].sort((x, y) => x.p - y.p);
  const last = sorted.findLastIndex(({ p }, rank) => p <= (0.05 * (rank + 1)) / couldStandOut);
  const standing = new Set(sorted.slice(0, last + 1).filter(({ count }) => count >= AT_LEAST));
  return found.map((entry) => ({
    expected: entry.expected,
    expectedRate: entry.rate,
    p: entry.p,
    standsOut: standing.has(entry),
  }));
}

/** One answer of each student to each tree, by turns: of the first student the first one, of the second the second, and so on round. */
function onePerStudentAndTree(answers: readonly NamedAnswer[]): NamedAnswer[] {
  const turns = new Map<string, number>();
  const cells = new Map<string, NamedAnswer[]>();
  for (const answer of answers) {
    if (!turns.has(answer.studentId)) turns.set(answer.studentId, turns.size);
    const key = `${answer.studentId}\u0000${answer.truth}`;
    cells.set(key, [...(cells.get(key) ?? []), answer]);
  }
  return [...cells.values()].map((cell) => cell[turns.get(cell[0]!.studentId)! % cell.length]!);
}

/** How many pairs could stand out: if every answer fell on the pair, p would be below 0.05. */
function testable(table: Table): number {
  const { base, missed, given } = mainEffects(table);
  let count = 0;
  for (let t = 0; t < table.size; t += 1)
    for (let k = 0; k < table.size; k += 1) {
      const open = table.open[t * table.size + k]!;
      if (open > 0 && Math.min(1, base * missed[t]! * given[k]!) ** open < 0.05) count += 1;
    }
  return count;
}

interface Table {
  place: Map<string, number>;
  size: number;
  /** Wrong answers, truth × answer, and how often each was open. */
  wrong: Float64Array;
  open: Float64Array;
}

/** @param all answers, whose names all have their place */
function tableOf(
  answers: readonly NamedAnswer[],
  optionsOf: (stationId: string) => readonly string[],
  all: readonly NamedAnswer[],
): Table {
  const names = [
    ...new Set(
      all.flatMap(({ truth, named, stationId }) => [truth, named ?? truth, ...optionsOf(stationId)]),
    ),
  ].sort();
  const place = new Map(names.map((id, i) => [id, i]));
  const size = names.length;
  const [wrong, open] = [new Float64Array(size * size), new Float64Array(size * size)];
  for (const { truth, named, stationId } of answers) {
    const row = place.get(truth)! * size;
    const offered = new Set(optionsOf(stationId));
    if (named) offered.add(named);
    for (const id of offered) if (id !== truth) open[row + place.get(id)!]! += 1;
    if (named && named !== truth) wrong[row + place.get(named)!]! += 1;
  }
  return { place, size, wrong, open };
}

/** Rate of one cell from its row and its column, the cell itself left out of both, and how well it is known: from so many errors. */
function expectedRate(
  table: Table,
  truth: number,
  answer: number,
): { rate: number; relativeVariance: number } {
  const { base, missed, given, errors, ofRow, ofColumn } = mainEffects(table, truth * table.size + answer);
  return {
    rate: Math.min(0.999, base * missed[truth]! * given[answer]!),
    relativeVariance: 1 / (PRIOR + ofRow[truth]!) + 1 / (PRIOR + ofColumn[answer]!) + 1 / (errors + 0.5),
  };
}

/** How much more often than the average each truth is missed and each answer given, from all cells but one. */
function mainEffects({ size, wrong, open }: Table, without = -1) {
  let [errors, chances] = [0, 0];
  const [ofRow, ofColumn] = [new Float64Array(size), new Float64Array(size)];
  for (let t = 0; t < size; t += 1)
    for (let k = 0; k < size; k += 1) {
      const cell = t * size + k;
      if (cell === without || open[cell] === 0) continue;
      errors += wrong[cell]!;
      chances += open[cell]!;
      ofRow[t]! += wrong[cell]!;
      ofColumn[k]! += wrong[cell]!;
    }
  const base = (errors + 0.5) / (chances + 1);
  const [missed, given] = [new Float64Array(size).fill(1), new Float64Array(size).fill(1)];
  for (let sweep = 0; sweep < SWEEPS; sweep += 1) {
    let change = 0;
    const refresh = (
      factor: Float64Array,
      counted: Float64Array,
      expect: (i: number, other: number) => number,
    ) => {
      for (let i = 0; i < size; i += 1) {
        let expected = 0;
        for (let other = 0; other < size; other += 1) expected += expect(i, other);
        const next = (PRIOR + counted[i]!) / (PRIOR + expected);
        change = Math.max(change, Math.abs(next - factor[i]!));
        factor[i] = next;
      }
    };
    const weight = (t: number, k: number) => (t * size + k === without ? 0 : base * open[t * size + k]!);
    refresh(missed, ofRow, (t, k) => weight(t, k) * given[k]!);
    refresh(given, ofColumn, (k, t) => weight(t, k) * missed[t]!);
    if (change < 1e-4) break;
  }
  return { base, missed, given, errors, ofRow, ofColumn };
}

/** P(X ≥ count) for X binomial. */
export function binomialTail(count: number, trials: number, p: number): number {
  if (count <= 0) return 1;
  if (p <= 0) return 0;
  let term = 1;
  for (let i = 0; i < count; i += 1) term *= ((trials - i) / (count - i)) * p;
  term *= (1 - p) ** (trials - count);
  let sum = term;
  for (let x = count; x < trials; x += 1) {
    term *= ((trials - x) / (x + 1)) * (p / (1 - p));
    sum += term;
  }
  return Math.min(1, sum);
}

/**
 * P(X ≥ count) where X is binomial with a rate that is itself only known to lie about its mean: beta-binomial of that mean and variance
 * (J. G. Skellam 1948, _JRSS B_ 10: 257–261).
 *
 * @param relativeVariance of the rate, in squares of its mean; 0 is the plain binomial
 * @example
 * predictiveTail(3, 20, 0.02, 0); // 0.0071
 * predictiveTail(3, 20, 0.02, 0.5); // more, since the rate may be twice as high
 */
export function predictiveTail(
  count: number,
  trials: number,
  mean: number,
  relativeVariance: number,
): number {
  if (count <= 0) return 1;
  const a = (1 - mean) / relativeVariance - mean;
  if (!(a > 0) || !Number.isFinite(a) || mean <= 0) return binomialTail(count, trials, mean);
  const b = (a * (1 - mean)) / mean;
  let term = 1;
  for (let i = 0; i < trials; i += 1) term *= (b + i) / (a + b + i);
  let below = 0;
  for (let x = 0; x < count; x += 1) {
    below += term;
    term *= ((trials - x) / (x + 1)) * ((x + a) / (trials - x - 1 + b));
  }
  // Below a millionth the rest is summed from its own end.
  if (below < 1 - 1e-6) return 1 - below;
  let above = 0;
  for (let x = count; x <= trials; x += 1) {
    above += term;
    term *= ((trials - x) / (x + 1)) * ((x + a) / (trials - x - 1 + b));
  }
  return Math.min(1, above);
}
