import type { QuizHead, ReleaseBody } from '@hurrow/contract/quizzes';
import { notFound } from '../api/problem.ts';
import { say } from '../api/say.ts';
import type { Who } from '../api/who.ts';
import { students } from '../courses/queries.ts';
import type { Db } from '../db/index.ts';
import { note } from '../keeping/queries.ts';
import * as queries from './queries.ts';

/** May a student see the result of a quiz? */
export const isReleasedTo = ({ state, released, releasedTo }: QuizHead, studentId: string): boolean =>
  state === 'closed' && (released || releasedTo.includes(studentId));

/** Lets all students see their own result, or one of them, or hides it again. Throws 404 where the one is of another course. */
export async function releaseTo(
  db: Db,
  quiz: QuizHead,
  { released, studentId, regradeUntil = quiz.regradeUntil }: ReleaseBody,
  by: { who: Who | undefined; now: Date },
): Promise<void> {
  if (!studentId) {
    await queries.setReleased(db, quiz.id, { released, releasedTo: [], regradeUntil });
    await note(
      db,
      by,
      quiz.courseId,
      released ? say`released the results of “${quiz.title}”` : say`hid the results of “${quiz.title}”`,
    );
    return;
  }
  const student = (await students(db, quiz.courseId)).find(({ id }) => id === studentId);
  if (!student) throw notFound('student');
  const others = quiz.releasedTo.filter((id) => id !== studentId);
  const releasedTo = released ? [...others, studentId] : others;
  await queries.setReleased(db, quiz.id, { released: quiz.released, releasedTo, regradeUntil });
  await note(
    db,
    by,
    quiz.courseId,
    released ? say`released one result of “${quiz.title}”` : say`hid one result of “${quiz.title}”`,
  );
}
