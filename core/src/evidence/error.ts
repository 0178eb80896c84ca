import { coefficientBound, coefficientFloor, sharedMass } from './organs.ts';
import { LEAVES_PRESENT } from './leaves.ts';
import type { Channel } from './readings.ts';

export type Verdict = 'settled' | 'doubtful' | 'not settled';

/** What is printed as 2.0 %. */
export const SETTLED_AT = 0.0205;
export const DOUBTFUL_AT = 0.1;

export const verdictOf = (error: number): Verdict =>
  error <= SETTLED_AT ? 'settled' : error <= DOUBTFUL_AT ? 'doubtful' : 'not settled';

/**
 * Error of the ideal reader between taxa a and b from all channels given, both taxa equally likely: half the overlap of the
 * joint distributions, `Pe = ½·E_a[min(1, e^−Λ)]` with Λ = Σ ln P(s|a)/P(s|b) over the organs (`organs.ts`), of which each may be odd.
 * Where the date leaves open whether the specimens are in leaf, over both conditions: in leaf all channels speak, bare those that are
 * on no leaf; which of the two it is, is seen with either. Between 0 and ½; ½ where nothing is known.
 */
export function idealReaderError(channels: readonly Channel[], a: number, b: number): number {
  return conditionsOf(channels, a, b).reduce(
    (sum, each) => sum + sharedMass(each.channels, a, b, each.ofA, each.ofB) / 2,
    0,
  );
}

const isSure = (present: Float64Array, a: number, b: number) => present[a] === 1 && present[b] === 1;

/** Does the date leave open, for this pair, whether its specimens carry the part that a channel is on? */
const isOpen = ({ present }: Channel, a: number, b: number): boolean =>
  present !== undefined && !isSure(present, a, b);

/** Characters with the channels that they are read by. */
type Held = readonly { channels: readonly Channel[] }[];

const channelsOf = (held: Held): Channel[] => held.flatMap(({ channels }) => channels);

/** One condition that both specimens may be in: its share of each taxon, and the channels that speak in it. */
interface Condition {
  ofA: number;
  ofB: number;
  channels: readonly Channel[];
}

/** The conditions of a pair: one where the date leaves nothing open, else in leaf and bare. */
function conditionsOf(channels: readonly Channel[], a: number, b: number): Condition[] {
  const present = channels.find((channel) => isOpen(channel, a, b))?.present;
  if (!present) return [{ ofA: 1, ofB: 1, channels }];
  const leafy = channels.filter(({ character }) => character.id !== LEAVES_PRESENT);
  return [
    { ofA: present[a]!, ofB: present[b]!, channels: leafy },
    { ofA: 1 - present[a]!, ofB: 1 - present[b]!, channels: channels.filter((channel) => !channel.present) },
  ];
}

/** The most that a condition can add to the error: `½·√(ofA·ofB)·Π ρ'` over the organs. */
const boundOf = ({ channels, ofA, ofB }: Condition, a: number, b: number): number =>
  (Math.sqrt(ofA * ofB) * coefficientBound(channels, a, b)) / 2;

/** An upper bound of the error of a pair, over all conditions it may be in. */
export const errorBound = (held: Held, a: number, b: number): number =>
  conditionsOf(channelsOf(held), a, b).reduce((sum, condition) => sum + boundOf(condition, a, b), 0);

/**
 * A lower bound: `½(1 − √(1 − ρ²))` with ρ the product over the organs, none below what odd specimens leave; over all conditions.
 */
export const errorFloor = (held: Held, a: number, b: number): number =>
  conditionsOf(channelsOf(held), a, b).reduce((sum, { channels, ofA, ofB }) => {
    const both = ofA + ofB;
    if (both === 0) return sum;
    const rho = (2 * Math.sqrt(ofA * ofB) * coefficientFloor(channels, a, b)) / both;
    return sum + (both / 4) * (1 - Math.sqrt(Math.max(0, 1 - rho * rho)));
  }, 0);

/** Below this the upper bound of a condition's part of the error is taken for it. */
const BOUND_SERVES = 0.002;

/**
 * The error of a pair with every character that takes part. Where the evidence is so strong that the upper bound lies
 * below 0.2 %, the bound itself is given.
 */
export const pairError = (held: Held, a: number, b: number): number =>
  conditionsOf(channelsOf(held), a, b).reduce((sum, condition) => {
    const bound = boundOf(condition, a, b);
    const { channels, ofA, ofB } = condition;
    return sum + (bound < BOUND_SERVES ? bound : sharedMass(channels, a, b, ofA, ofB) / 2);
  }, 0);

/** The verdict on a pair, worked out only where the bounds do not decide. */
export function quickVerdict(held: Held, a: number, b: number): Verdict {
  const bound = errorBound(held, a, b);
  if (bound <= SETTLED_AT) return 'settled';
  const floor = errorFloor(held, a, b);
  return floor > DOUBTFUL_AT ? 'not settled' : verdictOf(pairError(held, a, b));
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
