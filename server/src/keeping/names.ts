import { say } from '../api/say.ts';
import type { Db } from '../db/index.ts';
import * as queries from './queries.ts';

/** What stands where a name was. */
export const namelessName = (n: number): string => `Former student ${n}`;

/** Takes a student's name away. */
export async function takeName(db: Db, courseId: string, studentId: string): Promise<string> {
  const name = namelessName((await queries.lastNumber(db, courseId)) + 1);
  await queries.makeNameless(db, studentId, name);
  return name;
}

/** A day so many months before another. */
export function monthsBefore(now: Date, months: number): string {
  const day = new Date(now);
  day.setUTCMonth(day.getUTCMonth() - months);
  return day.toISOString().slice(0, 10);
}

/**
 * Takes the names of students whose time is up: their course ended longer ago than the owner has set for keeping names.
 *
 * @returns how many
 * @example
 * await forgetNames(db, new Date()); // 24, once, some day in the year after the course
 */
export async function forgetNames(db: Db, now: Date): Promise<number> {
  const months = await queries.namesKeptMonths(db);
  if (months === null) return 0;
  return db.transaction(async (tx) => {
    const due = await queries.namedUntil(tx, monthsBefore(now, months));
    for (const { id, courseId } of due) await takeName(tx, courseId, id);
    for (const courseId of new Set(due.map((row) => row.courseId))) {
      const n = due.filter((row) => row.courseId === courseId).length;
      await queries.addHistory(
        tx,
        now,
        null,
        courseId,
        n === 1
          ? say`took the name of one student away: the time for keeping them had run out`
          : say`took the names of ${n} students away: the time for keeping them had run out`,
      );
    }
    return due.length;
  });
}
