import type { Contest } from '@hurrow/contract/contests';
import type { Db } from '../db/index.ts';

export const contestOf = async (db: Db, quizId: string) =>
  (await db.query<{ contest: Contest | null }>('select contest from quiz where id = $1', [quizId]))[0]
    ?.contest ?? null;

export const setContest = (db: Db, quizId: string, contest: Contest | null) =>
  db.query('update quiz set contest = $2::jsonb where id = $1', [quizId, contest && JSON.stringify(contest)]);
