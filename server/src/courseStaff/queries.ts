import type { CourseRole, CourseTeacher, Named } from '@hurrow/contract/courseStaff';
import type { Db } from '../db/index.ts';
import { uuidOf } from '../db/uuid.ts';

/** What those who are named do in a course, by its id or by that of one of its quizzes. */
export const namedFor = (db: Db, { courseId, quizId }: { courseId?: string; quizId?: string }) =>
  db.query<{ accountId: string; role: CourseRole }>(
    `select account_id as "accountId", role from course_staff
      where course_id = ${courseId === undefined ? '(select course_id from quiz where id = $1::uuid)' : '$1::uuid'}`,
    [uuidOf(courseId ?? quizId ?? '')],
  );

/** Everyone who teaches here and has not left, with what they do in a course. */
export const teachers = (db: Db, courseId: string) =>
  db.query<CourseTeacher>(
    `select account.id as "accountId", account.name, account.role, course_staff.role as here
       from account left join course_staff on account_id = account.id and course_id = $1
      where account.left_at is null order by lower(account.name), account.id`,
    [courseId],
  );

export async function name(db: Db, courseId: string, named: readonly Named[]): Promise<void> {
  await db.query('delete from course_staff where course_id = $1', [courseId]);
  await db.query(
    `insert into course_staff (course_id, account_id, role)
     select $1, account_id, role from unnest($2::uuid[], $3::text[]) as n (account_id, role)`,
    [courseId, named.map(({ accountId }) => accountId), named.map(({ role }) => role)],
  );
}

/** Courses that name others and not this account: they are none of its. */
export const closedTo = async (db: Db, accountId: string): Promise<Set<string>> => {
  const rows = await db.query<{ id: string }>(
    `select distinct course_id as id from course_staff
      where not exists (select 1 from course_staff mine where mine.course_id = course_staff.course_id and mine.account_id = $1)`,
    [accountId],
  );
  return new Set(rows.map(({ id }) => id));
};

/** A copied course is taught by those who taught the first. */
export const copyStaff = (db: Db, from: string, to: string) =>
  db.query(
    'insert into course_staff (course_id, account_id, role) select $2, account_id, role from course_staff where course_id = $1',
    [from, to],
  );
