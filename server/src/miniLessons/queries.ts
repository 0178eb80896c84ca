import type { MiniLesson, MiniLessonBody, SentMiniLesson } from '@hurrow/contract/miniLessons';
import type { Db } from '../db/index.ts';
import { uuidOf } from '../db/uuid.ts';

const LESSON = `mini_lesson.id, a, b, character_id as "characterId", note, to_char(sent_on, 'YYYY-MM-DD') as "sentOn"`;

/** The mini-lessons of a course, the newest first, with whom they were sent to. */
export const miniLessonsOf = (db: Db, courseId: string) =>
  db.query<SentMiniLesson>(
    `select ${LESSON},
            coalesce(jsonb_agg(jsonb_build_object('id', student_id, 'opened', opened_at is not null) order by student_id)
                     filter (where student_id is not null), '[]') as students
       from mini_lesson left join mini_lesson_student on mini_lesson_id = mini_lesson.id
      where course_id = $1::uuid group by mini_lesson.id order by sent_on desc, mini_lesson.id`,
    [uuidOf(courseId)],
  );

/** Those that were sent to a student. */
export const miniLessonsTo = (db: Db, studentId: string) =>
  db.query<MiniLesson>(
    `select ${LESSON} from mini_lesson join mini_lesson_student on mini_lesson_id = mini_lesson.id
      where student_id = $1::uuid order by sent_on desc, mini_lesson.id`,
    [uuidOf(studentId)],
  );

/** Returns whether it is a new one. */
export const addMiniLesson = async (
  db: Db,
  courseId: string,
  { id, a, b, characterId, note, sentOn }: Omit<MiniLessonBody, 'to'>,
  accountId: string | null,
): Promise<boolean> =>
  (
    await db.query(
      `insert into mini_lesson (id, course_id, a, b, character_id, note, sent_on, account_id)
       values ($1, $2, $3, $4, $5, $6, $7::date, $8) on conflict (id) do nothing returning id`,
      [id, courseId, a, b, characterId, note, sentOn, accountId],
    )
  ).length > 0;

export const addStudents = (db: Db, id: string, students: readonly string[]) =>
  db.query(
    `insert into mini_lesson_student (mini_lesson_id, student_id)
     select $1, student from unnest($2::uuid[]) as student on conflict do nothing`,
    [id, students],
  );

export const removeMiniLesson = async (db: Db, courseId: string, id: string) =>
  (
    await db.query<{ a: string; b: string; sentOn: string }>(
      `delete from mini_lesson where course_id = $1::uuid and id = $2::uuid
       returning a, b, to_char(sent_on, 'YYYY-MM-DD') as "sentOn"`,
      [uuidOf(courseId), uuidOf(id)],
    )
  )[0];

/** Returns whether it was sent to the student. */
export const markOpened = async (db: Db, id: string, studentId: string, now: Date): Promise<boolean> =>
  (
    await db.query(
      `update mini_lesson_student set opened_at = coalesce(opened_at, $3)
        where mini_lesson_id = $1::uuid and student_id = $2::uuid returning student_id`,
      [uuidOf(id), uuidOf(studentId), now],
    )
  ).length > 0;
