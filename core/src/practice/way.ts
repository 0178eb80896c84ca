import { mixedUp, type MixUp, type PracticeCard } from './kinds.ts';
import type { Way } from './question.ts';

/** Ways of a card that is mixed up with another, in turn: first the two beside each other, then what differs, then by itself. */
const OF_MIXED: readonly Way[] = ['which', 'differs', 'name', 'sort', 'settles', 'features'];
/** Ways of other cards. */
const OF_OTHERS: readonly Way[] = ['name', 'features', 'name', 'glance'];
/** From here on two trees count as mixed up. */
const MIXED = 0.1;

/**
 * The way in which a card is asked where the student leaves it open: a new one feature by feature, one that is mixed up with another beside it in
 * turn with others, the rest by name, now and then at a glance.
 *
 * @param times that this card was asked before
 */
export function wayFor(
  { taxonId }: Pick<PracticeCard, 'taxonId'>,
  times: number,
  mixUps: readonly MixUp[],
): Way {
  const isMixed = mixUps.some(
    ({ a, b }) => (a === taxonId || b === taxonId) && mixedUp(mixUps, a, b) >= MIXED,
  );
  if (times === 0) return isMixed ? 'which' : 'features';
  const ways = isMixed ? OF_MIXED : OF_OTHERS;
  return ways[times % ways.length]!;
}
