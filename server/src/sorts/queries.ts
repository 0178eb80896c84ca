import type { KeptSort, SortBody } from '@hurrow/contract/sorts';
import type { SortReading, TaggedTwig, ToldOfSort } from '@hurrow/core/sorting';
import type { Db } from '../db/index.ts';
import { uuidOf } from '../db/uuid.ts';

export interface SortRow {
  id: string;
  studentId: string | null;
  who: string;
  body: SortBody;
  /** Of the library that the twigs were drawn from. */
  revision: number;
  /** Null where it was kept before readings were. */
  readings: SortReading[] | null;
  /** Null where it was kept before it was. */
  told: ToldOfSort[] | null;
  at: Date;
}

/** A table as it is handed out. */
export const keptSort = ({ id, body, revision, at }: SortRow): KeptSort => ({
  ...body,
  id,
  revision,
  at: at.toISOString(),
});

const SORTS = `select sort.id, student_id as "studentId", coalesce(sort.who, student.name) as who, body, revision, readings, told, at
  from sort left join student on student.id = student_id`;

export const sortsOfCourse = (db: Db, courseId: string) =>
  db.query<SortRow>(`${SORTS} where sort.course_id = $1 order by at desc, sort.id`, [courseId]);

export const sortsOfStudent = (db: Db, studentId: string) =>
  db.query<SortRow>(`${SORTS} where student_id = $1 order by at desc, sort.id`, [studentId]);

export const sortOf = async (db: Db, id: string) =>
  (
    await db.query<{ studentId: string | null; courseId: string }>(
      'select student_id as "studentId", course_id as "courseId" from sort where id = $1::uuid',
      [uuidOf(id)],
    )
  )[0];

export const keepSort = (
  db: Db,
  { id, courseId, studentId, who }: { id: string; courseId: string; studentId?: string; who?: string },
  { body, revision, readings, told, at }: Omit<SortRow, 'id' | 'studentId' | 'who'>,
) =>
  db.query(
    `insert into sort (id, course_id, student_id, who, body, revision, readings, told, at)
     values ($1, $2, $3, $4, $5::jsonb, $6, $7::jsonb, $8::jsonb, $9)
     on conflict (id) do update set who = excluded.who, body = excluded.body, revision = excluded.revision, readings = excluded.readings,
       told = excluded.told,       at = excluded.at`,
    [
      id,
      courseId,
      studentId ?? null,
      who ?? null,
      JSON.stringify(body),
      revision,
      JSON.stringify(readings),
      JSON.stringify(told),
      at,
    ],
  );

export const bagOf = async (db: Db, courseId: string): Promise<TaggedTwig[]> =>
  (
    await db.query<{ twigs: TaggedTwig[] }>('select twigs from course_bag where course_id = $1', [courseId])
  )[0]?.twigs ?? [];

export const fillBag = (db: Db, courseId: string, twigs: readonly TaggedTwig[]) =>
  db.query(
    `insert into course_bag (course_id, twigs) values ($1, $2::jsonb)
     on conflict (course_id) do update set twigs = excluded.twigs`,
    [courseId, JSON.stringify(twigs)],
  );
