import { MOST_ROUNDS } from '@hurrow/contract/limits';

/** Specimens called so far. */
export interface Calling {
  at: number;
  /** What was called at each, by the state's id. */
  said: string[];
}

export const BEGIN_CALLING: Calling = { at: 0, said: [] };

/** A call of the specimen on the table; a second one changes nothing. */
export const called = (calling: Calling, state: string): Calling =>
  calling.said.length > calling.at ? calling : { ...calling, said: [...calling.said, state] };

/** The one after it, once this one was called. */
export const next = (calling: Calling, count: number): Calling =>
  calling.said.length > calling.at && calling.at < count - 1 ? { ...calling, at: calling.at + 1 } : calling;

/** Which ten specimens an address asks for: `?round=2` the second ten; the first where it says nothing of use. */
export function roundOf(address: URLSearchParams): number {
  const asked = Number(address.get('round'));
  return Number.isInteger(asked) && asked >= 1 && asked <= MOST_ROUNDS ? asked : 1;
}
