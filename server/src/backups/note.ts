import type { Holds } from '@hurrow/contract/backups';
import { counted } from '@hurrow/core/words';
import { rowsByTable, type Db } from '../db/index.ts';

/** What a backup says of itself: shown before it is restored, and held against its rows when it is opened. */
export interface BackupNote {
  format: 'hurrow backup 1';
  made: string;
  library: string;
  courses: { name: string; students: number; quizzes: number; answers: number }[];
  /** When the newest answer in it was received. */
  newestAnswer: string | null;
  /** Rows by table. */
  rows: Record<string, number>;
}

/** Counts what a store holds. Throws if a part of it cannot be read. */
export async function noteOf(db: Pick<Db, 'query'>, made: Date): Promise<BackupNote> {
  const rows = await rowsByTable(db);
  if (!('library' in rows)) return { ...EMPTY, made: made.toISOString(), rows };
  const [library] = await db.query<{ name: string }>('select name from library limit 1');
  const [newest] = await db.query<{ at: Date | null }>('select max(received_at) as at from response');
  return {
    ...EMPTY,
    made: made.toISOString(),
    library: library?.name ?? EMPTY.library,
    courses: await db.query<BackupNote['courses'][number]>(COURSES),
    newestAnswer: newest?.at?.toISOString() ?? null,
    rows,
  };
}

const EMPTY: BackupNote = {
  format: 'hurrow backup 1',
  made: '',
  library: 'not yet set up',
  courses: [],
  newestAnswer: null,
  rows: {},
};

const COURSES = `
  select name,
    (select count(*)::int from student where course_id = c.id) as students,
    (select count(*)::int from quiz where course_id = c.id) as quizzes,
    (select count(*)::int from response r join student s on s.id = r.student_id where s.course_id = c.id) as answers
  from course c order by created_at`;

/**
 * What a backup holds, in a sentence.
 *
 * @example
 * inWords(note); // '42 species, 2 courses with 43 students, 1,204 answers, 12 photographs'
 */
export function inWords(note: BackupNote): string {
  const { species, courses, students, answers, photographs } = heldIn(note);
  return [
    counted(species, 'species', 'species'),
    `${counted(courses, 'course')} with ${counted(students, 'student')}`,
    counted(answers, 'answer'),
    counted(photographs, 'photograph'),
  ].join(', ');
}

/** The same as numbers, for a page that says it in its own language. */
export const heldIn = ({ rows, courses }: BackupNote): Holds => ({
  species: rows['taxon'] ?? 0,
  courses: courses.length,
  students: courses.reduce((sum, { students }) => sum + students, 0),
  answers: rows['response'] ?? 0,
  photographs: rows['photo'] ?? 0,
});

/** Tables in which two counts of the same store differ. */
export const differing = (a: BackupNote, b: BackupNote): string[] =>
  [...new Set([...Object.keys(a.rows), ...Object.keys(b.rows)])].filter(
    (table) => a.rows[table] !== b.rows[table],
  );
