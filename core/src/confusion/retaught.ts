import { wilsonInterval } from './pairs.ts';

export type AfterReteaching = 'resolved' | 'improving' | 'still mixed up' | 'persisting' | 'too few to say';

export interface Counted {
  /** How often the pair was mixed up. */
  mixed: number;
  /** Answers to stations that asked either of the two. */
  asked: number;
}

/**
 * What became of a pair after it was taught again (docs/method.md, Reports). Resolved: the upper 90 % bound of the rate after is at most half the
 * rate before. Improving: the 90 % interval of the difference lies above 0. Still mixed up: the lower bound after lies above what is expected without
 * likeness; persisting only where a halving is excluded too, by the 90 % interval of the rate after less half of that before. Otherwise the answers
 * are too few to say.
 */
export function afterReteaching(before: Counted, after: Counted, expectedRate: number): AfterReteaching {
  if (before.asked === 0 || after.asked === 0) return 'too few to say';
  const rate = before.mixed / before.asked;
  const [low, high] = wilsonInterval(after.mixed, after.asked);
  if (before.mixed > 0 && high <= rate / 2) return 'resolved';
  if (differenceInterval(before, after)[0] > 0) return 'improving';
  if (low <= expectedRate) return 'too few to say';
  return halvingExcluded(before, after) ? 'persisting' : 'still mixed up';
}

/** Does the rate after lie surely above half of the rate before? */
function halvingExcluded(before: Counted, after: Counted): boolean {
  const [p, q] = [before.mixed / before.asked, after.mixed / after.asked];
  const [, pHigh] = wilsonInterval(before.mixed, before.asked);
  const [qLow] = wilsonInterval(after.mixed, after.asked);
  return q - p / 2 - Math.hypot(q - qLow, (pHigh - p) / 2) > 0;
}

/** Interval of the rate before less the rate after, 90 % (R. G. Newcombe 1998, Statistics in Medicine 17: 873–890, method 10). */
export function differenceInterval(before: Counted, after: Counted): [number, number] {
  const [p, q] = [before.mixed / before.asked, after.mixed / after.asked];
  const [pLow, pHigh] = wilsonInterval(before.mixed, before.asked);
  const [qLow, qHigh] = wilsonInterval(after.mixed, after.asked);
  return [p - q - Math.hypot(p - pLow, qHigh - q), p - q + Math.hypot(pHigh - p, q - qLow)];
}
