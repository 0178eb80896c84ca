import * as keeping from '@hurrow/contract/keeping';
import type { EverythingOfOne } from '@hurrow/contract/keeping';
import type { Said } from '@hurrow/contract/problem';
import { answerText } from '@hurrow/core/names';
import { badInput, notFound } from '../api/problem.ts';
import { say } from '../api/say.ts';
import { accountOf, serve } from '../api/route.ts';
import { closedFor } from '../courseStaff/standing.ts';
import { courseOf } from '../courses/course.ts';
import type { Db } from '../db/index.ts';
import { answersGone, marksOf } from '../quizzes/marking.ts';
import { entriesOfStudent } from '../notebook/queries.ts';
import { advisingNote } from '../learning/queries.ts';
import { miniLessonsTo } from '../miniLessons/queries.ts';
import { wholeReviewsOf } from '../practice/queries.ts';
import { keptSort, sortsOfStudent } from '../sorts/queries.ts';
import { quizStates } from '../quizzes/queries.ts';
import { forgetNames, takeName } from './names.ts';
import * as queries from './queries.ts';

/** Changes that a page of the history shows. */
const PAGE = 200;

async function studentOf(db: Db, courseId: string, studentId: string) {
  const row = await queries.studentOf(db, courseId, studentId);
  if (!row) throw notFound('student');
  return row;
}

/** Everything that is stored of one student, with the marks as they stand. */
async function everythingOf(db: Db, courseId: string, studentId: string): Promise<EverythingOfOne> {
  const course = await courseOf(db, courseId);
  const student = await studentOf(db, course.id, studentId);
  const marks: EverythingOfOne['marks'] = [];
  for (const quiz of await quizStates(db, course.id)) {
    if (quiz.state === 'planned') continue;
    const { stations, answers } = await marksOf(db, quiz);
    const position = new Map(stations.map((station) => [station.id, station.position]));
    for (const answer of answers.filter((row) => row.studentId === student.id))
      marks.push({
        quiz: quiz.title,
        station: position.get(answer.stationId)!,
        answer: answer.text,
        points: answer.mark.points,
        ruling: answer.ruling && {
          by: answer.ruling.by,
          at: answer.ruling.at,
          reason: answer.ruling.reason,
        },
      });
  }
  return {
    name: student.name,
    course: course.name,
    needs: student.needs,
    answers: (await queries.answersOf(db, student.id)).map((row) => ({
      ...row,
      writtenAt: row.writtenAt.toISOString(),
      receivedAt: row.receivedAt.toISOString(),
      text: answerText(row.answer) || (row.answer.said ?? row.answer.family ?? ''),
    })),
    marks,
    notebook: await entriesOfStudent(db, student.id),
    sorts: (await sortsOfStudent(db, student.id)).map(keptSort),
    practice: await wholeReviewsOf(db, student.id),
    miniLessons: await miniLessonsTo(db, student.id),
    advisingNote: await advisingNote(db, student.id),
  };
}

export const keepingRoutes = [
  serve(keeping.history, async ({ db, query, who }) => {
    const closed = await closedFor(db, who!);
    const lines = await queries.history(db, query.courseId ?? null, PAGE, [...closed]);
    return lines.map((line) => ({ ...line, at: line.at.toISOString() }));
  }),
  serve(keeping.everything, async ({ db, params, response }) => {
    const all = await everythingOf(db, params.courseId, params.studentId);
    response.set('Content-Disposition', 'attachment; filename="everything-of-one-student.json"');
    return all;
  }),
  serve(keeping.removeStudent, async ({ db, params, body, who, now }) => {
    const course = await courseOf(db, params.courseId);
    const student = await studentOf(db, course.id, params.studentId);
    if (body.sure.trim() !== student.name)
      throw badInput(say`Nothing was removed: type the name as it stands in the list, “${student.name}”.`);
    const removed = await db.transaction(async (tx) => {
      const note = (what: Said) => queries.addHistory(tx, now, accountOf(who), course.id, what);
      if (body.how === 'name') {
        await note(
          say`took the name of a student away, who is now ${await takeName(tx, course.id, student.id)}`,
        );
        return [];
      }
      await note(
        student.answers === 1
          ? say`removed a student with one answer`
          : say`removed a student with ${student.answers} answers`,
      );
      return queries.deleteStudent(tx, course.id, student.id);
    });
    await db.strike(removed);
    await answersGone(db);
  }),
  serve(keeping.removeCourse, async ({ db, params, body, who, now }) => {
    const course = await courseOf(db, params.courseId);
    if (body.sure.trim() !== course.name)
      throw badInput(say`Nothing was deleted: type the name of the course, “${course.name}”.`);
    const removed = await db.transaction(async (tx) => {
      await queries.addHistory(tx, now, accountOf(who), null, say`deleted the course “${course.name}”`);
      return queries.deleteCourse(tx, course.id);
    });
    await db.strike(removed);
    await answersGone(db);
  }),
  serve(keeping.namesKept, async ({ db }) => ({ months: await queries.namesKeptMonths(db) })),
  serve(keeping.keepNames, async ({ db, body, who, now }) => {
    await queries.setNamesKeptMonths(db, body.months);
    const set =
      body.months === null
        ? say`set that names of students are kept for good`
        : say`set that names of students are kept for ${body.months} months after a course`;
    await queries.addHistory(db, now, accountOf(who), null, set);
    return { taken: await forgetNames(db, now) };
  }),
];
