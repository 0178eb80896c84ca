import { FREQUENCIES, type Frequency, type ScoreValue } from '@hurrow/core/score';
import type { Character } from '@hurrow/core/vocabulary';

/** Keys that pick a state by its place: digits, then letters. */
export const PICKS = '1234567890abcdefghijklmnoprstuvwxyz';

/** Which state a key picks, counted from 0; −1 for keys that pick none. */
export const placeOfKey = (key: string): number => (key.length === 1 ? PICKS.indexOf(key.toLowerCase()) : -1);

/** How often a value says that a state, or of a yes/no character a share, is met; undefined where it says nothing of it. */
export function frequencyIn(value: ScoreValue | null, id: string): Frequency | undefined {
  if (value?.kind === 'flag') return value.frequency === id ? value.frequency : undefined;
  if (value?.kind !== 'states') return undefined;
  return value.states.find((entry) => entry.state === id)?.frequency;
}

/** Next frequency on pressing a state again; only any-of characters say that a state is never there. */
function following(frequency: Frequency, anyOf: boolean): Frequency | undefined {
  const order: readonly Frequency[] = anyOf ? FREQUENCIES : FREQUENCIES.filter((f) => f !== 'never');
  return order[order.indexOf(frequency) + 1];
}

/**
 * The value of a character after one of its states is pressed: the state is added as always there, then goes down step by step with each
 * press and out at the end. A yes/no character has one answer, which a second press takes back. Null where nothing is left.
 *
 * @example
 * afterPress(BUILT_IN.get('leaf.shape')!, null, 'ovate'); // { kind: 'states', states: [{ state: 'ovate', frequency: 'always' }] }
 */
export function afterPress(character: Character, value: ScoreValue | null, id: string): ScoreValue | null {
  const frequency = frequencyIn(value, id);
  if (character.kind === 'flag') return frequency ? null : { kind: 'flag', frequency: id as Frequency };
  const held = value?.kind === 'states' ? value : { kind: 'states' as const, states: [] };
  if (!frequency) return { ...held, states: [...held.states, { state: id, frequency: 'always' }] };
  const next = following(frequency, character.anyOf);
  const states = held.states.flatMap((entry) =>
    entry.state !== id ? [entry] : next ? [{ state: id, frequency: next }] : [],
  );
  return states.length ? { ...held, states } : null;
}

/** The place of the row before or after one, among stops that belong to rows in their order; −1 beyond the ends. */
export function rowBeside<Row>(rows: readonly Row[], row: Row, by: 1 | -1): number {
  const at = rows.indexOf(row) + by;
  return at < rows.length ? at : -1;
}
