import type { Db } from '../db/index.ts';
import { uuidOf } from '../db/uuid.ts';

/** What was noted on a student for an advising talk. */
export const advisingNote = async (db: Db, studentId: string): Promise<string> =>
  (
    await db.query<{ note: string }>('select advising_note as note from student where id = $1::uuid', [
      uuidOf(studentId),
    ])
  )[0]?.note ?? '';

export const setAdvisingNote = (db: Db, studentId: string, note: string) =>
  db.query('update student set advising_note = $2 where id = $1::uuid', [uuidOf(studentId), note]);
