import { useEffect, useState } from 'react';
import { inTurn } from './inTurn.ts';

/** Pictures that were drawn, by what they are of, as long as that lives. */
const drawn = new WeakMap<object, Map<string, string>>();

/**
 * A small drawing as the address of a picture, drawn when its turn comes, so that many of them never block the page; undefined until then,
 * empty where there is nothing to draw.
 *
 * @param of what it is of; another object is drawn anew
 * @param key what else it depends on
 * @param svg makes the markup
 */
export function useDrawnLater(of: object, key: string, svg: () => string | undefined): string | undefined {
  const [, redraw] = useState(0);
  const held = drawn.get(of)?.get(key);
  useEffect(() => {
    if (drawn.get(of)?.has(key)) return;
    const job = () => {
      const made = svg();
      const pictures = drawn.get(of) ?? new Map<string, string>();
      pictures.set(key, made ? `data:image/svg+xml,${encodeURIComponent(made)}` : '');
      drawn.set(of, pictures);
      redraw((n) => n + 1);
    };
    return inTurn(job);
  }, [of, key, svg]);
  return held;
}
