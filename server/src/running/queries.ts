import type { Attendance, StationNote } from '@hurrow/contract/running';
import type { Db } from '../db/index.ts';
import { uuidOf } from '../db/uuid.ts';

export interface StudentOfQuiz {
  studentId: string;
  was: Attendance;
  reopened: boolean;
}

/** What was said of students of a quiz; those of whom nothing was said were there. */
export const studentsOfQuiz = (db: Db, quizId: string) =>
  db.query<StudentOfQuiz>(
    `select student_id as "studentId", was, reopened from quiz_student where quiz_id = $1`,
    [quizId],
  );

export const setStudent = (db: Db, quizId: string, { studentId, was, reopened }: StudentOfQuiz) =>
  db.query(
    `insert into quiz_student (quiz_id, student_id, was, reopened) values ($1, $2::uuid, $3, $4)
     on conflict (quiz_id, student_id) do update set was = excluded.was, reopened = excluded.reopened`,
    [quizId, uuidOf(studentId), was, reopened],
  );

/** Closed quizzes that are open still for a student. */
export const reopenedFor = async (db: Db, studentId: string) =>
  (
    await db.query<{ id: string }>(
      `select quiz_id as id from quiz_student where student_id = $1 and reopened`,
      [studentId],
    )
  ).map(({ id }) => id);

export const notesOf = (db: Db, quizId: string) =>
  db.query<{ stationId: string; stands: string; notes: StationNote[] }>(
    `select id as "stationId", stands, notes from station
       where quiz_id = $1 and (notes <> '[]'::jsonb or stands <> '') order by position`,
    [quizId],
  );

/** Where the stations of a quiz stand that were moved during it, by their ids. */
export const movedOf = async (db: Db, quizId: string): Promise<Map<string, string>> =>
  new Map(
    (
      await db.query<{ id: string; stands: string }>(
        `select id, stands from station where quiz_id = $1 and stands <> ''`,
        [quizId],
      )
    ).map(({ id, stands }) => [id, stands]),
  );

export const moveStation = (db: Db, stationId: string, stands: string) =>
  db.query('update station set stands = $2 where id = $1::uuid', [uuidOf(stationId), stands]);

export const addNote = (db: Db, stationId: string, note: StationNote) =>
  db.query('update station set notes = notes || $2::jsonb where id = $1::uuid', [
    uuidOf(stationId),
    JSON.stringify([note]),
  ]);
