import { useEffect, useState } from 'react';
import { flushSync } from 'react-dom';
import { inTurn } from './inTurn.ts';

/**
 * Whether the turn of a part of the page has come. Parts that are long to show are shown one after the other, each in a task of its own,
 * so that many of them never block the page.
 *
 * @param ready whether there is anything to show; no turn comes before
 * @example
 * const there = useTurn(library !== undefined);
 * return there && trees.map((tree) => <Plate key={tree.id} tree={tree} />);
 */
export function useTurn(ready: boolean): boolean {
  const [come, setCome] = useState(false);
  useEffect(
    // At once, not with all others that are waiting.
    () => (ready && !come ? inTurn(() => flushSync(() => setCome(true))) : undefined),
    [ready, come],
  );
  return come;
}
