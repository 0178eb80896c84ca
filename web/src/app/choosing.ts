/** The choice in a list that opens under a field: which entry is marked, −1 for none. */
export interface Choosing {
  at: number;
  /** What a key means beside moving the mark: take the marked entry, or close. */
  does?: 'take' | 'close';
}

/**
 * What a key does in a field with a list of choices under it, as readers of screens know it: up and down go round, Home and End go to the
 * ends, Enter takes the marked entry or the first, Escape closes. Undefined for keys that are the field's own.
 *
 * @example
 * afterKey('ArrowDown', -1, 3); // { at: 0 }
 * afterKey('Enter', -1, 3); // { at: 0, does: 'take' }
 */
export function afterKey(key: string, at: number, entries: number): Choosing | undefined {
  if (key === 'Escape') return { at: -1, does: 'close' };
  if (entries === 0) return undefined;
  if (key === 'ArrowDown') return { at: (at + 1) % entries };
  if (key === 'ArrowUp') return { at: at <= 0 ? entries - 1 : at - 1 };
  if (key === 'Enter') return { at: Math.max(0, at), does: 'take' };
  if (at >= 0 && key === 'Home') return { at: 0 };
  if (at >= 0 && key === 'End') return { at: entries - 1 };
  return undefined;
}
