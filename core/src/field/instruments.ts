import type { Uncertain } from './uncertain.ts';

/** What a length or an angle is taken with. */
export interface Instrument {
  id: string;
  title: string;
  /** Standard deviation of one reading: so many units, and so large a share of what is read. */
  sd: number;
  share: number;
}

/** How lengths are taken, in metres; the errors are those of a practised hand, and rounded up. */
export const LENGTH_INSTRUMENTS = [
  { id: 'tape', title: 'tape', sd: 0.02, share: 0.002 },
  { id: 'rangeFinder', title: 'range-finder', sd: 0.15, share: 0.001 },
  { id: 'paces', title: 'counted paces', sd: 0.3, share: 0.05 },
  { id: 'girthTape', title: 'tape around the stem', sd: 0.003, share: 0.004 },
  { id: 'rule', title: 'rule', sd: 0.0005, share: 0.005 },
] as const satisfies readonly Instrument[];

/** How angles are taken, in degrees. */
export const ANGLE_INSTRUMENTS = [
  { id: 'clinometer', title: 'clinometer', sd: 0.4, share: 0 },
  { id: 'rangeFinder', title: 'range-finder', sd: 0.2, share: 0 },
  { id: 'phone', title: 'phone held along its edge', sd: 0.8, share: 0 },
  { id: 'protractor', title: 'protractor with a plumb line', sd: 1, share: 0 },
] as const satisfies readonly Instrument[];

export type LengthInstrument = (typeof LENGTH_INSTRUMENTS)[number]['id'];
export type AngleInstrument = (typeof ANGLE_INSTRUMENTS)[number]['id'];

const read = (value: number, { sd, share }: Instrument): Uncertain => ({
  value,
  sd: Math.hypot(sd, share * value),
});

/** A length in metres as it was read: `lengthBy('tape', 20)` is 20 m with a standard deviation of 0.045 m. */
export const lengthBy = (id: LengthInstrument, metres: number): Uncertain =>
  read(
    metres,
    LENGTH_INSTRUMENTS.find((each) => each.id === id)!,
  );

/** An angle in degrees as it was read: `angleBy('clinometer', 38)` has a standard deviation of 0.4°. */
export const angleBy = (id: AngleInstrument, degrees: number): Uncertain =>
  read(
    degrees,
    ANGLE_INSTRUMENTS.find((each) => each.id === id)!,
  );
