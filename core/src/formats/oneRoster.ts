import { dayAfter } from '../season/index.ts';
import { writeTable } from './table.ts';

/** A course with its marks, as far as a learning-management system takes them. */
export interface RosteredCourse {
  id: string;
  name: string;
  code: string;
  /** ISO date of the first day, and how many weeks it lasts. */
  startsOn: string;
  weeks: number;
  students: readonly { id: string; name: string }[];
  /** Closed quizzes with their points. */
  quizzes: readonly { id: string; title: string; heldOn: string; outOf: number }[];
  results: readonly {
    studentId: string;
    quizId: string;
    points: number;
    was: 'there' | 'absent' | 'excused';
  }[];
}

/** Columns of the files of OneRoster 1.1 (1EdTech 2017, CSV tables, chapter 4) that Hurrow writes, in their order. */
export const ONE_ROSTER_COLUMNS = {
  'manifest.csv': ['propertyName', 'value'],
  'academicSessions.csv': head('title type startDate endDate parentSourcedId schoolYear'),
  'categories.csv': head('title'),
  'classes.csv': head(
    'title grades courseSourcedId classCode classType location schoolSourcedId termSourcedIds subjects subjectCodes periods',
  ),
  'courses.csv': head('schoolYearSourcedId title courseCode grades orgSourcedId subjects subjectCodes'),
  'enrollments.csv': head('classSourcedId schoolSourcedId userSourcedId role primary beginDate endDate'),
  'lineItems.csv': head(
    'title description assignDate dueDate classSourcedId categorySourcedId gradingPeriodSourcedId resultValueMin resultValueMax',
  ),
  'orgs.csv': head('name type identifier parentSourcedId'),
  'results.csv': head('lineItemSourcedId studentSourcedId scoreStatus score scoreDate comment'),
  'users.csv': head(
    'enabledUser orgSourcedIds role username userIds givenName familyName middleName identifier email sms phone agentSourcedIds grades password',
  ),
} as const;

export type OneRosterFile = keyof typeof ONE_ROSTER_COLUMNS;

/** Every table but the manifest begins with these. */
function head(rest: string): string[] {
  return ['sourcedId', 'status', 'dateLastModified', ...rest.split(' ')];
}

const CATEGORY = 'field-quizzes';
const SCHOOL = 'hurrow';
const WEEK = 7;

/**
 * The marks of a course as a package of OneRoster 1.1 in CSV: all of it at once (“bulk”), so that status and date of change stay empty, as the standard asks. Ids
 * are Hurrow's own; a system that has the class already joins by name.
 *
 * @returns the text of each file by its name
 * @example
 * oneRosterFiles(course)['results.csv']; // 'sourcedId,status,dateLastModified,lineItemSourcedId,…'
 */
export function oneRosterFiles(course: RosteredCourse): Record<OneRosterFile, string> {
  const term = `term-${course.id}`;
  const class_ = `class-${course.id}`;
  const ends = dayAfter(course.startsOn, WEEK * course.weeks - 1);
  const quizzes = new Map(course.quizzes.map((quiz) => [quiz.id, quiz]));
  const rows: Record<Exclude<OneRosterFile, 'manifest.csv'>, string[][]> = {
    // A school year is named by the year in which it ends.
    'academicSessions.csv': [row(term, course.name, 'term', course.startsOn, ends, '', ends.slice(0, 4))],
    'categories.csv': [row(CATEGORY, 'Field identification quizzes')],
    'classes.csv': [
      row(class_, course.name, '', course.id, course.code, 'scheduled', '', SCHOOL, term, '', '', ''),
    ],
    'courses.csv': [row(course.id, '', course.name, course.code, '', SCHOOL, '', '')],
    'enrollments.csv': course.students.map(({ id }) =>
      row(`enrolled-${id}`, class_, SCHOOL, id, 'student', '', course.startsOn, ends),
    ),
    'lineItems.csv': course.quizzes.map(({ id, title, heldOn, outOf }) =>
      row(id, title, '', heldOn, heldOn, class_, CATEGORY, term, '0', points(outOf)),
    ),
    'orgs.csv': [row(SCHOOL, 'Hurrow', 'school', SCHOOL, '')],
    'results.csv': course.results.map(({ studentId, quizId, was, points: reached }) =>
      row(
        `${quizId}-${studentId}`,
        quizId,
        studentId,
        was === 'excused' ? 'exempt' : was === 'absent' ? 'not submitted' : 'fully graded',
        was === 'there' ? points(reached) : was === 'absent' ? '0' : '',
        quizzes.get(quizId)!.heldOn,
        '',
      ),
    ),
    'users.csv': course.students.map(({ id, name }) => {
      const parts = name.trim().split(/\s+/);
      const family = parts.length > 1 ? parts.at(-1)! : name.trim();
      const given = parts.length > 1 ? parts.slice(0, -1).join(' ') : name.trim();
      return row(id, 'true', SCHOOL, 'student', id, '', given, family, '', '', '', '', '', '', '', '');
    }),
  };
  const tables = Object.entries(rows).map(([file, of]) => [
    file,
    writeTable([...ONE_ROSTER_COLUMNS[file as OneRosterFile]], of),
  ]);
  return {
    'manifest.csv': writeTable([...ONE_ROSTER_COLUMNS['manifest.csv']], manifest(Object.keys(rows))),
    ...Object.fromEntries(tables),
  } as Record<OneRosterFile, string>;
}

/** Sent in bulk, a row says neither its state nor when it was changed. */
const row = (id: string, ...rest: string[]): string[] => [id, '', '', ...rest];

const points = (value: number): string => String(Number(value.toFixed(2)));

/** All files that the standard knows, and whether they come along. */
const KNOWN = [
  'academicSessions',
  'categories',
  'classes',
  'classResources',
  'courses',
  'courseResources',
  'demographics',
  'enrollments',
  'lineItems',
  'orgs',
  'resources',
  'results',
  'users',
];

const manifest = (files: readonly string[]): string[][] => [
  ['manifest.version', '1.0'],
  ['oneroster.version', '1.1'],
  ...KNOWN.map((name) => [`file.${name}`, files.includes(`${name}.csv`) ? 'bulk' : 'absent']),
  ['source.systemName', 'Hurrow'],
  ['source.systemCode', 'hurrow'],
];
