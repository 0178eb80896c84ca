import type { RangeValue, ScoreValue } from '../score/index.ts';
import type { Character, CharacterId } from '../vocabulary/index.ts';

/** How a size is set against another: “twice as long”, and by one word “longer”, “shorter”. */
interface Compared {
  as: string;
  more: string;
  less: string;
}

const LONG: Compared = { as: 'long', more: 'longer', less: 'shorter' };
const WIDE: Compared = { as: 'wide', more: 'wider', less: 'narrower' };
const THICK: Compared = { as: 'thick', more: 'thicker', less: 'thinner' };
const TALL: Compared = { as: 'tall', more: 'taller', less: 'shorter' };
const LARGE: Compared = { as: 'large', more: 'larger', less: 'smaller' };

const WORDS: Readonly<Partial<Record<CharacterId, Compared>>> = {
  'habit.height': TALL,
  'habit.crownSpread': WIDE,
  'habit.dbh': THICK,
  'leaf.length': LONG,
  'leaf.width': WIDE,
  'leaf.petioleLength': LONG,
  'needle.length': LONG,
  'needle.width': WIDE,
  'twig.thickness': THICK,
  'twig.thornLength': LONG,
  'bud.length': LONG,
  'flower.size': LARGE,
  'pollenCone.length': LONG,
  'fruit.length': LONG,
  'fruit.stalkLength': LONG,
};

/** From this on a size is that many times another; below the first there is nothing to be seen. */
const TIMES: [from: number, words: (size: Compared) => string][] = [
  [3.6, ({ as }) => `several times as ${as}`],
  [2.5, ({ as }) => `about three times as ${as}`],
  [1.75, ({ as }) => `about twice as ${as}`],
  [1.3, ({ as }) => `half as ${as} again`],
  [1.12, ({ more }) => `a little ${more}`],
];

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
  { id }: Pick<Character, 'id'>,
): [string, string] | undefined {
  const words = WORDS[id as CharacterId];
  const [sizeA, sizeB] = [middleOf(a), middleOf(b)];
  if (!words || !sizeA || !sizeB) return undefined;
  const isMore = sizeA > sizeB;
  const ratio = isMore ? sizeA / sizeB : sizeB / sizeA;
  const times = TIMES.find(([from]) => ratio >= from)?.[1](words);
  if (times === undefined) return undefined;
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
