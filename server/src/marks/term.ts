import type { Course } from '@hurrow/contract/courses';
import type { TermMarks } from '@hurrow/contract/marking';
import { writeTable, type RosteredCourse } from '@hurrow/core/formats';
import { termResult, USUAL_SCHEME, type QuizResult } from '@hurrow/core/marks';
import * as courseQueries from '../courses/queries.ts';
import type { Db } from '../db/index.ts';
import { marksOfAll } from '../quizzes/marking.ts';
import { quizStates } from '../quizzes/queries.ts';
import { studentsOfQuiz } from '../running/queries.ts';
import { pointsOf } from './points.ts';
import * as queries from './queries.ts';

/** The marks of a course: every closed quiz of every student. Who answered nothing and of whom nothing was said was absent. */
export async function termMarks(db: Db, courseId: string): Promise<TermMarks> {
  const scheme = (await queries.schemeOf(db, courseId)) ?? USUAL_SCHEME;
  const students = (await courseQueries.students(db, courseId)).filter(({ nameless }) => !nameless);
  const closed = (await quizStates(db, courseId)).filter(({ state }) => state === 'closed');
  const results = new Map<string, QuizResult[]>(students.map(({ id }) => [id, []]));
  for (const { quiz, ...marked } of await marksOfAll(db, closed)) {
    const { outOf, credit, of } = pointsOf(marked);
    const said = new Map((await studentsOfQuiz(db, quiz.id)).map(({ studentId, was }) => [studentId, was]));
    for (const { id } of students) {
      const points = of.get(id);
      const told = said.get(id) ?? 'there';
      const was = told === 'there' && points === undefined ? 'absent' : told;
      results
        .get(id)!
        .push({ quizId: quiz.id, points: was === 'there' ? (points ?? 0) + credit : 0, outOf, was });
    }
  }
  return {
    scheme,
    quizzes: closed.map(({ id, title, heldOn }) => ({ id, title, heldOn })),
    students: students.map(({ id, name }) => {
      const own = results.get(id)!;
      return { id, name, results: own, ...termResult(own, scheme, scheme.bonus[id] ?? 0) };
    }),
  };
}

const round = (points: number): string => String(Number(points.toFixed(2)));

/** A row a student and a column a quiz: points, or that they were not there; then the percent of the term. */
export const marksTable = ({ quizzes, students }: TermMarks): string =>
  writeTable(
    ['student', ...quizzes.map(({ title }) => title), 'percent'],
    students.map(({ name, results, percent }) => [
      name,
      ...results.map(({ was, points }) => (was === 'there' ? round(points) : was)),
      percent === undefined ? '' : round(percent),
    ]),
  );

/** A course with its marks, as a learning-management system takes them. */
export function rostered(course: Course, { quizzes, students }: TermMarks): RosteredCourse {
  const { id, name, code, startsOn, weeks } = course;
  const outOf = new Map(students[0]?.results.map((result) => [result.quizId, result.outOf]));
  return {
    id,
    name,
    code,
    startsOn,
    weeks,
    students: students.map((student) => ({ id: student.id, name: student.name })),
    quizzes: quizzes.map((quiz) => ({ ...quiz, outOf: outOf.get(quiz.id) ?? 0 })),
    results: students.flatMap((student) =>
      student.results.map(({ quizId, points, was }) => ({ studentId: student.id, quizId, points, was })),
    ),
  };
}
