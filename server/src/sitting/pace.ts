import { Problem } from '../api/problem.ts';
import { say } from '../api/say.ts';

/**
 * Answers that are taken in a minute: of a student, whose phone sends some hundreds at once after a day away, and of a course, for
 * three hundred who answer twenty stations in that minute and many who come back to the network together; and to practice cards, which a phone
 * may bring home by the thousand.
 */
const MOST = { student: 1000, course: 20_000, practice: 3000 };

/** When the minute of a student or course began, in milliseconds, and the answers since. */
const minutes = new Map<string, { since: number; answers: number }>();

/**
 * Counts answers of a student or of a whole course, so that none fills the store. Throws a 429, upon which the phone keeps its answers and
 * sends them again by itself.
 *
 * @param now in milliseconds
 * @example
 * keepPace('student', '4f1c…', 300, Date.now()); // the fourth time within a minute it throws
 */
export function keepPace(of: keyof typeof MOST, id: string, answers: number, now: number): void {
  const running = minutes.get(id);
  const minute = running && now - running.since < 60_000 ? running : { since: now, answers: 0 };
  if (minute.answers + answers > MOST[of])
    throw new Problem(
      429,
      of === 'course'
        ? say`These are more answers than a class writes in a minute. They are kept on this phone and sent again soon.`
        : say`These are more answers than anyone writes in a minute. They are kept on this phone and sent again soon.`,
    );
  minute.answers += answers;
  minutes.set(id, minute);
  if (minutes.size > 2000)
    for (const [old, { since }] of minutes) if (now - since >= 60_000) minutes.delete(old);
}
