import type { MarkFile, TermMarks } from '@hurrow/contract/marking';
import { writeTable } from '@hurrow/core/formats';
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

/** The marks as a file: a table, or results and line items as OneRoster 1.1 (1EdTech, 2017) has them in CSV. */
export function marksFile({ quizzes, students }: TermMarks, file: MarkFile, at: Date): string {
  const changed = at.toISOString();
  switch (file) {
    case 'table':
      return writeTable(
        ['student', ...quizzes.map(({ title }) => title), 'percent'],
        students.map(({ name, results, percent }) => [
          name,
          ...results.map(({ was, points }) => (was === 'there' ? round(points) : was)),
          percent === undefined ? '' : round(percent),
        ]),
      );
    case 'results':
      return writeTable(
        [
          'sourcedId',
          'status',
          'dateLastModified',
          'lineItemSourcedId',
          'studentSourcedId',
          'scoreStatus',
          'score',
          'scoreDate',
          'comment',
        ],
        students.flatMap(({ id, results }) =>
          results.map(({ quizId, points, was }, i) => [
            `${quizId}-${id}`,
            'active',
            changed,
            quizId,
            id,
            was === 'excused' ? 'exempt' : was === 'absent' ? 'not submitted' : 'fully graded',
            was === 'excused' ? '' : round(points),
            quizzes[i]!.heldOn,
            '',
          ]),
        ),
      );
    case 'line-items':
      return writeTable(
        [
          'sourcedId',
          'status',
          'dateLastModified',
          'title',
          'assignDate',
          'dueDate',
          'resultValueMin',
          'resultValueMax',
        ],
        quizzes.map(({ id, title, heldOn }) => {
          const outOf = students[0]?.results.find(({ quizId }) => quizId === id)?.outOf ?? 0;
          return [id, 'active', changed, title, heldOn, heldOn, '0', round(outOf)];
        }),
      );
  }
}
