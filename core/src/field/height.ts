import type { UnitSystem } from '../score/index.ts';
import { FieldError, lengthInWords, measured, round, within, type Measured } from './measured.ts';
import { exact, propagated, type Uncertain } from './uncertain.ts';

const RADIAN = Math.PI / 180;
const sin = (degrees: number) => Math.sin(degrees * RADIAN);
const cos = (degrees: number) => Math.cos(degrees * RADIAN);
const tan = (degrees: number) => Math.tan(degrees * RADIAN);
const degrees = ({ value }: Uncertain) => `${round(value, 1)}°`.replace('-', '−');
/** A number to be taken away, so that a base below the eye is seen to add. */
const less = (value: number, digits: number) => `(${round(value, digits)})`.replace('(-', '(−');

/** Steeper than this a tangent says nothing: a degree would be metres. */
const STEEPEST = 75;

export interface TangentSight {
  /** Distance from the eye to the stem, metres; along the slope where `slope` is given, level otherwise. */
  distance: Uncertain;
  /** Angle to the top, degrees above the level. */
  top: Uncertain;
  /** Angle to the base of the stem, degrees; below the level it is negative. */
  base: Uncertain;
  /** Slope along which the distance was taken, degrees, either way. */
  slope?: Uncertain;
  /** Level distance to the point right beneath the top, metres, where the tree leans; that to the stem otherwise. */
  beneathTop?: Uncertain;
}

/**
 * Height by two angles and a distance: d · cos s · (tan top − tan base). Of a leaning tree the top is above another point than the
 * base, so that each angle takes its own distance.
 *
 * @returns metres above the base of the stem
 * @throws FieldError where angles or distance cannot be, or the top is seen below the base
 * @example
 * const sight = { distance: { value: 20, sd: 0.05 }, top: { value: 40, sd: 0.4 }, base: { value: -5, sd: 0.4 } };
 * heightByTangent(sight, 'metric').value; // 18.53
 */
export function heightByTangent(
  { distance, top, base, slope = exact(0), beneathTop }: TangentSight,
  units: UnitSystem,
): Measured {
  within('A distance', [distance.value, ...(beneathTop ? [beneathTop.value] : [])], 0.5, 500, 'm');
  within('An angle', [top.value, base.value], -STEEPEST, STEEPEST, '°');
  within('A slope', [slope.value], -45, 45, '°');
  const level = distance.value * cos(slope.value);
  const inputs = [distance, top, base, slope, ...(beneathTop ? [beneathTop] : [])];
  const height = propagated(
    ([d = 0, t = 0, b = 0, s = 0, under]) => (under ?? d * cos(s)) * tan(t) - d * cos(s) * tan(b),
    inputs,
  );
  refuseUpsideDown(height.value);
  const say = (metres: number) => lengthInWords(metres, units);
  const working = [
    ...(slope.value === 0
      ? []
      : [`Level distance = ${say(distance.value)} × cos ${degrees(slope)} = ${say(level)}.`]),
    beneathTop
      ? `It leans: ${say(beneathTop.value)} × tan ${degrees(top)} − ${say(level)} × tan ${degrees(base)}`
      : `${say(level)} × (tan ${degrees(top)} − tan ${degrees(base)})`,
    beneathTop
      ? `= ${say(beneathTop.value * tan(top.value))} − ${less(level * tan(base.value), 1)} = ${say(height.value)}.`
      : `= ${say(level)} × (${round(tan(top.value), 3)} − ${less(tan(base.value), 3)}) = ${say(height.value)}.`,
    ...(beneathTop
      ? [
          `Along the stem it is ${say(alongTheStem(height.value, level - beneathTop.value))} or more: it may lean sideways too.`,
        ]
      : []),
  ];
  return measured(height, working);
}

export interface SineSight {
  /** Straight distance from the eye to the top, metres, and its angle in degrees. */
  toTop: Uncertain;
  top: Uncertain;
  toBase: Uncertain;
  base: Uncertain;
}

/**
 * Height by a range-finder that reaches the top itself: r₁ · sin top − r₂ · sin base. A lean does no harm, and no level distance is
 * needed.
 *
 * @returns metres above the base of the stem
 * @example
 * const at = (value: number) => ({ value, sd: 0 });
 * heightBySine({ toTop: at(26), top: at(40), toBase: at(20), base: at(-5) }, 'metric').value; // 18.46
 */
export function heightBySine({ toTop, top, toBase, base }: SineSight, units: UnitSystem): Measured {
  within('A distance', [toTop.value, toBase.value], 0.5, 500, 'm');
  within('An angle', [top.value, base.value], -89, 89, '°');
  const height = propagated(
    ([far = 0, up = 0, near = 0, down = 0]) => far * sin(up) - near * sin(down),
    [toTop, top, toBase, base],
  );
  refuseUpsideDown(height.value);
  const say = (metres: number) => lengthInWords(metres, units);
  return measured(height, [
    `${say(toTop.value)} × sin ${degrees(top)} − ${say(toBase.value)} × sin ${degrees(base)}`,
    `= ${say(toTop.value * sin(top.value))} − ${less(toBase.value * sin(base.value), 1)} = ${say(height.value)}.`,
  ]);
}

export interface StickSight {
  /** Level distance from the eye to the stem, metres. */
  distance: Uncertain;
  /** From the eye to the stick, metres. */
  reach: Uncertain;
  /** How much of the upright stick covers the tree from base to top, metres. */
  covers: Uncertain;
}

/**
 * Height by a stick held upright at arm’s length: by like triangles, distance × covered ÷ reach. Where the stick is as long as the arm
 * and covers the tree, the height is the distance.
 *
 * @example
 * const at = (value: number) => ({ value, sd: 0 });
 * heightByStick({ distance: at(18), reach: at(0.65), covers: at(0.65) }, 'metric').value; // 18
 */
export function heightByStick({ distance, reach, covers }: StickSight, units: UnitSystem): Measured {
  within('A distance', [distance.value], 0.5, 500, 'm');
  within('An arm’s length or a stick', [reach.value, covers.value], 0.05, 2, 'm');
  const height = propagated(([d = 0, r = 1, c = 0]) => (d * c) / r, [distance, reach, covers]);
  const say = (metres: number) => lengthInWords(metres, units);
  return measured(height, [
    `${say(distance.value)} × ${say(covers.value)} ÷ ${say(reach.value)} = ${say(height.value)}.`,
    'Hold the stick upright and its foot at the foot of the tree; on a slope, or where the tree leans, measure by angles.',
  ]);
}

/** Length along a stem that leans, metres: `alongTheStem(12, 5)` is 13. */
export const alongTheStem = (height: number, offset: number): number => Math.hypot(height, offset);

function refuseUpsideDown(height: number): void {
  if (height <= 0)
    throw new FieldError(
      'The top would be below the base. An angle below the level is negative: check the signs, and which of the two is the top.',
    );
}
