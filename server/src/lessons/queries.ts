import { NO_EDITS, type LessonEdits } from '@hurrow/core/lesson';
import type { Db } from '../db/index.ts';
import { uuidOf } from '../db/uuid.ts';

/** What was kept before there were pictures has none. */
interface Row {
  edits: Partial<LessonEdits>;
}

/** What was changed in the lesson of a set. */
export const editsOf = async (db: Db, setId: string): Promise<LessonEdits> => {
  const rows = await db.query<Row>('select edits from lesson where set_id = $1::uuid', [uuidOf(setId)]);
  return { ...NO_EDITS, ...rows[0]?.edits };
};

export const lessonsOf = async (
  db: Db,
  courseId: string,
): Promise<{ setId: string; edits: LessonEdits }[]> => {
  const rows = await db.query<Row & { setId: string }>(
    'select set_id as "setId", edits from lesson where course_id = $1',
    [courseId],
  );
  return rows.map(({ setId, edits }) => ({ setId, edits: { ...NO_EDITS, ...edits } }));
};

export const keepEdits = (db: Db, courseId: string, setId: string, edits: LessonEdits) =>
  db.query(
    `insert into lesson (set_id, course_id, edits) values ($1, $2, $3::jsonb)
     on conflict (set_id) do update set edits = excluded.edits`,
    [setId, courseId, JSON.stringify(edits)],
  );
