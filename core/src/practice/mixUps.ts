import type { MixUp } from './kinds.ts';

/** A tree that was taken for another, and when (milliseconds since 1970). */
export interface Slip {
  taxonId: string;
  named: string;
  at: number;
}

/** A slip counts half after so many days. */
const HALF_LIFE = 30 * 24 * 3600_000;
/** What one slip of today weighs; several add up to 1. */
const ONE = 0.5;
/** Slips this old are forgiven. */
const LEAST = 0.05;
/** Of a class so many answers have to take one for the other before it is a mix-up of the class. */
const OFTEN = 0.08;
const AT_LEAST = 2;

/**
 * A student's own mix-ups, both ways under one head: each slip weighs less with time, so that what is over is over.
 *
 * @example
 * ownMixUps([{ taxonId: 'abies-grandis', named: 'abies-lasiocarpa', at: now }], now);
 * // [{ a: 'abies-grandis', b: 'abies-lasiocarpa', weight: 0.5, own: true }]
 */
export function ownMixUps(slips: readonly Slip[], now: number): MixUp[] {
  const weights = new Map<string, MixUp>();
  for (const { taxonId, named, at } of slips) {
    if (taxonId === named) continue;
    const [a, b] = [taxonId, named].sort() as [string, string];
    const held = weights.get(`${a} ${b}`) ?? { a, b, weight: 0, own: true };
    const age = Math.max(0, now - at);
    held.weight += ONE * 2 ** (-age / HALF_LIFE);
    weights.set(`${a} ${b}`, held);
  }
  return [...weights.values()]
    .filter(({ weight }) => weight >= LEAST)
    .map((each) => ({ ...each, weight: Math.min(1, each.weight) }))
    .sort((x, y) => y.weight - x.weight);
}

/** Mix-ups of a class: both ways under one head, with the share of answers to either tree that named the other. */
export function classMixUps(answers: readonly { truth: string; named: string | null }[]): MixUp[] {
  const asked = new Map<string, number>();
  const mixed = new Map<string, { a: string; b: string; count: number }>();
  for (const { truth, named } of answers) {
    asked.set(truth, (asked.get(truth) ?? 0) + 1);
    if (!named || named === truth) continue;
    const [a, b] = [truth, named].sort() as [string, string];
    const held = mixed.get(`${a} ${b}`) ?? { a, b, count: 0 };
    held.count += 1;
    mixed.set(`${a} ${b}`, held);
  }
  return [...mixed.values()]
    .map(({ a, b, count }) => ({
      a,
      b,
      count,
      weight: Math.min(1, count / ((asked.get(a) ?? 0) + (asked.get(b) ?? 0))),
      own: false,
    }))
    .filter(({ weight, count }) => weight >= OFTEN && count >= AT_LEAST)
    .sort((x, y) => y.weight - x.weight)
    .map(({ count: _count, ...each }) => each);
}
