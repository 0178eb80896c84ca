import type { Need } from '@hurrow/core/station';
import type { HistoryLine } from '@hurrow/contract/keeping';
import type { Said } from '@hurrow/contract/problem';
import type { Answer } from '@hurrow/core/names';
import type { Who } from '../api/who.ts';
import type { Db } from '../db/index.ts';
import { uuidOf } from '../db/uuid.ts';

/** Who changed what, newest first: of one course, or of all but those that are closed to who asks. */
export const history = (db: Db, courseId: string | null, most: number, closed: readonly string[]) =>
  db.query<Omit<HistoryLine, 'at'> & { at: Date }>(
    `select history.at, account.name as by, course.name as course, what, said
       from history left join account on account.id = account_id left join course on course.id = history.course_id
      where ($3 or history.course_id = $1::uuid) and (history.course_id is null or not history.course_id = any($4::uuid[]))
      order by history.id desc limit $2`,
    [courseId && uuidOf(courseId), most, courseId === null, closed],
  );

export const addHistory = (
  db: Db,
  at: Date,
  accountId: string | null,
  courseId: string | null,
  { message, ...said }: Said,
) =>
  db.query('insert into history (at, account_id, course_id, what, said) values ($1, $2, $3, $4, $5::jsonb)', [
    at,
    accountId,
    courseId,
    message,
    JSON.stringify(said),
  ]);

/** Notes a change of the one who calls, to follow their name: say`closed the quiz “${title}”`. */
export const note = (
  db: Db,
  { who, now }: { who: Who | undefined; now: Date },
  courseId: string | null,
  what: Said,
) => addHistory(db, now, who?.accountId ?? null, courseId, what);

export const namesKeptMonths = async (db: Db) =>
  (await db.query<{ months: number | null }>('select names_kept_months as months from library limit 1'))[0]
    ?.months ?? null;

export const setNamesKeptMonths = (db: Db, months: number | null) =>
  db.query('update library set names_kept_months = $1', [months]);

/** A student, and how many answers would go with one. */
export const studentOf = async (db: Db, courseId: string, studentId: string) =>
  (
    await db.query<{ id: string; name: string; nameless: boolean; needs: Need[]; answers: number }>(
      `select id, name, nameless, needs, (select count(*)::int from response where student_id = student.id) as answers
         from student where course_id = $1 and id = $2::uuid`,
      [courseId, uuidOf(studentId)],
    )
  )[0];

export const answersOf = (db: Db, studentId: string) =>
  db.query<{
    quiz: string;
    heldOn: string;
    station: number;
    answer: Answer;
    by: string;
    writtenAt: Date;
    receivedAt: Date;
  }>(
    `select quiz.title as quiz, to_char(quiz.held_on, 'YYYY-MM-DD') as "heldOn", station.position as station,
            answer, by, written_at as "writtenAt", received_at as "receivedAt"
       from response join station on station.id = station_id join quiz on quiz.id = quiz_id
      where student_id = $1 order by quiz.held_on, station.position, received_at`,
    [studentId],
  );

/** Takes the name and the code of a student away; nobody signs in as the student any more. */
export const makeNameless = async (db: Db, studentId: string, name: string) => {
  await db.query('delete from session where student_id = $1', [studentId]);
  await db.query(
    `update student set name = $2, code = 'gone-' || id, nameless = true, advising_note = '', needs = '[]' where id = $1`,
    [studentId, name],
  );
};

/** The highest number that stands for a name in a course: one that was given is not given again. */
export const lastNumber = async (db: Db, courseId: string) =>
  (
    await db.query<{ n: number }>(
      `select coalesce(max(substring(name from '[0-9]+$')::int), 0) as n from student where course_id = $1 and nameless`,
      [courseId],
    )
  )[0]!.n;

/** Students with names in courses that ended before a day. */
export const namedUntil = (db: Db, day: string) =>
  db.query<{ id: string; courseId: string }>(
    `select student.id, course_id as "courseId" from student join course on course.id = course_id
      where not nameless and starts_on + weeks * 7 < $1::date order by course_id, student.name`,
    [day],
  );

/** Lets this transaction delete what is otherwise only added to. */
const removing = (db: Db) => db.query(`select set_config('hurrow.removing', 'yes', true)`);

/** Deletes a student with everything that is theirs. Returns the ids of their answers. */
export async function deleteStudent(db: Db, courseId: string, studentId: string): Promise<string[]> {
  await removing(db);
  const answers = await db.query<{ id: string }>('delete from response where student_id = $1 returning id', [
    studentId,
  ]);
  await db.query('delete from ruling where student_id = $1', [studentId]);
  await db.query('delete from confusion_report where course_id = $1', [courseId]);
  await db.query('delete from note_entry where student_id = $1', [studentId]);
  await db.query('delete from sort where student_id = $1', [studentId]);
  await db.query('delete from session where student_id = $1', [studentId]);
  await db.query('delete from student where id = $1', [studentId]);
  return answers.map(({ id }) => id);
}

/** Deletes a course with everything in it. Returns the ids of its answers. */
export async function deleteCourse(db: Db, courseId: string): Promise<string[]> {
  await removing(db);
  const answers = await db.query<{ id: string }>(
    'delete from response where student_id in (select id from student where course_id = $1) returning id',
    [courseId],
  );
  for (const sql of [
    'delete from ruling where course_id = $1',
    'delete from words_ruling where course_id = $1',
    'delete from confusion_report where course_id = $1',
    'delete from reteaching where course_id = $1',
    'delete from note_entry where course_id = $1',
    'delete from course_tag where course_id = $1',
    'delete from sort where course_id = $1',
    'delete from walk where course_id = $1',
    'delete from collecting where course_id = $1',
    'delete from session where student_id in (select id from student where course_id = $1)',
    'delete from student where course_id = $1',
    'delete from station where quiz_id in (select id from quiz where course_id = $1)',
    'delete from quiz where course_id = $1',
    'delete from course_taxon where course_id = $1',
    'delete from lesson where course_id = $1',
    'delete from course_set where course_id = $1',
    'delete from course where id = $1',
  ])
    await db.query(sql, [courseId]);
  return answers.map(({ id }) => id);
}
