import type { ClassReport } from '@hurrow/contract/confusions';
import type { PromptFinding } from '@hurrow/core/confusion';
import type { Db } from '../db/index.ts';
import { uuidOf } from '../db/uuid.ts';

export const report = async (db: Db, courseId: string, key: string) =>
  (
    await db.query<{ report: ClassReport; computedAt: Date }>(
      'select report, computed_at as "computedAt" from confusion_report where course_id = $1 and key = $2',
      [courseId, key],
    )
  )[0];

/** What the newest report of each course of the same library that began before one says of characters, the latest course first. */
export const reportsBefore = (db: Db, courseId: string) =>
  db.query<{
    courseId: string;
    name: string;
    report: Pick<ClassReport, 'characters'> & { prompts: PromptFinding[] };
  }>(
    `select distinct on (earlier.starts_on, earlier.id) earlier.id as "courseId", earlier.name,
            jsonb_build_object('characters', report->'characters', 'prompts', coalesce(report->'prompts', '[]'::jsonb)) as report
       from course join course as earlier on earlier.library_id = course.library_id and earlier.starts_on < course.starts_on
       join confusion_report on course_id = earlier.id
       where course.id = $1::uuid order by earlier.starts_on desc, earlier.id, computed_at desc limit 12`,
    [uuidOf(courseId)],
  );

/** Keeps a report. The same key is the same report, so that the first one kept stands. */
export const keepReport = (db: Db, courseId: string, key: string, held: ClassReport, at: Date) =>
  db.query(
    `insert into confusion_report (course_id, key, report, computed_at) values ($1, $2, $3::jsonb, $4)
     on conflict (course_id, key) do nothing`,
    [courseId, key, JSON.stringify(held), at],
  );

/** Leaves the newest reports of a course, which undoing comes back to, and drops the rest. */
export const dropOldReports = (db: Db, courseId: string, kept: number) =>
  db.query(
    `delete from confusion_report where course_id = $1 and key not in
       (select key from confusion_report where course_id = $1 order by computed_at desc, key limit $2)`,
    [courseId, kept],
  );

export const setLeftOut = (db: Db, stationId: string, leftOut: boolean) =>
  db.query('update station set left_out = $2 where id = $1::uuid', [uuidOf(stationId), leftOut]);

export interface Reteaching {
  a: string;
  b: string;
  taughtOn: string;
}

export const reteachings = (db: Db, courseId: string) =>
  db.query<Reteaching & { students: string[] | null }>(
    `select a, b, to_char(taught_on, 'YYYY-MM-DD') as "taughtOn", students from reteaching where course_id = $1 order by taught_on, a, b`,
    [courseId],
  );

export const addReteaching = (
  db: Db,
  courseId: string,
  { a, b, taughtOn }: Reteaching,
  accountId: string | null,
  students: readonly string[] | null = null,
) =>
  db.query(
    `insert into reteaching (course_id, a, b, taught_on, account_id, students) values ($1, $2, $3, $4, $5, $6::jsonb)
     on conflict (course_id, a, b, taught_on) do update set students = excluded.students`,
    [courseId, a, b, taughtOn, accountId, students && JSON.stringify(students)],
  );

export const removeReteaching = (db: Db, courseId: string, { a, b, taughtOn }: Reteaching) =>
  db.query('delete from reteaching where course_id = $1 and a = $2 and b = $3 and taught_on = $4', [
    courseId,
    a,
    b,
    taughtOn,
  ]);
