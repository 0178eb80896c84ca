import type { ReviewBody } from '@hurrow/contract/practice';

type Review = Omit<ReviewBody, 'device' | 'sequence'>;
const keyOf = (studentId: string): string => `hurrow.practice.${studentId}.`;

/**
 * Answers on their way into the phone's store, which is not quick enough for a page that is being left: noted at once, and taken up when practice is opened
 * again. Where nothing can be noted they go their way all the same.
 *
 * @example
 * const done = beingKept('s1', review); // …and `done()` once the store has it
 */
export function beingKept(studentId: string, review: Review): () => void {
  const key = keyOf(studentId) + review.id;
  try {
    localStorage.setItem(key, JSON.stringify(review));
    return () => localStorage.removeItem(key);
  } catch {
    return () => undefined;
  }
}

/** Answers that a page was left over. */
export function leftOver(studentId: string): Review[] {
  try {
    return Object.keys(localStorage)
      .filter((key) => key.startsWith(keyOf(studentId)))
      .map((key) => JSON.parse(localStorage.getItem(key)!) as Review);
  } catch {
    return [];
  }
}
