import { USUAL_ROUNDS } from '@hurrow/contract/rounds';
import type { QuizHead } from '@hurrow/contract/quizzes';
import type { OpenQuiz } from '@hurrow/contract/sitting';
import { ownRound, timetable } from '@hurrow/core/rotation';
import { students as studentsOf } from '../courses/queries.ts';
import { remember, type Db } from '../db/index.ts';
import * as quizQueries from '../quizzes/queries.ts';

/** The bell of a quiz and the round of one student by it; null where it has not been rung, or the student goes no round. */
export async function bellFor(
  db: Db,
  quiz: QuizHead,
  stations: number,
  studentId: string,
): Promise<OpenQuiz['bell']> {
  const held = await remember(db, `bell ${quiz.id}`, async () => {
    const state = await quizQueries.bellOf(db, quiz.id);
    if (!state) return null;
    const rounds = (await quizQueries.roundsOf(db, quiz.id)) ?? USUAL_ROUNDS;
    const all = await studentsOf(db, quiz.courseId);
    const named = all.filter(({ nameless }) => !nameless).map(({ id }) => id);
    const rotation = timetable(rounds, named, stations);
    return rotation ? { state, rotation, moving: rounds.moving } : null;
  });
  const round = held && ownRound(held.rotation, studentId, held.moving);
  return held && round ? { round, state: held.state } : null;
}
