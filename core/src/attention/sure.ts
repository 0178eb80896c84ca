import { medianSorted } from 'simple-statistics';

/** Expected share of false ones among all that is said as sure: a tenth is promised, the rest is room for classes less even than was assumed. */
export const FALSE_AT_MOST = 0.08;
/** Nothing less likely than this is said as sure, however sure the rest of the list is. */
const LEAST = 0.9;
/** Of a species or a name that stands apart: how likely it is before anything is seen, where it lies and how much it varies, log odds. */
const APART = { share: 0.03, at: 1.2, by: 0.6 };

/** An estimate with its deviation, both without any prior. */
export interface Estimate {
  value: number;
  sd: number;
}

/**
 * For each of many like estimates the chance that it is one of the few that lie far above the others, rather than one of them: two groups, of which the
 * ordinary one is as wide as the estimates show (Efron 2008), never narrower than `ordinary`.
 *
 * @returns chances 0–1, in order
 * @example
 * chancesApart([{ value: 0.1, sd: 0.3 }, { value: -0.2, sd: 0.3 }, { value: 2.4, sd: 0.3 }], 0.5); // [0.01, 0.01, 0.98]
 */
export function chancesApart(estimates: readonly Estimate[], ordinary: number): number[] {
  if (estimates.length === 0) return [];
  const centre = medianOf(estimates.map(({ value }) => value));
  // Median absolute deviation as a standard deviation, less what is noise.
  const wide = 1.4826 * medianOf(estimates.map(({ value }) => Math.abs(value - centre)));
  const noise = medianOf(estimates.map(({ sd }) => sd));
  const spread = Math.max(ordinary, Math.sqrt(Math.max(0, wide ** 2 - noise ** 2)));
  return estimates.map(({ value, sd }) => {
    const plain = (1 - APART.share) * density(value - centre, Math.hypot(spread, sd));
    const apart = APART.share * density(value - centre - APART.at, Math.hypot(APART.by, sd));
    // Far below is not far above, however unlikely it is among the ordinary ones.
    return value <= centre ? 0 : apart / (apart + plain);
  });
}

/**
 * Which of all that could be said is said as sure: from the likeliest on, as long as each is likely in nine cases of ten and less than a tenth of what is
 * said is expected to be false.
 *
 * @param chances that each is true, 0–1, of characters, species and names together
 * @returns one entry each, in order
 * @example
 * sureOf([0.99, 0.5, 0.92]); // [true, false, true]
 */
export function sureOf(chances: readonly number[]): boolean[] {
  const order = [...chances.keys()].sort((x, y) => chances[y]! - chances[x]!);
  const sure = chances.map(() => false);
  let wrong = 0;
  for (const [said, i] of order.entries()) {
    wrong += 1 - chances[i]!;
    if (chances[i]! < LEAST || wrong / (said + 1) > FALSE_AT_MOST) break;
    sure[i] = true;
  }
  return sure;
}

const density = (x: number, sd: number): number => Math.exp(-0.5 * (x / sd) ** 2) / sd;
const medianOf = (values: readonly number[]): number => medianSorted([...values].sort((x, y) => x - y));
