import type { CharacterEvidence } from './bhattacharyya.ts';
import type { Channel } from './readings.ts';

/** Width of a cell of the log-likelihood ratio, in nats. */
const CELL = 0.01;
/** Ratios are kept within ±this many nats; what lies beyond adds less than e^−LIMIT to the error. */
const LIMIT = 40;

export type Verdict = 'settled' | 'doubtful' | 'not settled';

export const SETTLED_AT = 0.02;
export const DOUBTFUL_AT = 0.1;

export const verdictOf = (error: number): Verdict =>
  error <= SETTLED_AT ? 'settled' : error <= DOUBTFUL_AT ? 'doubtful' : 'not settled';

/** Up to this many combinations of readings are gone through one by one; beyond, the ratios are convolved. */
const ENUMERATED = 20_000;

/**
 * Error of the ideal reader between taxa a and b from all channels given, both taxa equally likely: half the overlap of the
 * joint distributions, `Pe = ½·E_a[min(1, e^−Λ)]` with Λ = Σ ln P(s|a)/P(s|b). Exact for a few channels, else found by
 * convolving the ratios of the channels on a grid of 0.01 nat. Between 0 and ½; ½ where nothing is known.
 */
export function idealReaderError(channels: readonly Channel[], a: number, b: number): number {
  const known = channels.filter((channel) => channel.rows[a] && channel.rows[b]);
  const combinations = known.reduce((product, channel) => product * channel.rows[a]!.length, 1);
  return combinations <= ENUMERATED ? enumerated(known, a, b) : convolved(known, a, b);
}

function enumerated(channels: readonly Channel[], a: number, b: number): number {
  let [ps, qs] = [Float64Array.of(1), Float64Array.of(1)];
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
  let overlap = 0;
  for (let i = 0; i < ps.length; i += 1) overlap += Math.min(ps[i]!, qs[i]!);
  return overlap / 2;
}

function convolved(channels: readonly Channel[], a: number, b: number): number {
  const cells = Math.round((2 * LIMIT) / CELL) + 1;
  const zero = (cells - 1) / 2;
  let mass = new Float64Array(cells);
  mass[zero] = 1;
  let [from, to] = [zero, zero];
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

/**
 * The error of a pair with every character that takes part. Where the evidence is so strong that the bound `½·e^−Σe` lies
 * below 0.1 %, the bound itself is given.
 */
export function pairError(evidence: readonly CharacterEvidence[], a: number, b: number): number {
  const bound = Math.exp(-evidence.reduce((sum, entry) => sum + entry.evidence, 0)) / 2;
  if (bound < 0.001) return bound;
  return idealReaderError(
    evidence.flatMap((entry) => entry.channels),
    a,
    b,
  );
}

/**
 * The verdict on a pair, without the convolution where bounds decide: with ρ = e^−Σe, `½(1−√(1−ρ²)) ≤ Pe ≤ ½ρ`, so the
 * pair is settled from Σe = 3.22 on and not settled while ρ > 0.60.
 */
export function quickVerdict(evidence: readonly CharacterEvidence[], a: number, b: number): Verdict {
  const total = evidence.reduce((sum, entry) => sum + entry.evidence, 0);
  if (total >= 3.22) return 'settled';
  if (Math.exp(-total) > 0.6) return 'not settled';
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
