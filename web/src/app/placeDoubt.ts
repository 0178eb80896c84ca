import { t } from '@lingui/core/macro';
import { degreesInWords } from '@hurrow/core/range';
import { writtenAs } from '../language/inWords.ts';

/** Kilometers beyond which a site lies far from where the trees of a library grow. */
const FAR = 800;

/**
 * What a place comes to in words: the state or country it lies in; at sea the question whether the other side of Greenwich was meant, with the
 * longitude that would lie on land; and whether it lies far from the ranges of the library. `repair` is given, if only as an empty text, where
 * something is doubted.
 *
 * @param name the state or country of a place, undefined at sea
 * @param distance kilometers to the nearest range of the library; undefined where none is recorded
 * @example
 * placeDoubt({ latitude: 47.6, longitude: 116.4 }, nameOf, 8200);
 * // { text: '47.6° N 116.4° E, China: 8,200 km from the nearest range … Did you mean the other side?', repair: '116.4° W' }
 */
export function placeDoubt(
  place: { latitude: number; longitude: number },
  name: (longitude: number, latitude: number) => string | undefined,
  distance: number | undefined,
): { text: string; repair?: string } {
  const { latitude, longitude } = place;
  const here = name(longitude, latitude);
  const words = `${degreesInWords(latitude, 'latitude')} ${degreesInWords(longitude, 'longitude')}`;
  const other = name(-longitude, latitude);
  const repair = other ? degreesInWords(-longitude, 'longitude') : '';
  const ask = other ? t` Did you mean ${other}?` : '';
  if (!here) return { text: t`${words} lies in the sea.${ask || t` Check both numbers.`}`, repair };
  if (distance !== undefined && distance > FAR)
    return {
      text: t`${words}, ${here}: ${Math.round(distance).toLocaleString(writtenAs('en-US'))} km from the nearest range of the library.${ask}`,
      repair,
    };
  return { text: `${words}, ${here}.` };
}
