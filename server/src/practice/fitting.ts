import type { WeightsFit } from '@hurrow/core/practice';
import type { Db } from '../db/index.ts';
import type { FitTask } from '../lessons/worker.ts';
import { inThread } from '../thread.ts';
import * as queries from './queries.ts';

/** The schedule is fitted anew after so many more answers. */
const MORE = 200;

/** Whether so many answers have come since the schedule of a course was fitted last that it is to be fitted anew. */
export const isFitDue = async (db: Db, courseId: string): Promise<boolean> =>
  (await queries.countReviews(db, courseId)) >= ((await queries.fitOf(db, courseId))?.reviews ?? 0) + MORE;

/** Fits the schedule of a course to what its students remembered, in a thread, where that is due. */
export async function fitWhereDue(db: Db, courseId: string): Promise<void> {
  if (!(await isFitDue(db, courseId))) return;
  const n = await queries.countReviews(db, courseId);
  const byStudent = new Map<string, { cardId: string; at: number; rating: 1 | 2 | 3 | 4 }[]>();
  for (const { studentId, cardId, at, rating } of await queries.reviewsOfCourse(db, courseId))
    byStudent.set(studentId, [...(byStudent.get(studentId) ?? []), { cardId, at: Date.parse(at), rating }]);
  const task: FitTask = { kind: 'fit', histories: [...byStudent.values()] };
  await queries.keepFit(db, courseId, n, await inThread<WeightsFit | undefined>('teachingWorker', task));
}
