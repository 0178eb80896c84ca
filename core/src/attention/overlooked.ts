import type { Telling } from './told.ts';

/** What is known of one character: from names, its use over that of the typical one with its deviation; from reports, how often it was told. */
export interface Known {
  names?: { use: number; sd: number };
  told?: Telling;
}

/** How a class attends to one character. */
export interface Attended {
  /** Chance that it is one of those that the class passes over, 0–1. */
  overlooked: number;
  /** π over that of an ordinary character, its mean and 90 % interval. */
  use: number;
  interval: [number, number];
  /** Chance that it is attended to less than an ordinary one. */
  below: number;
}

/** The two kinds of characters, on the scale of ψ from that of the ordinary one (docs/method.md, Overlooked or ordinary). */
export const KINDS = {
  /** Share that is passed over, and how much lower it lies, with its deviation. */
  share: 0.08,
  lower: 2.2,
  lowerBy: 0.7,
  /** Deviation of the ordinary ones: the data choose among these. */
  ordinary: [0.4, 0.6, 0.8, 1, 1.3],
  /** Deviation of ln rate from what is attended to: how unevenly things are told; never less than the first. */
  uneven: [0.5, 0.7, 0.9],
  /** Factors on the variance that names leave, for students are not the model's: the first where there is nothing to hold names against. */
  loose: [2, 6, 20, 100],
};

const FROM = -6;
const STEP = 0.1;
const GRID = Float64Array.from({ length: 96 }, (_, i) => FROM + STEP * i);
/** Nodes and weights of Gauss and Hermite for a standard normal. */
const NODES: readonly (readonly [number, number])[] = [
  [-3.75044, 0.000548],
  [-2.36676, 0.030757],
  [-1.15441, 0.240123],
  [0, 0.457143],
  [1.15441, 0.240123],
  [2.36676, 0.030757],
  [3.75044, 0.000548],
];

/**
 * Which characters a class passes over: each is an ordinary one or one of those that lie far lower, and what names and reports say of it is weighed on a
 * grid of ψ. How much ordinary ones differ, and how unevenly they are told, is chosen by what the class shows of all of them.
 *
 * @param mu log odds with which an ordinary character is looked at
 * @returns one entry a character; of one about which nothing is known the priors
 * @example
 * attendedOf([{ told: { offered: 90, told: 1, expected: 14 } }, …], -1.2)[0]; // { overlooked: 0.93, use: 0.12, … }
 */
export function attendedOf(known: readonly Known[], mu: number): Attended[] {
  const reports = known.some(({ told }) => told && told.offered > 0);
  const both = reports && known.some(({ names }) => names);
  let best: { evidence: number; attended: Attended[] } | undefined;
  for (const ordinary of KINDS.ordinary)
    for (const uneven of reports ? KINDS.uneven : KINDS.uneven.slice(0, 1))
      for (const loose of both ? KINDS.loose : KINDS.loose.slice(0, 1)) {
        const found = weighed(known, mu, { ordinary, uneven, loose });
        if (!best || found.evidence > best.evidence) best = found;
      }
  return best!.attended;
}

const logistic = (x: number): number => 1 / (1 + Math.exp(-x));
const normal = (x: number, sd: number): number => Math.exp(-0.5 * (x / sd) ** 2) / (sd * 2.5066282746);

function weighed(
  known: readonly Known[],
  mu: number,
  { ordinary, uneven, loose }: { ordinary: number; uneven: number; loose: number },
) {
  const prior = (at: (d: number) => number) => {
    const values = GRID.map(at);
    const all = values.reduce((sum, x) => sum + x, 0);
    return values.map((x) => x / all);
  };
  const plain = prior((d) => normal(d, ordinary));
  const low = prior((d) => normal(d + KINDS.lower, Math.hypot(KINDS.lowerBy, 0.5 * ordinary)));
  const share = GRID.map((d) => logistic(mu + d) / logistic(mu));
  // Log of the rate at which an ordinary one is told.
  let rate = 0;
  let result: { evidence: number; attended: Attended[] } = { evidence: -Infinity, attended: [] };
  for (let round = 0; round < 6; round += 1) {
    let evidence = 0;
    let [off, weight] = [0, 0];
    const attended = known.map(({ names, told }): Attended => {
      const likelihood = GRID.map((_, i) => {
        let value = 1;
        if (names) value *= normal(names.use - share[i]!, Math.sqrt(loose) * names.sd);
        if (told && told.offered > 0) value *= ofTold(told, rate + Math.log(share[i]!), uneven);
        return value + 1e-30;
      });
      const [byPlain, byLow] = [plain, low].map((row) => row.map((x, i) => x * likelihood[i]!));
      const [sumPlain, sumLow] = [byPlain!, byLow!].map((row) => row.reduce((sum, x) => sum + x, 0));
      const all = (1 - KINDS.share) * sumPlain! + KINDS.share * sumLow!;
      evidence += Math.log(all);
      const posterior = GRID.map(
        (_, i) => ((1 - KINDS.share) * byPlain![i]! + KINDS.share * byLow![i]!) / all,
      );
      const overlooked = (KINDS.share * sumLow!) / all;
      if (told && told.offered > 0) {
        const expected = posterior.reduce((sum, x, i) => sum + x * Math.log(share[i]!), 0);
        const w = 1 / (uneven ** 2 + 1 / (told.expected + 0.5));
        off += w * (Math.log((told.told + 0.5) / (told.expected + 0.5)) - expected - rate);
        weight += w;
      }
      return { overlooked, ...usesOf(posterior, share) };
    });
    // Scales are penalised as likely as not to be near the middle ones.
    const held = evidence - 0.5 * ((ordinary - 0.7) / 0.4) ** 2 - 0.5 * ((uneven - 0.5) / 0.3) ** 2;
    result = { evidence: held, attended };
    if (weight) rate += off / weight;
  }
  return result;
}

/** P(told times | expected at a log rate), overdispersed by a normal deviation of the log rate. */
function ofTold({ told, expected }: Telling, logRate: number, uneven: number): number {
  let sum = 0;
  for (const [node, weight] of NODES) {
    const mean = Math.max(1e-6, expected * Math.exp(logRate + uneven * node));
    sum += weight * Math.exp(told * Math.log(mean) - mean - lnFactorial(told));
  }
  return sum;
}

function lnFactorial(n: number): number {
  if (n < 2) return 0;
  return n * Math.log(n) - n + 0.5 * Math.log(2 * Math.PI * n) + 1 / (12 * n);
}

/** Mean, 90 % interval and chance of less than 1 of π over that of an ordinary character. */
function usesOf(posterior: Float64Array, share: Float64Array): Pick<Attended, 'use' | 'interval' | 'below'> {
  let [use, below] = [0, 0];
  posterior.forEach((x, i) => {
    use += x * share[i]!;
    if (GRID[i]! < -STEP / 2) below += x;
  });
  const quantile = (q: number) => {
    let sum = 0;
    for (let i = 0; i < posterior.length; i += 1) if ((sum += posterior[i]!) >= q) return share[i]!;
    return share[share.length - 1]!;
  };
  return { use, interval: [quantile(0.05), quantile(0.95)], below };
}
