import { openServer, type Db } from '@hurrow/server/db';
import * as species from '@hurrow/server/library/queries';
import { addLargeTaxa } from '../largeTaxa.ts';

/** A department as it is planted. */
export interface Size {
  courses: number;
  students: number;
  quizzes: number;
  /** Taxa that the library has beside the demo's, each scored for 120 characters. */
  taxa: number;
}

/** Stations of each quiz, at most: as many as the demo's first has. */
const STATIONS = 20;

/**
 * Makes a department of the demo's data: its first course over and over, each with students, quizzes and answers of its own. Three in four
 * answers are right, the others name a tree of the list. Each course begins a little later than the one before, over five years.
 */
export async function plantDepartment(url: string, size: Size): Promise<{ answers: number }> {
  const db = await openServer(url);
  try {
    if (size.taxa > 0) await db.transaction((tx) => addTaxa(tx, size.taxa));
    await db.script('set statement_timeout = 0');
    return await db.transaction(async (tx) => {
      await tx.script('set local statement_timeout = 0');
      await tx.script(coursesAs(size));
      await tx.script(ANSWERS);
      const [row] = await tx.query<{ n: number }>('select count(*)::int as n from response');
      return { answers: row!.n };
    });
  } finally {
    await db.script('analyze');
    await db.close();
  }
}

async function addTaxa(tx: Db, n: number): Promise<void> {
  const library = (await species.theLibrary(tx))!;
  const [own] = await species.sources(tx, library.id);
  const [account] = await tx.query<{ id: string }>('select id from account limit 1');
  const ids = { libraryId: library.id, accountId: account!.id, sourceId: own!.id };
  await addLargeTaxa(tx, ids, n);
}

const coursesAs = ({ courses, students, quizzes }: Size): string => `
  create temporary table first_course on commit drop as select * from course order by starts_on, name limit 1;
  create temporary table made on commit drop as
    select gen_random_uuid() as id, n, (select id from first_course) as of from generate_series(1, ${courses}) as n;
  insert into course (id, library_id, name, code, starts_on, weeks, audience, units, marking, latitude, longitude, elevation, opens)
    select made.id, library_id, 'Course ' || n, 'LOAD' || n, date '2021-08-30' + (n * 1825 / ${courses}), weeks, audience, units, marking,
           latitude, longitude, elevation, opens
      from made, first_course;
  create temporary table made_set on commit drop as
    select gen_random_uuid() as id, made.id as course_id, course_set.id as of, position, title, week
      from made join course_set on course_set.course_id = made.of;
  insert into course_set (id, course_id, position, title, week) select id, course_id, position, title, week from made_set;
  insert into course_taxon (course_id, taxon_id, set_id, position)
    select made_set.course_id, taxon_id, made_set.id, course_taxon.position
      from made_set join course_taxon on course_taxon.set_id = made_set.of;
  insert into student (id, course_id, name, code)
    select gen_random_uuid(), made.id, 'Student ' || s, 'S' || s from made, generate_series(1, ${students}) as s;
  create temporary table first_quiz on commit drop as
    select quiz.* from quiz join first_course on quiz.course_id = first_course.id where quiz.state = 'closed' order by held_on limit 1;
  create temporary table made_quiz on commit drop as
    select gen_random_uuid() as id, made.id as course_id, q from made, generate_series(1, ${quizzes}) as q;
  insert into quiz (id, course_id, title, held_on, state, released, opened_at, marking)
    select made_quiz.id, made_quiz.course_id, 'Quiz ' || q, course.starts_on + q * 4,
           case when q = ${quizzes} then 'open' else 'closed' end, q < ${quizzes}, now(), first_quiz.marking
      from made_quiz join course on course.id = made_quiz.course_id, first_quiz;
  insert into station (id, quiz_id, position, taxon_id, medium, view, seed, frozen, fixed_from)
    select gen_random_uuid(), made_quiz.id, station.position, taxon_id, medium, view, seed, frozen, fixed_from
      from made_quiz, station where station.quiz_id = (select id from first_quiz) and station.position <= ${STATIONS};`;

/** Answers to all closed quizzes of the courses that were made. */
const ANSWERS = `
  create temporary table listed on commit drop as
    select station.id as station_id, quiz.course_id, quiz.held_on, frozen->>'truth' as truth,
           (select array_agg(jsonb_build_object('genus', t->>'genus', 'epithet', t->>'epithet') order by t->>'id')
              from jsonb_array_elements(frozen->'list') as t) as names,
           (select jsonb_build_object('genus', t->>'genus', 'epithet', t->>'epithet')
              from jsonb_array_elements(frozen->'list') as t where t->>'id' = frozen->>'truth') as own
      from station join quiz on quiz.id = station.quiz_id join course on course.id = quiz.course_id
     where course.code like 'LOAD%' and quiz.state = 'closed';
  insert into response (id, station_id, student_id, answer, device, sequence, written_at, received_at, body_hash, by)
    select gen_random_uuid(), station_id, student.id,
           case when random() < 0.75 then own else names[1 + floor(random() * cardinality(names))::int] end,
           'phone', 1, held_on, held_on + interval '10 hours' + random() * interval '1 hour', '', 'student'
      from listed join student using (course_id);`;
