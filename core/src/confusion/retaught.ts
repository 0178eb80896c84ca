/** What became of a pair since it was taught again. */
export type AfterReteaching = 'resolved' | 'improving' | 'still mixed up' | 'as before' | 'too few to say';

/** Answers to one station that showed either tree of a pair; those of a student who answered to it elsewhere as well weigh less than one. */
export interface StationCount {
  asked: number;
  /** Answers that named the other tree of the pair. */
  mixed: number;
  /** Share that would mix the two up by the evidence alone: what a beginner misreads of this specimen, 0–1. */
  expected: number;
}

/** A pair before and after, at the specimens that were shown after. */
export interface Retaught {
  verdict: AfterReteaching;
  /** Shares mixed up before and after, had the later specimens been shown both times: means of what is likely, 0–1. */
  before: number;
  after: number;
  /** 90 % interval of the share before less that after. */
  difference: [number, number];
  /** The later specimens were easier or harder to tell by the evidence. */
  specimens: 'as hard' | 'easier' | 'harder';
}

/** Other pairs of the class before: what a pair that was not singled out is like. */
export type Peers = readonly (readonly StationCount[])[];

/** So likely something has to be before it is said: that it is resolved, has become rarer, or has not even halved, which damps more than it helps. */
const LIKELY = { resolved: 0.85, improving: 0.9, asBefore: 0.985 };
/** So likely it has to be seldom now, to be resolved. */
const SURELY_SELDOM = 0.8;
/** As likely as not seldom now, and nobody can say that it still happens. */
const PERHAPS_SELDOM = 0.05;
/** How much stations of one pair differ in what nobody knows of them, as a standard deviation of the log-odds. */
const STATION_SD = 0.35;
/** How much teaching, or time, may change the log-odds before anything is known. */
const CHANGE_SD = 1.5;
/** Where there are too few other pairs to learn from: log-odds over those of a beginner's misreading, and how they differ. */
const USUAL = { mean: 0, sd: 1 };
/** So many pairs' worth of knowing are the usual ones beside those of the class. */
const USUAL_WEIGHT = 1.5;
/** So many pairs are not like the others of their class, and by so much. */
const APART = { share: 0.1, sd: 1.4 };
/** Pairs are never all alike. */
const LEAST_SPREAD = 0.2;
/** Specimens are as hard where the odds by the evidence lie within this factor. */
const AS_HARD = 1.35;
/** So far below the likeliest, in logs, a point weighs nothing: five thousand of them not a billionth. */
const NEGLIGIBLE = 30;
/** Nobody is sure that a specimen cannot be mixed up, or cannot but be. */
const EXPECTED_BETWEEN = [0.02, 0.9] as const;

/**
 * What became of a pair after it was taught again (docs/method.md, Pairs). The log-odds of mixing it up are those of the evidence at each
 * station, plus what the class adds before (θ) and the change since (δ), plus what each station adds for itself. θ is drawn towards the other pairs of the class, so that
 * the one that looked worst is not said to have improved because it looked worst; what the later specimens are easier by is taken out. Resolved:
 * the odds are that the share is halved at least, and seldom now. Improving: the change is surely downwards. As before: surely more than half
 * is left. Still mixed up: it surely happens still, and may have become rarer.
 *
 * @param seldom share up to which a pair counts as no longer mixed up, 0–1
 * @example
 * afterReteaching([{ asked: 40, mixed: 20, expected: 0.1 }], [{ asked: 40, mixed: 1, expected: 0.1 }], []).verdict; // 'resolved'
 */
