import type { Db } from '../db/index.ts';
import { uuidOf } from '../db/uuid.ts';
import type { Course, CourseBody, Student } from '@hurrow/contract/courses';
import type { Need } from '@hurrow/core/station';

const COLUMNS = `id, name, code, to_char(starts_on, 'YYYY-MM-DD') as "startsOn", weeks, audience, units, marking, latitude, longitude, elevation,
  starts_with as "startsWith", opens, closed_weeks as "closedWeeks", sees_slips as "seesSlips",
  asks_in_practice as "asksInPractice", names_in as "namesIn"`;

export const courses = (db: Db) =>
  db.query<Course>(`select ${COLUMNS} from course order by created_at, course.starts_on`);

export const course = async (db: Db, id: string) =>
  (await db.query<Course>(`select ${COLUMNS} from course where id = $1::uuid`, [uuidOf(id)]))[0];

/** Courses of the same library that began before one, the latest first. */
export const coursesBefore = (db: Db, id: string) =>
  db.query<Course>(
    `select ${COLUMNS} from course
      where library_id = (select library_id from course where id = $1::uuid)
        and starts_on < (select starts_on from course where id = $1::uuid) order by course.starts_on desc, id`,
    [uuidOf(id)],
  );

export const addCourse = (db: Db, id: string, libraryId: string, code: string, body: CourseBody) =>
  db.query(
    `insert into course (id, library_id, code, name, starts_on, weeks, audience, units, marking, latitude, longitude, elevation, starts_with, opens, closed_weeks, sees_slips, asks_in_practice, names_in)
     values ($1, $2, $3, $4, $5::date, $6, $7, $8, $9::jsonb, $10, $11, $12, $13, $14::jsonb, $15::jsonb, $16, $17, $18)`,
    [id, libraryId, code, ...columnsOf(body)],
  );

export const updateCourse = (db: Db, id: string, body: CourseBody) =>
  db.query(
    `update course set name = $2, starts_on = $3::date, weeks = $4, audience = $5, units = $6, marking = $7::jsonb,
            latitude = $8, longitude = $9, elevation = $10, starts_with = $11, opens = $12::jsonb, closed_weeks = $13::jsonb, sees_slips = $14, asks_in_practice = $15, names_in = $16 where id = $1`,
    [id, ...columnsOf(body)],
  );

const columnsOf = (body: CourseBody) => [
  body.name,
  body.startsOn,
  body.weeks,
  body.audience,
  body.units,
  JSON.stringify(body.marking),
  body.latitude,
  body.longitude,
  body.elevation,
  body.startsWith ?? 'leaf',
  JSON.stringify(body.opens ?? []),
  JSON.stringify(body.closedWeeks ?? []),
  body.seesSlips ?? false,
  body.asksInPractice ?? true,
  body.namesIn ?? null,
];

export const codeTaken = async (db: Db, code: string) =>
  (await db.query('select 1 from course where code = $1', [code])).length > 0;

export const sets = (db: Db, courseId: string) =>
  db.query<{ id: string; title: string; week: number | null; taxa: string[] }>(
    `select course_set.id, course_set.title, course_set.week,
            coalesce(array_agg(course_taxon.taxon_id order by course_taxon.position) filter (where course_taxon.taxon_id is not null), '{}') as taxa
       from course_set left join course_taxon on course_taxon.set_id = course_set.id
      where course_set.course_id = $1
      group by course_set.id order by course_set.position`,
    [courseId],
  );

export const clearSets = async (db: Db, courseId: string) => {
  await db.query('delete from course_taxon where course_id = $1', [courseId]);
  await db.query('delete from course_set where course_id = $1', [courseId]);
};

export const addSet = (
  db: Db,
  id: string,
  courseId: string,
  position: number,
  title: string,
  week: number | null,
) =>
  db.query('insert into course_set (id, course_id, position, title, week) values ($1, $2, $3, $4, $5)', [
    id,
    courseId,
    position,
    title,
    week,
  ]);

export const addCourseTaxon = (db: Db, courseId: string, taxonId: string, setId: string, position: number) =>
  db.query('insert into course_taxon (course_id, taxon_id, set_id, position) values ($1, $2, $3, $4)', [
    courseId,
    taxonId,
    setId,
    position,
  ]);

export const students = (db: Db, courseId: string) =>
  db.query<Student>(
    'select id, name, code, nameless, needs from student where course_id = $1 order by nameless, name',
    [courseId],
  );

export const addStudent = (db: Db, id: string, courseId: string, name: string, code: string) =>
  db.query('insert into student (id, course_id, name, code) values ($1, $2, $3, $4)', [
    id,
    courseId,
    name,
    code,
  ]);

export const setNeeds = (db: Db, courseId: string, studentId: string, needs: readonly Need[]) =>
  db.query<{ id: string }>(
    'update student set needs = $3::jsonb where course_id = $1 and id = $2::uuid and not nameless returning id',
    [courseId, uuidOf(studentId), JSON.stringify(needs)],
  );

/** Those whose spelling is not counted. */
export const spellingFree = async (db: Db, courseId: string) =>
  (
    await db.query<{ id: string }>(
      `select id from student where course_id = $1 and needs @> '["spelling"]'::jsonb order by id`,
      [courseId],
    )
  ).map(({ id }) => id);

/** A new code closes what the old one opened. */
export const setCode = async (db: Db, studentId: string, code: string) => {
  await db.query('delete from session where student_id = $1', [studentId]);
  await db.query('update student set code = $2 where id = $1', [studentId, code]);
};

/** Has a student answered, noted or sorted anything? */
export const studentHasWork = async (db: Db, studentId: string) =>
  (
    await db.query(
      `select 1 from response where student_id = $1::uuid union all select 1 from note_entry where student_id = $1::uuid
       union all select 1 from sort where student_id = $1::uuid limit 1`,
      [uuidOf(studentId)],
    )
  ).length > 0;

export const removeStudent = async (db: Db, courseId: string, studentId: string) => {
  await db.query('delete from session where student_id = $1::uuid', [uuidOf(studentId)]);
  await db.query('delete from student where course_id = $1 and id = $2::uuid', [courseId, uuidOf(studentId)]);
};
