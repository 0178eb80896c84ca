import type { ShownOrgan } from '../vocabulary/index.ts';
import type { View } from './view.ts';

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

/** "twig, buds and leaves in hand; eye, touch and smell". */
export function viewInWords(view: View): string {
  const organs = listInWords(view.organs.map((organ) => SHOWN_TITLES[organ]));
  const near = { afar: 'from afar', arm: "at arm's length", hand: 'in hand' }[view.nearness];
  return `${organs} ${near}; ${listInWords(view.aids)}`;
}

/** "a, b and c". */
export function listInWords(words: readonly string[]): string {
  if (words.length < 2) return words.join('');
  return `${words.slice(0, -1).join(', ')} and ${words[words.length - 1]}`;
}
