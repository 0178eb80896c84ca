import type { LessonEdits } from '@hurrow/core/lesson';
import type { Db } from '../db/index.ts';
import { uuidOf } from '../db/uuid.ts';

export const editsOf = async (db: Db, setId: string) =>
  (
    await db.query<{ edits: LessonEdits }>('select edits from lesson where set_id = $1::uuid', [
      uuidOf(setId),
    ])
  )[0]?.edits;

export const lessonsOf = (db: Db, courseId: string) =>
  db.query<{ setId: string; edits: LessonEdits }>(
    'select set_id as "setId", edits from lesson where course_id = $1',
    [courseId],
  );

export const keepEdits = (db: Db, courseId: string, setId: string, edits: LessonEdits) =>
  db.query(
    `insert into lesson (set_id, course_id, edits) values ($1, $2, $3::jsonb)
     on conflict (set_id) do update set edits = excluded.edits`,
    [setId, courseId, JSON.stringify(edits)],
  );
