import type { QuizHead } from '@hurrow/contract/quizzes';
import { conflict, notFound } from '../api/problem.ts';
import { say } from '../api/say.ts';
import type { Db } from '../db/index.ts';
import * as queries from './queries.ts';

/** The quiz of an address. Throws 404 where there is none. */
export async function quizOf(db: Db, id: string): Promise<QuizHead> {
  const row = await queries.quiz(db, id);
  if (!row) throw notFound('quiz');
  return row;
}

/** The same, held against others who would change it; throws 409 once it has been opened. */
export async function plannedQuizOf(db: Db, id: string): Promise<QuizHead> {
  const row = await queries.quizForUpdate(db, id);
  if (!row) throw notFound('quiz');
  if (row.state !== 'planned')
    throw conflict(
      say`This quiz has been opened and its stations are fixed. Void a station to leave it out, or plan another quiz.`,
    );
  return row;
}
