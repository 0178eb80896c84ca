import { Problem } from '../api/problem.ts';

/** Answers of a student that are taken in a minute; a phone that was away for a day sends some hundreds at once. */
const MOST = 1000;

/** When a student's minute began, in milliseconds, and the answers since. */
const minutes = new Map<string, { since: number; answers: number }>();

/**
 * Counts answers of a student, so that none fills the store. Throws a 429, upon which the phone keeps its answers and sends them again by itself.
 *
 * @param now in milliseconds
 * @example
 * keepPace('4f1c…', 300, Date.now()); // the fourth time within a minute it throws
 */
export function keepPace(studentId: string, answers: number, now: number): void {
  const running = minutes.get(studentId);
  const minute = running && now - running.since < 60_000 ? running : { since: now, answers: 0 };
  if (minute.answers + answers > MOST)
    throw new Problem(
      429,
      'These are more answers than anyone writes in a minute. They are kept on this phone and sent again soon.',
    );
  minute.answers += answers;
  minutes.set(studentId, minute);
  if (minutes.size > 2000)
    for (const [id, { since }] of minutes) if (now - since >= 60_000) minutes.delete(id);
}
