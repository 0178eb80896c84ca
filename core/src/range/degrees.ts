import { done, refused, type Outcome } from '../outcome/index.ts';

export type Axis = 'latitude' | 'longitude';

const LIMIT: Record<Axis, number> = { latitude: 90, longitude: 180 };
const SIDES: Record<Axis, { letters: string; negative: string; example: string }> = {
  latitude: { letters: 'NS', negative: 'S', example: '47.6 N' },
  longitude: { letters: 'EWO', negative: 'W', example: '116.4 W' },
};

/**
 * Reads a latitude or longitude as people write it: decimal degrees with a sign or a letter, degrees with minutes and seconds, a decimal
 * comma. North and east are positive; O stands for east as in German (Ost).
 *
 * @param text what was typed
 * @returns degrees, or what is wrong and how to write it
 * @example
 * parseDegrees('116.4 W', 'longitude'); // { ok: true, value: -116.4 }
 * parseDegrees('47° 36′ 30″ N', 'latitude'); // { ok: true, value: 47.6083… }
 */
export function parseDegrees(text: string, axis: Axis): Outcome<number> {
  const { letters, negative, example } = SIDES[axis];
  const plain = text
    .trim()
    .toUpperCase()
    .replace(/[−–]/g, '-')
    .replace(/(\d),(\d)/g, '$1.$2')
    .replace(/NORTH|SOUTH|EAST|WEST/, (word) => word[0]!);
  const found = new RegExp(
    String.raw`^([A-Z])?\s*([-+])?\s*(\d+(?:\.\d+)?)\s*[°º]?\s*(?:(\d+(?:\.\d+)?)\s*['’′]\s*)?(?:(\d+(?:\.\d+)?)\s*(?:["”″]|'')\s*)?([A-Z])?$`,
  ).exec(plain);
  if (!found) return refused(`“${text.trim()}” is no ${axis}. Write degrees, such as ${example}.`);
  const [, before, sign, degrees, minutes = '0', seconds = '0', after] = found;
  const side = before ?? after;
  if (side && !letters.includes(side))
    return refused(`“${side}” is no side of a ${axis}. Write it like ${example}.`);
  if (before && after) return refused(`Write one letter, before or behind the ${axis}, such as ${example}.`);
  if (Number(minutes) >= 60 || Number(seconds) >= 60)
    return refused(`Minutes and seconds of a ${axis} go up to 60. Check “${text.trim()}”.`);
  const size = Number(degrees) + Number(minutes) / 60 + Number(seconds) / 3600;
  if (size > LIMIT[axis])
    return refused(`A ${axis} goes up to ${LIMIT[axis]}°. Are latitude and longitude swapped?`);
  return done((sign === '-') !== (side === negative) ? -size : size);
}

/**
 * Degrees as they are read aloud.
 *
 * @example
 * degreesInWords(-116.4, 'longitude'); // '116.4° W'
 */
export const degreesInWords = (degrees: number, axis: Axis): string =>
  `${Number(Math.abs(degrees).toFixed(4))}° ${axis === 'latitude' ? (degrees < 0 ? 'S' : 'N') : degrees < 0 ? 'W' : 'E'}`;
