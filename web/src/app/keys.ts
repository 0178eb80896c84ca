import { t } from '@lingui/core/macro';
import { useEffect, useEffectEvent } from 'react';

/** The keyboard map, as it is shown by `?`. */
export const KEYS: [string, string][] = [
  ['/', t`find a tree`],
  ['g s', t`go to Species (g l Lookalikes, g c Course, g g Grounds, g q Quizzes, g f Confusions)`],
  ['j  k', t`next and previous in a list`],
  ['c', t`gather the tree you are looking at into the vasculum, or take it out`],
  ['e', t`edit the profile`],
  ['n', t`enter a new species (in Species)`],
  ['r', t`draw another individual`],
  ['[  ]', t`field date a week back, a week on`],
  ['?', t`this list`],
];

const typing = (target: EventTarget | null) =>
  target instanceof HTMLElement &&
  (target.isContentEditable || ['INPUT', 'TEXTAREA', 'SELECT'].includes(target.tagName));

/** Calls a function when its key is pressed outside of fields; "g s" means g, then s. */
export function useKeys(keys: Record<string, () => void>): void {
  const press = useEffectEvent((event: KeyboardEvent, prefix: string) => {
    const action = keys[prefix + event.key];
    if (!action) return false;
    event.preventDefault();
    action();
    return true;
  });
  useEffect(() => {
    let prefix = '';
    let timer = 0;
    const listen = (event: KeyboardEvent) => {
      if (event.ctrlKey || event.metaKey || event.altKey || typing(event.target)) return;
      const had = prefix;
      prefix = '';
      window.clearTimeout(timer);
      if (press(event, had)) return;
      if (event.key === 'g') {
        prefix = 'g ';
        timer = window.setTimeout(() => (prefix = ''), 1200);
      }
    };
    window.addEventListener('keydown', listen);
    return () => window.removeEventListener('keydown', listen);
  }, []);
}
