/** Something measured: its value and the standard deviation of its error, both in one unit. */
export interface Uncertain {
  value: number;
  sd: number;
}

/** Standard deviations from the middle to the end of a 95 % interval. */
export const HALF_95 = 1.96;

/** What carries no error of its own, such as a number of stems. */
export const exact = (value: number): Uncertain => ({ value, sd: 0 });

/**
 * The error of what is computed from several independent measures, to first order: √Σ(½[f(xᵢ + sᵢ) − f(xᵢ − sᵢ)])². Differences over a
 * whole standard deviation, rather than slopes, follow the bend of a steep tangent.
 *
 * @param f what is computed of the values, in the order of `inputs`
 * @param inputs values with the standard deviations of their errors
 * @returns the result with the standard deviation of its error, in the unit of f
 * @source JCGM 100:2008, Guide to the expression of uncertainty in measurement, 5.1.2
 * @example
 * propagated(([a, b]) => a! + b!, [{ value: 3, sd: 0.3 }, { value: 4, sd: 0.4 }]); // { value: 7, sd: 0.5 }
 */
export function propagated(
  f: (values: readonly number[]) => number,
  inputs: readonly Uncertain[],
): Uncertain {
  const values = inputs.map(({ value }) => value);
  const moved = (i: number, by: number) => f(values.map((value, j) => (j === i ? value + by : value)));
  const variance = inputs.reduce(
    (sum, { sd }, i) => (sd === 0 ? sum : sum + ((moved(i, sd) - moved(i, -sd)) / 2) ** 2),
    0,
  );
  return { value: f(values), sd: Math.sqrt(variance) };
}
