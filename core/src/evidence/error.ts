import { carriedEvidence } from './bhattacharyya.ts';
import type { Channel } from './readings.ts';

/** Width of a cell of the log-likelihood ratio, in nats. */
const CELL = 0.01;
/** Ratios are kept within ±this many nats; what lies beyond adds less than e^−LIMIT to the error. */
const LIMIT = 40;

export type Verdict = 'settled' | 'doubtful' | 'not settled';

/** 2 %, to a tolerance of rounding. */
export const SETTLED_AT = 0.02 + 1e-6;
export const DOUBTFUL_AT = 0.1;

export const verdictOf = (error: number): Verdict =>
  error <= SETTLED_AT ? 'settled' : error <= DOUBTFUL_AT ? 'doubtful' : 'not settled';

/** Up to this many combinations of readings are gone through one by one; beyond, the ratios are convolved. */
const ENUMERATED = 20_000;

/**
 * Error of the ideal reader between taxa a and b from all channels given, both taxa equally likely: half the overlap of the
 * joint distributions, `Pe = ½·E_a[min(1, e^−Λ)]` with Λ = Σ ln P(s|a)/P(s|b). Exact for a few channels, else found by
 * convolving the ratios of the channels on a grid of 0.01 nat. Where the date leaves open whether the specimens are in leaf, over both
 * conditions: in leaf all channels speak, bare those that are on no leaf; which of the two it is, is seen with either. Between 0 and
 * ½; ½ where nothing is known.
 */
export function idealReaderError(channels: readonly Channel[], a: number, b: number): number {
  const held = channels.map((channel) => ({ evidence: 0, channels: [channel] }));
  return conditionsOf(held, a, b).reduce(
    (sum, each) => sum + overlap(each.channels, a, b, each.ofA, each.ofB),
    0,
  );
}

const isSure = (present: Float64Array, a: number, b: number) => present[a] === 1 && present[b] === 1;

/** Does the date leave open, for this pair, whether its specimens carry the part that a channel is on? */
const isOpen = ({ present }: Channel, a: number, b: number): boolean =>
  present !== undefined && !isSure(present, a, b);

/** Half the overlap of what is read of two taxa, of which only a share is in the condition. */
function overlap(channels: readonly Channel[], a: number, b: number, ofA: number, ofB: number): number {
  if (ofA === 0 || ofB === 0) return 0;
  const known = channels.filter((channel) => channel.rows[a] && channel.rows[b]);
  const combinations = known.reduce((product, channel) => product * channel.rows[a]!.length, 1);
  return (combinations <= ENUMERATED ? enumerated : convolved)(known, a, b, ofA, ofB);
}

function enumerated(channels: readonly Channel[], a: number, b: number, ofA: number, ofB: number): number {
  let [ps, qs] = [Float64Array.of(ofA), Float64Array.of(ofB)];
  for (const channel of channels) {
    const [p, q] = [channel.rows[a]!, channel.rows[b]!];
    const [nextP, nextQ] = [new Float64Array(ps.length * p.length), new Float64Array(ps.length * p.length)];
    for (let i = 0, cell = 0; i < ps.length; i += 1)
      for (let s = 0; s < p.length; s += 1, cell += 1) {
        nextP[cell] = ps[i]! * p[s]!;
        nextQ[cell] = qs[i]! * q[s]!;
      }
    [ps, qs] = [nextP, nextQ];
  }
  let shared = 0;
  for (let i = 0; i < ps.length; i += 1) shared += Math.min(ps[i]!, qs[i]!);
  return shared / 2;
}

function convolved(channels: readonly Channel[], a: number, b: number, ofA: number, ofB: number): number {
  const cells = Math.round((2 * LIMIT) / CELL) + 1;
  const zero = (cells - 1) / 2;
  let mass = new Float64Array(cells);
  const begin = clamp(zero + Math.round(Math.log(ofA / ofB) / CELL), cells);
  mass[begin] = ofA;
  let [from, to] = [begin, begin];
  for (const channel of channels) {
    const next = new Float64Array(cells);
    let [nextFrom, nextTo] = [cells, 0];
    for (const [ratio, weight] of ratiosOf(channel.rows[a]!, channel.rows[b]!)) {
      const exact = ratio / CELL;
      const whole = Math.floor(exact);
      const part = exact - whole;
      for (let i = from; i <= to; i += 1) {
        const here = mass[i]!;
        if (here === 0) continue;
        const below = clamp(i + whole, cells);
        const above = clamp(i + whole + 1, cells);
        next[below]! += here * weight * (1 - part);
        next[above]! += here * weight * part;
        if (below < nextFrom) nextFrom = below;
        if (above > nextTo) nextTo = above;
      }
    }
    mass = next;
    [from, to] = [nextFrom, nextTo];
  }
  let error = 0;
  for (let i = from; i <= to; i += 1) error += mass[i]! * Math.min(1, Math.exp(-(i - zero) * CELL));
  return error / 2;
}

