import { t } from '@lingui/core/macro';
/** What can be ticked besides characters; the same words are stored. */
export const WHOLE_LOOK = t`the whole look of it`;
export const GUESS = t`a guess`;
const MOST = 3;

/** No more can be ticked: what is ticked can still be taken back, and a guess put in its place. */
export const isFull = (told: readonly string[], id: string): boolean =>
  id !== GUESS && !told.includes(id) && told.length >= MOST;

/**
 * What is ticked after a tap. A guess rests on nothing else, so that it stands alone.
 *
 * @example
 * ticked(['leaf.margin'], 'leaf.base'); // ['leaf.margin', 'leaf.base']
 * ticked(['leaf.margin'], 'a guess'); // ['a guess']
 */
export function ticked(told: readonly string[], id: string): string[] {
  if (told.includes(id)) return told.filter((other) => other !== id);
  if (id === GUESS) return [GUESS];
  return isFull(told, id) ? [...told] : [...told.filter((other) => other !== GUESS), id];
}
