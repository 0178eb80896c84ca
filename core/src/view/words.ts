import type { ShownOrgan } from '../vocabulary/index.ts';
import { listedBy } from '../words/index.ts';
import type { LeafCondition, View } from './view.ts';

export const SHOWN_TITLES: Record<ShownOrgan, string> = {
  habit: 'form',
  bark: 'bark',
  twig: 'twig',
  bud: 'buds',
  leaf: 'leaves',
  flower: 'flowers',
  fruit: 'fruit or cones',
  wood: 'wood',
  site: 'place',
};

/** What a condition of the specimen is called, about the time of leaf-out or leaf fall. */
export const LEAVES_TITLES: Record<LeafCondition, string> = { on: 'in leaf', off: 'bare of leaves' };

/** What is seen by stepping back: nobody has the form of a tree in hand. */
const SEEN_BACK: readonly ShownOrgan[] = ['habit', 'site'];

/** How the words of a view are said, and how a list of them is: in English, or in the language of a page. */
export interface Spoken {
  say(word: string): string;
  list(words: readonly string[]): string;
}

/** What of a view is said: the day is not. */
export type Looked = Pick<View, 'organs' | 'nearness' | 'aids' | 'leaves'>;

/**
 * What is seen, from how near, and by what aids.
 *
 * @param saying another language than English: each fixed word goes through `say`
 * @example
 * viewInWords({ organs: ['habit', 'bark'], day: 100, nearness: 'hand', aids: ['eye'], qualifiers: {} });
 * // 'form from a few steps back, bark in hand; eye'
 */
export function viewInWords(
  view: Looked,
  { say, list }: Spoken = { say: (word) => word, list: listInWords },
): string {
  const near = say({ afar: 'from afar', arm: "at arm's length", hand: 'in hand' }[view.nearness]);
  const titles = (organs: readonly ShownOrgan[]) => list(organs.map((organ) => say(SHOWN_TITLES[organ])));
  const back = view.nearness === 'afar' ? [] : view.organs.filter((organ) => SEEN_BACK.includes(organ));
  const close = view.organs.filter((organ) => !back.includes(organ));
  const parts = [
    ...(back.length ? [`${titles(back)} ${say('from a few steps back')}`] : []),
    ...(close.length ? [`${titles(close)} ${near}`] : []),
  ];
  const leaves = view.leaves ? `, ${say(LEAVES_TITLES[view.leaves])}` : '';
  return `${parts.join(', ')}${leaves}; ${list(view.aids.map(say))}`;
}

/** "a, b and c". */
export const listInWords = (words: readonly string[], joined: 'and' | 'or' = 'and'): string =>
  listedBy(words, joined);