export function afterReteaching(
  before: readonly StationCount[],
  after: readonly StationCount[],
  peers: Peers,
  seldom = 0.12,
): Retaught {
  const specimens = hardness(before, after);
  if (answersOf(before) === 0 || answersOf(after) === 0)
    return { verdict: 'too few to say', before: 0, after: 0, difference: [-1, 1], specimens };
  const prior = priorOf(peers);
  const shown = after.filter(({ asked }) => asked > 0);
  const thetas = gridAround(prior.mean, APART.sd, 81);
  const changes = gridAround(0, CHANGE_SD, 61);
  const earlier = thetas.map((theta) => logPrior(theta, prior) + logLikelihood(before, theta));
  // The later answers depend on the sum alone.
  const laterAt = new Map<number, number>();
  const later = (sum: number) => {
    const key = Math.round(sum * 50);
    const held = laterAt.get(key) ?? logLikelihood(after, key / 50);
    laterAt.set(key, held);
    return held;
  };
  // There are thousands of points: what depends on one of the two alone is worked out once.
  const byChange = changes.map((change) => ({
    change,
    prior: logNormal(change, { mean: 0, sd: CHANGE_SD }),
    times: Math.exp(change),
  }));
  const shareAt = sharesOf(shown);
  const points: Point[] = [];
  thetas.forEach((theta, i) => {
    const times = Math.exp(theta);
    const share = shareAt(times);
    for (const each of byChange)
      points.push({
        weight: earlier[i]! + each.prior + later(theta + each.change),
        change: each.change,
        before: share,
        after: shareAt(times * each.times),
      });
  });
  return { ...judged(points, seldom), specimens };
}

interface Point {
  weight: number;
  change: number;
  before: number;
  after: number;
}

function judged(all: Point[], seldom: number): Omit<Retaught, 'specimens'> {
  const most = Math.max(...all.map(({ weight }) => weight));
  const points = all.filter(({ weight }) => weight > most - NEGLIGIBLE);
  const masses = points.map(({ weight }) => Math.exp(weight - most));
  const total = masses.reduce((sum, mass) => sum + mass, 0);
  const chance = (holds: (point: Point) => boolean) =>
    points.reduce((sum, point, i) => sum + (holds(point) ? masses[i]! : 0), 0) / total;
  const mean = (of: (point: Point) => number) =>
    points.reduce((sum, point, i) => sum + of(point) * masses[i]!, 0) / total;
  const ordered = points
    .map((point, i) => ({ less: point.before - point.after, mass: masses[i]! / total }))
    .sort((a, b) => a.less - b.less);
  const quantile = (share: number) => {
    let sum = 0;
    return ordered.find(({ mass }) => (sum += mass) >= share)?.less ?? 0;
  };
  const halved = chance((point) => point.after <= point.before / 2);
  const rare = chance((point) => point.after <= seldom);
  const verdict: AfterReteaching =
    halved >= LIKELY.resolved && rare >= SURELY_SELDOM
      ? 'resolved'
      : chance(({ change }) => change < 0) >= LIKELY.improving
        ? 'improving'
        : rare > PERHAPS_SELDOM
          ? 'too few to say'
          : 1 - halved >= LIKELY.asBefore
            ? 'as before'
            : 'still mixed up';
  return {
    verdict,
    before: mean((point) => point.before),
    after: mean((point) => point.after),
    difference: [quantile(0.05), quantile(0.95)],
  };
}

/** How the log-odds of the class's pairs lie over those of the evidence: mean and spread, by the moments of their answers. */
function priorOf(peers: Peers): { mean: number; sd: number } {
  const seen = peers.flatMap((stations) => {
    const asked = answersOf(stations);
    if (asked === 0) return [];
    const mixed = stations.reduce((sum, station) => sum + station.mixed, 0);
    const expected = stations.reduce((sum, station) => sum + station.asked * within(station.expected), 0);
    // Half an answer each way keeps the log-odds finite.
    const theta = logit((mixed + 0.5) / (asked + 1)) - logit(expected / asked);
    const share = (mixed + 0.5) / (asked + 1);
    return [{ theta, variance: 1 / (asked * share * (1 - share)) + STATION_SD ** 2 / stations.length }];
  });
  const sum = (of: (one: { theta: number; variance: number }) => number) =>
    seen.reduce((total, one) => total + of(one), 0);
  const weight = (one: { variance: number }) => 1 / (one.variance + USUAL.sd ** 2);
  const mean =
    (USUAL_WEIGHT * USUAL.mean * (1 / (USUAL.sd ** 2 + 0.2)) + sum((one) => weight(one) * one.theta)) /
    (USUAL_WEIGHT * (1 / (USUAL.sd ** 2 + 0.2)) + sum(weight));
  const spread =
    (USUAL_WEIGHT * USUAL.sd ** 2 + sum((one) => (one.theta - mean) ** 2 - one.variance)) /
    (USUAL_WEIGHT + seen.length);
  return { mean, sd: Math.sqrt(Math.max(LEAST_SPREAD ** 2, spread)) };
}

