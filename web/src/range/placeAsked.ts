import { decimal } from '../language/inWords.ts';
import { RANGE_WORDS } from './rangeWords.ts';

/** A place as it is typed. */
export interface WrittenPlace {
  latitude: string;
  longitude: string;
  elevation: string;
}

/** The place in degrees and metres; undefined while a part is empty, no number, or not on the earth. */
export function placeAsked(
  written: WrittenPlace,
): { latitude: number; longitude: number; elevation: number } | undefined {
  const parts = [written.latitude, written.longitude, written.elevation];
  const [latitude, longitude, elevation] = parts.map((part) => (part.trim() === '' ? NaN : Number(part))) as [
    number,
    number,
    number,
  ];
  if (!(Math.abs(latitude) <= 90) || !(Math.abs(longitude) <= 180) || !Number.isFinite(elevation))
    return undefined;
  return { latitude, longitude, elevation };
}

const { sides } = RANGE_WORDS;

/** Where a cursor is, in words: “47.6° N, 116.4° W”. */
export const degreesInWords = ({ latitude, longitude }: { latitude: number; longitude: number }): string =>
  [
    `${decimal(Math.abs(latitude), 1)}° ${latitude < 0 ? sides.south : sides.north}`,
    `${decimal(Math.abs(longitude), 1)}° ${longitude < 0 ? sides.west : sides.east}`,
  ].join(', ');
