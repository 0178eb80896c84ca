import * as confusions from '@hurrow/contract/confusions';
import { packAnswers } from '@hurrow/contract/packedAnswers';
import { badInput, notFound } from '../api/problem.ts';
import { say } from '../api/say.ts';
import { accountOf, serve } from '../api/route.ts';
import { courseOf } from '../courses/course.ts';
import { sets, students } from '../courses/queries.ts';
import type { Db } from '../db/index.ts';
import { marksOfAll, ofNames } from '../quizzes/marking.ts';
import { quiz, quizStates, station as stationRow } from '../quizzes/queries.ts';
import { gather } from './gather.ts';
import * as queries from './queries.ts';
import { type ReteachingBody } from '@hurrow/contract/confusions';

export const confusionRoutes = [
  serve(confusions.ofCourse, async ({ db, params }) => {
    const course = await courseOf(db, params.courseId);
    const quizzes = (await quizStates(db, course.id)).filter((row) => row.state !== 'planned');
    const names = new Map((await students(db, course.id)).map((student) => [student.id, student.name]));
    const stations = [];
    const answers = [];
    for (const { quiz, ...marks } of (await marksOfAll(db, quizzes)).map(ofNames)) {
      for (const station of marks.stations) {
        if (!station.frozen) continue;
        stations.push({
          id: station.id,
          quizId: quiz.id,
          position: station.position,
          truth: station.frozen.truth,
          view: station.frozen.view,
          medium: station.medium,
          revision: station.frozen.revision,
          voided: station.voided,
          leftOut: station.leftOut,
        });
      }
      for (const answer of marks.answers)
        answers.push({
          studentId: answer.studentId,
          student: names.get(answer.studentId) ?? 'a former student',
          stationId: answer.stationId,
          quizId: quiz.id,
          written: answer.text,
          how: answer.mark.resolution.how,
          named: answer.mark.resolution.taxonId ?? null,
          sure: answer.written.sure ?? null,
        });
    }
    return {
      quizzes: quizzes.map((quiz) => ({
        id: quiz.id,
        title: quiz.title,
        heldOn: quiz.heldOn,
        state: quiz.state,
      })),
      stations,
      answers: packAnswers(answers),
      reteachings: await queries.reteachings(db, course.id),
    };
  }),
  serve(confusions.report, async ({ db, jobs, params, query, now }) => {
    const course = await courseOf(db, params.courseId);
    const [scores, earlier] = [query.scores, query.earlier === 'with'];
    const { key } = await gather(db, course, scores, earlier);
    const kept = await queries.report(db, course.id, key);
    if (kept) return { key, report: kept.report };
    // Whoever asks after a computation has stopped or failed starts it anew.
    await jobs.start('confusions', key, { courseId: course.id, scores, earlier, at: now.toISOString() });
    return { key };
  }),
  serve(confusions.progress, async ({ jobs, params }) => ({
    computing: (await jobs.progressOf('confusions', params.key)) ?? null,
  })),
  serve(confusions.stop, async ({ db, jobs, params, body }) => {
    await courseOf(db, params.courseId);
    await jobs.stop('confusions', body.key);
  }),
  serve(confusions.leaveOut, async ({ db, params, body }) => {
    const course = await courseOf(db, params.courseId);
    const station = await stationRow(db, params.stationId);
    if (!station || (await quiz(db, station.quizId))?.courseId !== course.id) throw notFound('station');
    await queries.setLeftOut(db, station.id, body.leftOut);
  }),
  serve(confusions.taughtAgain, async ({ db, params, body, who }) => {
    const course = await courseOf(db, params.courseId);
    await queries.addReteaching(db, course.id, await inOrder(db, course.id, body), accountOf(who));
  }),
  serve(confusions.notTaughtAgain, async ({ db, params, body }) => {
    const course = await courseOf(db, params.courseId);
    await queries.removeReteaching(db, course.id, await inOrder(db, course.id, body));
  }),
];

/** A reteaching with its pair in order. Refuses species that the course does not teach, and days that are none. */
async function inOrder(db: Db, courseId: string, { a, b, taughtOn }: ReteachingBody) {
  const taught = (await sets(db, courseId)).flatMap((set) => set.taxa);
  if (!taught.includes(a) || !taught.includes(b))
    throw badInput(say`Both species must be on the course’s list. Choose two that are taught.`);
  const day = Date.parse(`${taughtOn}T12:00:00Z`);
  if (Number.isNaN(day) || !new Date(day).toISOString().startsWith(taughtOn))
    throw badInput(say`There is no day ${taughtOn}. Write it as year, month, day: 2026-10-01.`);
  return { a: a < b ? a : b, b: a < b ? b : a, taughtOn };
}
