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

/** For each course a short text that changes with its answers, with what counts of its stations, with its quizzes, and with rulings. */
export const statesOfCourses = (db: Db, courseIds: readonly string[]) =>
  db.query<{ courseId: string; state: string }>(
    `select course_id as "courseId", md5(string_agg(line, ' ' order by line)) as state
       from (select quiz.course_id, concat_ws(' ', station.id, quiz.state, quiz.held_on, quiz.title, quiz.marking,
                    station.voided, station.left_out, station.credited, count(response.id), max(response.received_at)) as line
               from quiz join station on station.quiz_id = quiz.id left join response on response.station_id = station.id
              where quiz.course_id = any($1::uuid[]) group by quiz.id, station.id
             union all
             select course_id, concat_ws(' ', 'ruling', count(*), max(id)) from ruling
              where course_id = any($1::uuid[]) group by course_id
             union all
             select course_id, concat_ws(' ', 'words', count(*), max(id)) from words_ruling
              where course_id = any($1::uuid[]) group by course_id) as lines
      group by course_id`,
    [courseIds],
  );
