import type { RangeValue, ScoreValue } from '../score/index.ts';
import { ENGLISH, putIn, type Character, type CharacterId, type Size } from '../vocabulary/index.ts';

/** What a size is called when it is set against another: “twice as long”. */
const SIZES: Readonly<Partial<Record<CharacterId, Size>>> = {
  'habit.height': 'tall',
  'habit.crownSpread': 'wide',
  'habit.dbh': 'thick',
  'leaf.length': 'long',
  'leaf.width': 'wide',
  'leaf.petioleLength': 'long',
  'needle.length': 'long',
  'needle.width': 'wide',
  'twig.thickness': 'thick',
  'twig.thornLength': 'long',
  'bud.length': 'long',
  'flower.size': 'large',
  'pollenCone.length': 'long',
  'fruit.length': 'long',
  'fruit.stalkLength': 'long',
};

/**
 * How two sizes stand to each other, as people say it: of the larger how many times it is the other, of the smaller one word. Undefined where
 * they are not sizes of a part, not known, or nearly the same.
 *
 * @param a what one tree shows of the character; `b` the other
 * @example
 * comparedSizes({ kind: 'range', low: 0.12, high: 0.25 }, { kind: 'range', low: 0.03, high: 0.07 }, needleLength);
 * // ['several times as long', 'shorter']
 */
export function comparedSizes(
  a: ScoreValue | undefined,
  b: ScoreValue | undefined,
  { id, saying = ENGLISH }: Pick<Character, 'id' | 'saying'>,
): [string, string] | undefined {
  const size = SIZES[id as CharacterId];
  const [sizeA, sizeB] = [middleOf(a), middleOf(b)];
  if (!size || !sizeA || !sizeB) return undefined;
  const isMore = sizeA > sizeB;
  const ratio = isMore ? sizeA / sizeB : sizeB / sizeA;
  const words = saying.sizes[size];
  // From the first on a size is that many times another; below the last there is nothing to be seen.
  const found = saying.times.find(([from]) => ratio >= from);
  if (!found) return undefined;
  const times = putIn(found[1], words);
  return isMore ? [times, words.less] : [words.less, times];
}

/** The usual size: the geometric middle of what is usual. */
function middleOf(value: ScoreValue | undefined): number | undefined {
  if (value?.kind !== 'range') return undefined;
  const { low, high, typical }: RangeValue = value;
  if (typical !== undefined) return typical;
  if (low === undefined || high === undefined) return low ?? high;
  return Math.sqrt(low * high);
}
