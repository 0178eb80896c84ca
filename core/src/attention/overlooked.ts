import type { Telling } from './told.ts';

/** What is known of one character: from names, its use over that of the typical one with its deviation; from reports, how often it was told. */
export interface Known {
  names?: { use: number; sd: number };
  told?: Telling;
  /** Chance, before this class is looked at, that it is passed over; of one in ten where nothing is known. */
  before?: number;
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
  share: 0.1,
  lower: 2.2,
  lowerBy: 0.6,
  /** Deviation of the ordinary ones: the data weigh these. */
  ordinary: [0.3, 0.45, 0.6, 0.8, 1.1],
  /** Deviation of ln rate from what is attended to: how unevenly things are told; never less than the first. */
  uneven: [0.5, 0.7, 1],
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

/** What one class passes over the next does in so many cases, beyond what any does. */
const CARRIES = 0.6;

/**
 * How likely a class passes a character over, where earlier classes with the like list did with some chance.
 *
 * @param earlier mean chance over the earlier classes, 0–1
 * @example
 * beforehand(0.95); // 0.61
 */
export const beforehand = (earlier: number): number => KINDS.share + CARRIES * (earlier - KINDS.share);

/**
 * Which characters a class passes over: each is an ordinary one or one of those that lie far lower, and what names and reports say of it is weighed on a
 * grid of ψ. How much ordinary ones differ, and how unevenly they are told, is averaged over by what the class shows of all of them.
 *
 * @param mu log odds with which an ordinary character is looked at
 * @returns one entry a character; of one about which nothing is known the priors
 * @example
 * attendedOf([{ told: { offered: 90, told: 1, expected: 14 } }, …], -1.2)[0]; // { overlooked: 0.93, use: 0.12, … }
 */
export function attendedOf(known: readonly Known[], mu: number): Attended[] {
  const reports = known.some(({ told }) => told && told.offered > 0);
  const both = reports && known.some(({ names }) => names);
  const found = KINDS.ordinary.flatMap((ordinary) =>
    (reports ? KINDS.uneven : KINDS.uneven.slice(0, 1)).flatMap((uneven) =>
      (both ? KINDS.loose : KINDS.loose.slice(0, 1)).map((loose) =>
        weighed(known, mu, { ordinary, uneven, loose }),
      ),
    ),
  );
  const most = Math.max(...found.map(({ evidence }) => evidence));
  const weights = found.map(({ evidence }) => Math.exp(evidence - most));
  const all = sumOf(weights);
  const share = GRID.map((d) => logistic(mu + d) / logistic(mu));
  return known.map((_, c) => {
    const posterior = new Float64Array(GRID.length);
    let overlooked = 0;
    found.forEach(({ posteriors, chances }, m) => {
      const weight = weights[m]! / all;
      overlooked += weight * chances[c]!;
      posteriors[c]!.forEach((x, i) => (posterior[i]! += weight * x));
    });
    return { overlooked, ...usesOf(posterior, share) };
  });
}

const logistic = (x: number): number => 1 / (1 + Math.exp(-x));
const normal = (x: number, sd: number): number => Math.exp(-0.5 * (x / sd) ** 2) / (sd * 2.5066282746);
const sumOf = (values: Float64Array | readonly number[]): number => {
  let sum = 0;
  for (const x of values) sum += x;
  return sum;
};

/** How much ordinary characters differ, how unevenly things are told, and how far names are trusted. */
interface Spreads {
  ordinary: number;
  uneven: number;
  loose: number;
}

interface Weighed {
  /** ln P(all that is known | spreads), with what is thought of the spreads beforehand. */
  evidence: number;
  /** Of each character, over the grid. */
  posteriors: Float64Array[];
  /** That it is one of those passed over. */
  chances: number[];
}

const ROUNDS = 4;

function weighed(known: readonly Known[], mu: number, { ordinary, uneven, loose }: Spreads): Weighed {
  const prior = (at: (d: number) => number) => {
    const values = GRID.map(at);
    const all = sumOf(values);
    return values.map((x) => x / all);
  };
  const plain = prior((d) => normal(d, ordinary));
  const low = prior((d) => normal(d + KINDS.lower, Math.hypot(KINDS.lowerBy, 0.5 * ordinary)));
  const share = GRID.map((d) => logistic(mu + d) / logistic(mu));
  const logShare = share.map(Math.log);
  const byNames = known.map(
    ({ names }) => names && share.map((s) => normal(names.use - s, Math.sqrt(loose) * names.sd)),
  );
  // Log of the rate at which an ordinary one is told.
  let rate = 0;
  let result: Weighed = { evidence: -Infinity, posteriors: [], chances: [] };
  for (let round = 0; round < ROUNDS; round += 1) {
    let [evidence, off, weight] = [0, 0, 0];
    const posteriors: Float64Array[] = [];
    const chances = known.map(({ told, before = KINDS.share }, c) => {
      const asked = told && told.offered > 0;
      const likelihood = logShare.map(
        (s, i) => (byNames[c]?.[i] ?? 1) * (asked ? ofTold(told, rate + s, uneven) : 1) + 1e-30,
      );
      const lower = before * sumOf(low.map((x, i) => x * likelihood[i]!));
      const all = (1 - before) * sumOf(plain.map((x, i) => x * likelihood[i]!)) + lower;
      evidence += Math.log(all);
      const posterior = likelihood.map((x, i) => (x * ((1 - before) * plain[i]! + before * low[i]!)) / all);
      posteriors.push(posterior);
      if (asked) {
        const expected = sumOf(posterior.map((x, i) => x * logShare[i]!));
        const w = 1 / (uneven ** 2 + 1 / (told.expected + 0.5));
        off += w * (Math.log((told.told + 0.5) / (told.expected + 0.5)) - expected - rate);
        weight += w;
      }
      return lower / all;
    });
    // Spreads near the middle ones are likelier beforehand.
    evidence -= 0.5 * ((ordinary - 0.5) / 0.3) ** 2 + 0.5 * ((uneven - 0.5) / 0.3) ** 2;
    result = { evidence, posteriors, chances };
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

/** Mean, 90 % interval (a little wider than of the posterior, since what is ordinary is not known for sure either) and chance of less than 1 of π over that of an ordinary character. */
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
  return { use, interval: [quantile(0.04), quantile(0.96)], below };
}
