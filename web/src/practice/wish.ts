import { t } from '@lingui/core/macro';
import type { CardOfDay, PracticePack } from '@hurrow/contract/practice';
import { LENGTHS, PRACTICE_KINDS, WAYS, type MixUp, type Way } from '@hurrow/core/practice';
import { inTongue } from '../language/inTongue.ts';

/** What a student wants to practice: of which cards, in which way, how long. */
export interface Wish {
  /** `due`, `mine`, the id of a kind of card, or `pair:<a>,<b>`. */
  what: string;
  way: Way | 'mixed';
  /** Minutes; 0 for what is proposed. */
  minutes: number;
}

export const USUAL: Wish = { what: 'due', way: 'mixed', minutes: 0 };

/** What can be chosen, in words. */
export const WHATS: [string, string][] = [
  ['due', t`what is due`],
  ['mine', t`what I mix up`],
  ...PRACTICE_KINDS.map(({ id, title }): [string, string] => [
    id,
    id === 'bareTwig' ? t`bare twigs, as in winter` : t`the ${inTongue(title)} alone`,
  ]),
];

/** The wish as it stands in an address: `?what=mine&way=which&minutes=5`. */
export function wishOf(search: URLSearchParams): Wish {
  const what = search.get('what') ?? USUAL.what;
  const way = search.get('way');
  const minutes = Number(search.get('minutes'));
  return {
    what: what.startsWith('pair:') || WHATS.some(([id]) => id === what) ? what : USUAL.what,
    way: WAYS.find((each) => each === way) ?? 'mixed',
    minutes: LENGTHS.find((each) => each === minutes) ?? 0,
  };
}

/** Two trees of a wish for a pair. */
export const pairOf = ({ what }: Pick<Wish, 'what'>): [string, string] | undefined => {
  const [a, b] = what.startsWith('pair:') ? what.slice(5).split(',') : [];
  return a && b ? [a, b] : undefined;
};

/**
 * The cards that a wish is about. What is due keeps to what can be met with on the day, as long as there is some of it; a chosen organ is
 * practiced all year.
 */
export function cardsWished(
  { cards }: Pick<PracticePack, 'cards'>,
  mixUps: readonly MixUp[],
  wish: Wish,
): CardOfDay[] {
  const pair = pairOf(wish);
  const met = (some: readonly CardOfDay[]) => {
    const now = some.filter(({ inSeason }) => inSeason);
    return now.length > 0 ? now : [...some];
  };
  if (pair) return met(cards.filter(({ taxonId }) => pair.includes(taxonId)));
  if (wish.what === 'mine') {
    const own = new Set(mixUps.filter((each) => each.own).flatMap(({ a, b }) => [a, b]));
    return met(cards.filter(({ taxonId }) => own.has(taxonId)));
  }
  if (wish.what === 'due') return met(cards);
  return cards.filter(({ kind }) => kind === wish.what);
}
