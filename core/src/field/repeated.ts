import { mean, sampleStandardDeviation } from 'simple-statistics';
import { FieldError } from './measured.ts';
import type { Uncertain } from './uncertain.ts';

/** Readings from which on their own scatter says how sure they are. */
const OWN_SCATTER_FROM = 5;

/** Student's t for a two-sided 95 % interval over the normal's 1.96, by degrees of freedom from 4 on; 1 beyond the table. */
const T_OVER_NORMAL = [
  1.416, 1.312, 1.248, 1.207, 1.177, 1.154, 1.137, 1.123, 1.112, 1.102, 1.094, 1.088, 1.082, 1.076, 1.072,
];

/**
 * One value of readings that were taken again: their mean. Under five readings the instrument says how sure it is; from five on their
 * own scatter, widened as Student's t asks for so few. A tape that is too long stays too long: that is in neither.
 *
 * @param readings in one unit
 * @param sd standard deviation of one reading by its instrument, in the same unit
 * @throws FieldError without a reading
 * @example
 * repeated([20.1, 19.9], 0.2); // { value: 20, sd: 0.141 }
 */
export function repeated(readings: readonly number[], sd: number): Uncertain {
  if (readings.length === 0) throw new FieldError('Nothing is measured yet. Take a reading first.');
  const value = mean([...readings]);
  const root = Math.sqrt(readings.length);
  if (readings.length < OWN_SCATTER_FROM) return { value, sd: sd / root };
  const wider = T_OVER_NORMAL[readings.length - OWN_SCATTER_FROM] ?? 1;
  return { value, sd: (wider * sampleStandardDeviation([...readings])) / root };
}
