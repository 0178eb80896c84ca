import type { UnitSystem } from '../score/index.ts';
import { lengthInWords, measured, within, type Measured } from './measured.ts';
import { propagated, type Uncertain } from './uncertain.ts';

/**
 * Crown spread as the mean of its longest width and of the width across that.
 *
 * @param widths of the crown, metres: the longest, and that at a right angle to it
 * @example
 * spreadOfWidths([{ value: 9, sd: 0.1 }, { value: 7, sd: 0.1 }], 'metric').value; // 8
 */
export const spreadOfWidths = (widths: readonly [Uncertain, Uncertain], units: UnitSystem): Measured =>
  meanOf(widths, 1, units);

/**
 * Crown spread as twice the mean of its radii, from the middle of the stem to the edge of the crown in directions evenly around.
 *
 * @param radii metres, three or more; eight are usual
 * @example
 * spreadOfRadii(Array(8).fill({ value: 4, sd: 0.1 }), 'metric').value; // 8
 */
export function spreadOfRadii(radii: readonly Uncertain[], units: UnitSystem): Measured {
  within('Number of radii', [radii.length], 3, 36, '');
  return meanOf(radii, 2, units);
}

function meanOf(lengths: readonly Uncertain[], times: number, units: UnitSystem): Measured {
  within(
    'A width of a crown',
    lengths.map(({ value }) => value),
    0,
    60,
    'm',
  );
  const mean = propagated(
    (values) => (times * values.reduce((sum, each) => sum + each, 0)) / values.length,
    lengths,
  );
  const sum = lengths.map(({ value }) => lengthInWords(value, units)).join(' + ');
  return measured(mean, [
    `${times === 1 ? '' : `${times} × `}(${sum}) ÷ ${lengths.length} = ${lengthInWords(mean.value, units)}.`,
  ]);
}
