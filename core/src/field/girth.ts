import type { UnitSystem } from '../score/index.ts';
import { girthInWords, measured, within, type Measured } from './measured.ts';
import { propagated, type Uncertain } from './uncertain.ts';

/** Diameter of a round stem of this girth: `diameterOf(3.1416)` is 1. */
export const diameterOf = (girth: number): number => girth / Math.PI;
export const girthOf = (diameter: number): number => diameter * Math.PI;

/**
 * Girth of a tree of one stem or of several, as of one round stem of the same cross-section: √Σ gᵢ².
 *
 * @param girths of the stems at breast height, 1.37 m (4½ ft) above the ground on the uphill side, metres, each with its error
 * @throws FieldError where no stem is given or one cannot be
 * @example
 * girthOfStems([{ value: 0.6, sd: 0 }, { value: 0.8, sd: 0 }], 'metric').value; // 1
 */
export function girthOfStems(girths: readonly Uncertain[], units: UnitSystem): Measured {
  within('Number of stems', [girths.length], 1, 40, '');
  within(
    'A girth',
    girths.map(({ value }) => value),
    0.005,
    40,
    'm',
  );
  const together = propagated((values) => Math.hypot(...values), girths);
  const said = girths.map(({ value }) => girthInWords(value, units));
  const diameter = `Diameter = girth ÷ π = ${girthInWords(diameterOf(together.value), units)}.`;
  const working =
    girths.length === 1
      ? [`Girth ${said[0]}.`, diameter]
      : [
          `${girths.length} stems count as one of the same cross-section: the square root of the sum of the squares.`,
          `√(${said.map((each) => `${each}²`).join(' + ')}) = ${girthInWords(together.value, units)}.`,
          diameter,
        ];
  return measured(together, working);
}
