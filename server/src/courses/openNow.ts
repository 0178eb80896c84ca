import type { Db } from '../db/index.ts';
import { quizStates } from '../quizzes/queries.ts';
import type { Course } from '@hurrow/contract/courses';
import type { OpenToStudents } from '@hurrow/contract/courses';

/** What works out an answer, and not only tells what a book tells. */
const WORKS_OUT: readonly OpenToStudents[] = ['contrasts', 'keys'];

/**
 * What students of a course may open now: what the course allows, without contrasts and keys while one of its quizzes is open, so that nothing
 * helps them more than a book would.
 */
export async function openNow(db: Db, course: Course): Promise<OpenToStudents[]> {
  if (course.opens.length === 0) return [];
  const sitting = (await quizStates(db, course.id)).some(({ state }) => state === 'open');
  return course.opens.filter((part) => !sitting || !WORKS_OUT.includes(part));
}
