import type { WeightsFit } from '@hurrow/core/practice';
import type { Db } from '../db/index.ts';
import type { FitTask } from '../lessons/worker.ts';
import { inThread } from '../thread.ts';
import * as queries from './queries.ts';

/** The schedule is fitted anew after so many more answers. */
const MORE = 200;
const working = new Set<string>();

/** Fits the schedule of a course to what its students remembered, in a thread, where enough answers have come since it was fitted last. */
export async function fitWhereDue(db: Db, courseId: string): Promise<void> {
  if (working.has(courseId)) return;
  working.add(courseId);
  try {
    const n = await queries.countReviews(db, courseId);
    if (n < ((await queries.fitOf(db, courseId))?.reviews ?? 0) + MORE) return;
    const byStudent = new Map<string, { cardId: string; at: number; rating: 1 | 2 | 3 | 4 }[]>();
    for (const { studentId, cardId, at, rating } of await queries.reviewsOfCourse(db, courseId))
      byStudent.set(studentId, [...(byStudent.get(studentId) ?? []), { cardId, at: Date.parse(at), rating }]);
    const task: FitTask = { kind: 'fit', histories: [...byStudent.values()] };
    await queries.keepFit(db, courseId, n, await inThread<WeightsFit | undefined>('teachingWorker', task));
  } finally {
    working.delete(courseId);
  }
}
