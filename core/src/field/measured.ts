import type { UnitSystem } from '../score/index.ts';
import { HALF_95, type Uncertain } from './uncertain.ts';

/** What came of a measurement in the field. */
export interface Measured {
  /** In metres. */
  value: number;
  /** Half the width of the 95 % interval, in metres. */
  error: number;
  /** How it was worked out, a line each, in the units that were asked for. */
  working: string[];
}

/** Why something cannot be worked out is said as a sentence that tells what to do. */
export class FieldError extends Error {}

/** Throws a `FieldError` unless all numbers are finite and within bounds. */
export function within(
  what: string,
  values: readonly number[],
  from: number,
  to: number,
  unit: string,
): void {
  const stray = values.find((value) => !Number.isFinite(value) || value < from || value > to);
  if (stray === undefined) return;
  const of = (value: number) => `${round(value)}${unit === '' || unit === '°' ? unit : ` ${unit}`}`;
  const said = Number.isFinite(stray) ? of(stray) : 'nothing';
  throw new FieldError(`${what} of ${said} cannot be. It lies between ${from} and ${of(to)}. Measure again.`);
}

export const measured = ({ value, sd }: Uncertain, working: string[]): Measured => ({
  value,
  error: HALF_95 * sd,
  working,
});

const FOOT = 0.3048;
const INCH = 0.0254;

export const round = (value: number, digits = 2): number => Number(value.toFixed(digits));

/**
 * A length as it is said outdoors: metres and centimetres, or feet and inches.
 *
 * @example
 * lengthInWords(19.62, 'metric'); // '19.6 m'
 * lengthInWords(19.62, 'imperial'); // '64 ft 4 in'
 * lengthInWords(0.043, 'imperial'); // '1.7 in'
 */
export function lengthInWords(metres: number, units: UnitSystem): string {
  if (units === 'metric') {
    if (metres < 0.02) return `${round(metres * 1000, 0)} mm`;
    return metres < 3 ? `${round(metres * 100, metres < 0.1 ? 1 : 0)} cm` : `${metres.toFixed(1)} m`;
  }
  if (metres < 3 * FOOT) return `${round(metres / INCH, metres < FOOT ? 1 : 0)} in`;
  const inches = Math.round(metres / INCH);
  return inches % 12 === 0 ? `${inches / 12} ft` : `${Math.floor(inches / 12)} ft ${inches % 12} in`;
}

const MILE = 1609.344;

/**
 * A way to walk, as far as one would say: to ten metres or to a tenth of a kilometre, to fifty feet or to a tenth of a mile. So are heights
 * above the sea.
 *
 * @example
 * wayInWords(323, 'metric'); // '320 m'
 * wayInWords(1630, 'metric'); // '1.6 km'
 */
export function wayInWords(metres: number, units: UnitSystem): string {
  if (units === 'metric')
    return metres < 1000 ? `${Math.round(metres / 10) * 10} m` : `${(metres / 1000).toFixed(1)} km`;
  return metres < MILE / 5 ? `${Math.round(metres / FOOT / 50) * 50} ft` : `${(metres / MILE).toFixed(1)} mi`;
}

/** A height above the sea or a climb, to the metre or to ten feet: `climbInWords(119.4, 'metric')` is “119 m”. */
export const climbInWords = (metres: number, units: UnitSystem): string =>
  units === 'metric' ? `${Math.round(metres)} m` : `${Math.round(metres / FOOT / 10) * 10} ft`;

/** A girth as it is said: whole centimetres or inches to a tenth. */
export const girthInWords = (metres: number, units: UnitSystem): string =>
  units === 'metric' ? `${Math.round(metres * 100)} cm` : `${round(metres / INCH, 1)} in`;

/** “19.6 m ± 0.4 m”. */
export const measuredInWords = (
  { value, error }: Pick<Measured, 'value' | 'error'>,
  units: UnitSystem,
): string => `${lengthInWords(value, units)} ± ${lengthInWords(error, units)}`;