const clamp = (cell: number, cells: number) => Math.min(cells - 1, Math.max(0, cell));

/** Log ratios with their probability under a; readings of equal ratio are joined to save work. */
function ratiosOf(p: Float64Array, q: Float64Array): Map<number, number> {
  const ratios = new Map<number, number>();
  for (let s = 0; s < p.length; s += 1) {
    if (p[s]! < 1e-12) continue;
    const ratio = Math.round(Math.log(p[s]! / q[s]!) * 400) / 400;
    ratios.set(ratio, (ratios.get(ratio) ?? 0) + p[s]!);
  }
  return ratios;
}

interface Held {
  evidence: number;
  channels: readonly Channel[];
}

/** One condition that both specimens may be in: its share of each taxon, the channels that speak in it, and the most its part of the error can be. */
interface Condition {
  ofA: number;
  ofB: number;
  channels: Channel[];
  bound: number;
}

/** The conditions of a pair: one where the date leaves nothing open, else in leaf and bare. Bounds are `½·√(ofA·ofB)·e^−Σe`. */
function conditionsOf(held: readonly Held[], a: number, b: number): Condition[] {
  const channels = held.flatMap((entry) => entry.channels);
  const present = channels.find((channel) => isOpen(channel, a, b))?.present;
  if (!present) {
    const evidence = held.reduce((sum, entry) => sum + entry.evidence, 0);
    return [{ ofA: 1, ofB: 1, channels, bound: Math.exp(-evidence) / 2 }];
  }
  const condition = (ofA: number, ofB: number, speaking: Channel[]): Condition => {
    const evidence = speaking.reduce((sum, channel) => sum + (carriedEvidence(channel, a, b) ?? 0), 0);
    return { ofA, ofB, channels: speaking, bound: (Math.sqrt(ofA * ofB) * Math.exp(-evidence)) / 2 };
  };
  return [
    condition(
      present[a]!,
      present[b]!,
      channels.filter(({ character }) => !character.derived),
    ),
    condition(
      1 - present[a]!,
      1 - present[b]!,
      channels.filter((channel) => !channel.present),
    ),
  ];
}

/** An upper bound of the error of a pair, over all conditions it may be in. */
export const errorBound = (held: readonly Held[], a: number, b: number): number =>
  conditionsOf(held, a, b).reduce((sum, { bound }) => sum + bound, 0);

/** Below this the upper bound of a condition's part of the error is taken for it. */
const BOUND_SERVES = 0.0005;

/**
 * The error of a pair with every character that takes part. Where the evidence is so strong that the upper bound lies
 * below 0.05 %, the bound itself is given.
 */
export const pairError = (held: readonly Held[], a: number, b: number): number =>
  conditionsOf(held, a, b).reduce(
    (sum, { bound, channels, ofA, ofB }) =>
      sum + (bound < BOUND_SERVES ? bound : overlap(channels, a, b, ofA, ofB)),
    0,
  );

/**
 * The verdict on a pair, without the convolution where bounds decide: with ρ = e^−Σe, `½(1−√(1−ρ²)) ≤ Pe ≤ ½ρ`, so the
 * pair is settled from Σe = 3.22 on and not settled while ρ > 0.60.
 */
export function quickVerdict(evidence: readonly Held[], a: number, b: number): Verdict {
  const conditions = conditionsOf(evidence, a, b);
  const bound = conditions.reduce((sum, each) => sum + each.bound, 0);
  if (bound <= SETTLED_AT) return 'settled';
  if (conditions.length === 1 && bound > 0.3) return 'not settled';
  return verdictOf(
    idealReaderError(
      evidence.flatMap((entry) => entry.channels),
      a,
      b,
    ),
  );
}

/**
 * The chance that one known specimen of taxon a is taken for b: its own readings against what is said of both taxa. Ties
 * count half. `specimen` gives, for a channel, the distribution of readings of that very piece.
 */
export function chanceTakenFor(
  channels: readonly Channel[],
  a: number,
  b: number,
  specimen: (channel: Channel) => Float64Array | undefined,
): number {
  let sums = new Map<number, number>([[0, 1]]);
  for (const channel of channels) {
    const [p, q, own] = [channel.rows[a], channel.rows[b], specimen(channel)];
    if (!p || !q || !own) continue;
    const next = new Map<number, number>();
    for (const [sum, weight] of sums)
      own.forEach((share, s) => {
        if (share < 1e-9) return;
        const cell = Math.round((sum + Math.log(p[s]! / q[s]!)) / 0.01) * 0.01;
        next.set(cell, (next.get(cell) ?? 0) + weight * share);
      });
    sums = next;
  }
  let taken = 0;
  for (const [sum, weight] of sums) taken += sum < -1e-6 ? weight : Math.abs(sum) <= 1e-6 ? weight / 2 : 0;
  return taken;
}
