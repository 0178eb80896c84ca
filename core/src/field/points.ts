import type { UnitSystem } from '../score/index.ts';
import { sizePoints, type LargestTree } from '../taxon/index.ts';
import { lengthInWords, round, type Measured } from './measured.ts';
import { HALF_95, propagated } from './uncertain.ts';

/** Size points with half the width of their 95 % interval. */
export interface Points {
  points: number;
  error: number;
  working: string[];
}

const INCH = 0.0254;
const FOOT = 0.3048;

/**
 * Size points of a measured tree: girth in inches + height in feet + a quarter of the crown spread in feet.
 *
 * @param girth at breast height, metres with the half width of the 95 % interval; so are height and spread
 * @example
 * const at = (value: number) => ({ value, error: 0 });
 * pointsOf(at(2.54), at(30.48), at(12.192)).points; // 210
 */
export function pointsOf(
  girth: Pick<Measured, 'value' | 'error'>,
  height: Pick<Measured, 'value' | 'error'>,
  spread: Pick<Measured, 'value' | 'error'>,
): Points {
  const sum = propagated(
    ([g = 0, h = 0, s = 0]) => g / INCH + h / FOOT + s / FOOT / 4,
    [girth, height, spread].map(({ value, error }) => ({ value, sd: error / HALF_95 })),
  );
  return {
    points: Math.round(sum.value),
    error: round(HALF_95 * sum.sd, 1),
    working: [
      `Girth ${round(girth.value / INCH, 1)} in + height ${round(height.value / FOOT, 1)} ft + ¼ of spread ${round(spread.value / FOOT, 1)} ft = ${round(sum.value, 1)} points.`,
    ],
  };
}

/**
 * A tree beside the largest known of its kind: “71 % of the 312 points of the largest known, 1.9 m across and 48.0 m high (Teasel
 * County)”. Undefined where none is recorded.
 */
export function besideLargest(
  points: number,
  largest: readonly LargestTree[] = [],
  units: UnitSystem = 'metric',
): string | undefined {
  const [first] = [...largest].sort((a, b) => sizePoints(b) - sizePoints(a));
  if (!first) return undefined;
  const most = sizePoints(first);
  const share = Math.round((100 * points) / most);
  const where = first.place ? ` (${first.place})` : '';
  return points >= most
    ? `More than the ${most} points of the largest that is recorded here${where}. Have it measured again by somebody else.`
    : `${share} % of the ${most} points of the largest known, ${lengthInWords(first.height, units)} high${where}.`;
}
