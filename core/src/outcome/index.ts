/** An error is a value with a message that says what to do about it. */
export type Outcome<T> = { ok: true; value: T } | { ok: false; problem: string };

export const done = <T>(value: T): Outcome<T> => ({ ok: true, value });
export const refused = <T = never>(problem: string): Outcome<T> => ({ ok: false, problem });
