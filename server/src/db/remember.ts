import type { Db } from './db.ts';

/** Milliseconds for which an answer of the store is good where another process may have changed it. */
const GOOD_FOR = 2000;
/** Answers that are remembered of one store. */
const MOST = 5000;

interface Held {
  until: number;
  answer: Promise<unknown>;
}
const memories = new WeakMap<Db, Map<string, Held>>();

/**
 * Asks the store once for what a whole class asks for in the same moment: who calls, whether the quiz is open. What is remembered is
 * forgotten after two seconds, and with every change, here or in another process (`forget`).
 *
 * @example
 * await remember(db, `course ${id}`, () => queries.course(db, id));
 */
export function remember<T>(db: Db, key: string, ask: () => Promise<T>): Promise<T> {
  const memory = memories.get(db) ?? new Map<string, Held>();
  memories.set(db, memory);
  const now = performance.now();
  const held = memory.get(key);
  if (held && held.until > now) return held.answer as Promise<T>;
  if (memory.size >= MOST) memory.clear();
  const answer = ask();
  memory.set(key, { until: now + GOOD_FOR, answer });
  // What failed is asked again.
  answer.catch(() => memory.delete(key));
  return answer;
}

/** Forgets here what was remembered about a store. */
export const forget = (db: Db): void => void memories.get(db)?.clear();
