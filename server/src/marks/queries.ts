import type { Regrade, SecondWord } from '@hurrow/contract/marking';
import type { TermScheme } from '@hurrow/core/marks';
import type { Db } from '../db/index.ts';
import { uuidOf } from '../db/uuid.ts';

const REGRADE = `regrade.id, regrade.student_id as "studentId", station_id as "stationId", note, asked_at as "askedAt", answer`;

type RegradeRow = Omit<Regrade, 'askedAt'> & { askedAt: Date };
const asRegrade = (row: RegradeRow): Regrade => ({ ...row, askedAt: row.askedAt.toISOString() });

/** Those that wait come first. */
export const regradesOf = async (db: Db, quizId: string) =>
  (
    await db.query<RegradeRow>(
      `select ${REGRADE} from regrade join station on station.id = station_id
        where quiz_id = $1 order by answer is not null, asked_at`,
      [quizId],
    )
  ).map(asRegrade);

export const regradesOfStudent = async (db: Db, quizId: string, studentId: string) =>
  (await regradesOf(db, quizId)).filter((row) => row.studentId === studentId);

/** Asks once for each station; what is asked again takes the place of what waits, and nothing happens where it was answered. */
export const addRegrade = (
  db: Db,
  row: { id: string; stationId: string; studentId: string; note: string; at: Date },
) =>
  db.query<{ id: string }>(
    `insert into regrade (id, station_id, student_id, note, asked_at) values ($1, $2, $3, $4, $5)
     on conflict (station_id, student_id) do update set note = excluded.note, asked_at = excluded.asked_at
     where regrade.answer is null returning id`,
    [row.id, row.stationId, row.studentId, row.note, row.at],
  );

export const answerRegrade = (
  db: Db,
  quizId: string,
  id: string,
  { answer, accountId, at }: { answer: string; accountId: string; at: Date },
) =>
  db.query<{ id: string }>(
    `update regrade set answer = $3, answered_by = $4, answered_at = $5
      where id = $2::uuid and station_id in (select id from station where quiz_id = $1) returning id`,
    [quizId, uuidOf(id), answer, accountId, at],
  );

export const schemeOf = async (db: Db, courseId: string) =>
  (
    await db.query<{ scheme: TermScheme | null }>('select term_scheme as scheme from course where id = $1', [
      courseId,
    ])
  )[0]?.scheme ?? null;

export const setScheme = (db: Db, courseId: string, scheme: TermScheme) =>
  db.query('update course set term_scheme = $2::jsonb where id = $1', [courseId, JSON.stringify(scheme)]);

/** What second markers said of a quiz, in the order in which they said it. */
export const secondWords = async (db: Db, quizId: string, accountId: string): Promise<SecondWord[]> =>
  (
    await db.query<Omit<SecondWord, 'own'> & { accountId: string }>(
      `select answer, verdict, account.name as by, account_id as "accountId"
         from second_mark join account on account.id = account_id where quiz_id = $1 order by at, answer`,
      [quizId],
    )
  ).map(({ accountId: of, ...word }) => ({ ...word, own: of === accountId }));

export const saySecond = (
  db: Db,
  row: { quizId: string; accountId: string; answer: string; verdict: SecondWord['verdict']; at: Date },
) =>
  db.query(
    `insert into second_mark (quiz_id, account_id, answer, verdict, at) values ($1, $2, $3, $4, $5)
     on conflict (quiz_id, account_id, answer) do update set verdict = excluded.verdict, at = excluded.at`,
    [row.quizId, row.accountId, row.answer, row.verdict, row.at],
  );

export const takeSecondBack = (db: Db, quizId: string, accountId: string, answer: string) =>
  db.query('delete from second_mark where quiz_id = $1 and account_id = $2 and answer = $3', [
    quizId,
    accountId,
    answer,
  ]);