/** Log of the likelihood of answers at stations whose own share of the log-odds is drawn from a normal: five points of Gauss and Hermite. */
function logLikelihood(stations: readonly StationCount[], theta: number): number {
  let total = 0;
  for (const { asked, mixed, expected } of stations) {
    if (asked === 0) continue;
    const at = logit(within(expected)) + theta;
    let likelihood = 0;
    HERMITE.forEach(([z, mass]) => {
      const share = logistic(at + STATION_SD * z);
      likelihood += mass * Math.exp(mixed * Math.log(share) + (asked - mixed) * Math.log(1 - share));
    });
    total += Math.log(likelihood);
  }
  return total;
}

/** Points and masses for a mean over a standard normal (Abramowitz & Stegun 1964, table 25.10, n = 5). */
const HERMITE: readonly (readonly [number, number])[] = [
  [-2.856970014, 0.011257411],
  [-1.35562618, 0.222075922],
  [0, 0.533333333],
  [1.35562618, 0.222075922],
  [2.856970014, 0.011257411],
];

function hardness(before: readonly StationCount[], after: readonly StationCount[]): Retaught['specimens'] {
  const [first, then] = [before, after].map((stations) => {
    const asked = answersOf(stations);
    return asked === 0
      ? undefined
      : logit(stations.reduce((sum, { asked: n, expected }) => sum + n * within(expected), 0) / asked);
  });
  if (first === undefined || then === undefined) return 'as hard';
  const more = then - first;
  return Math.abs(more) <= Math.log(AS_HARD) ? 'as hard' : more < 0 ? 'easier' : 'harder';
}

const answersOf = (stations: readonly StationCount[]): number =>
  stations.reduce((sum, { asked }) => sum + asked, 0);

/** Mean share at some stations, given what the class multiplies the odds of the evidence by. */
function sharesOf(stations: readonly StationCount[]): (times: number) => number {
  const total = answersOf(stations);
  const each = stations.map(({ asked, expected }) => ({
    part: asked / total,
    odds: Math.exp(logit(within(expected))),
  }));
  return (times) => {
    let mean = 0;
    for (const { part, odds } of each) mean += part * (1 - 1 / (1 + odds * times));
    return mean;
  };
}

const within = (share: number): number => Math.min(EXPECTED_BETWEEN[1], Math.max(EXPECTED_BETWEEN[0], share));

const gridAround = (mean: number, sd: number, points: number): number[] =>
  Array.from({ length: points }, (_, i) => mean + sd * (8 * (i / (points - 1)) - 4));

/** A pair is like the others of the class, or one apart. */
const logPrior = (theta: number, like: { mean: number; sd: number }): number =>
  Math.log(
    (1 - APART.share) * Math.exp(logNormal(theta, like)) +
      APART.share * Math.exp(logNormal(theta, { mean: like.mean, sd: APART.sd })),
  );

const logNormal = (x: number, { mean, sd }: { mean: number; sd: number }): number =>
  -0.5 * ((x - mean) / sd) ** 2 - Math.log(sd);

const logit = (share: number): number => Math.log(share / (1 - share));
const logistic = (x: number): number => 1 / (1 + Math.exp(-x));
