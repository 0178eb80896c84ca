import Joi from 'joi';
import { badInput, notFound } from '../api/problem.ts';
import { accountOf, INSTRUCTORS, route, STAFF } from '../api/route.ts';
import { courseOf } from '../courses/routes.ts';
import { sets, students } from '../courses/queries.ts';
import type { Db } from '../db/index.ts';
import { marksOf } from '../quizzes/marking.ts';
import { quiz, quizzesOfCourse, station as stationRow } from '../quizzes/queries.ts';
import { computeReport, progressOf, stopComputing } from './computing.ts';
import { gather, type Scores } from './gather.ts';
import * as queries from './queries.ts';
import { reteachingSchema, scoresQuery, type ReteachingBody } from './schema.ts';

/** Reports of a course that are kept: enough to undo a few changes without computing again. */
const KEPT_REPORTS = 12;

export const confusionRoutes = [
  route<unknown, { courseId: string }>({
    method: 'get',
    path: '/api/courses/{courseId}/confusions',
    summary: 'Every marked answer of a course with its station’s view: what the confusions are counted from.',
    allow: STAFF,
    handle: async ({ db, params }) => {
      const course = await courseOf(db, params.courseId);
      const quizzes = (await quizzesOfCourse(db, course.id)).filter((row) => row.state !== 'planned');
      const names = new Map((await students(db, course.id)).map((student) => [student.id, student.name]));
      const stations = [];
      const answers = [];
      for (const quiz of quizzes) {
        const marks = await marksOf(db, quiz);
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
            leftOut: station.left_out,
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
          });
      }
      return {
        quizzes: quizzes.map((quiz) => ({
          id: quiz.id,
          title: quiz.title,
          heldOn: quiz.held_on,
          state: quiz.state,
        })),
        stations,
        answers,
        reteachings: await queries.reteachings(db, course.id),
      };
    },
  }),
  route<unknown, { courseId: string }, { scores: Scores }>({
    method: 'get',
    path: '/api/courses/{courseId}/confusions/report',
    summary:
      'What the confusion model finds in a course. If that has still to be computed, computing begins, and the key is told by which to ask how far it is.',
    allow: STAFF,
    query: scoresQuery,
    handle: async ({ db, params, query, now, request }) => {
      const course = await courseOf(db, params.courseId);
      const { key, input } = await gather(db, course, query.scores);
      const kept = await queries.report(db, course.id, key);
      if (kept) return { key, report: kept.report };
      if (progressOf(key)) return { key };
      // Whoever asks after a computation has stopped or failed starts it anew.
      void computeReport(key, input)
        .then(async (report) => {
          await queries.keepReport(db, course.id, key, report, now);
          await queries.dropOldReports(db, course.id, KEPT_REPORTS);
        })
        .catch((error: unknown) => {
          if ((error as Error).name !== 'AbortError') request.log?.error(error);
        });
      return { key };
    },
  }),
  route<unknown, { courseId: string; key: string }>({
    method: 'get',
    path: '/api/courses/{courseId}/confusions/report/{key}',
    summary: 'How far the computation of a report is; nothing once it has ended.',
    allow: STAFF,
    handle: async ({ params }) => ({ computing: progressOf(params.key) ?? null }),
  }),
  route<{ key: string }, { courseId: string }>({
    method: 'post',
    path: '/api/courses/{courseId}/confusions/report/stop',
    summary: 'Stops the computation of a report.',
    allow: STAFF,
    body: Joi.object({ key: Joi.string().hex().length(64).required() }),
    handle: async ({ db, params, body }) => {
      await courseOf(db, params.courseId);
      stopComputing(body.key);
    },
  }),
  route<{ leftOut: boolean }, { courseId: string; stationId: string }>({
    method: 'post',
    path: '/api/courses/{courseId}/confusions/stations/{stationId}',
    summary: 'Leaves a station out of the analyses, or takes it in again. Its marks stay.',
    allow: INSTRUCTORS,
    body: Joi.object({ leftOut: Joi.boolean().required() }),
    handle: async ({ db, params, body }) => {
      const course = await courseOf(db, params.courseId);
      const station = await stationRow(db, params.stationId);
      if (!station || (await quiz(db, station.quiz_id))?.course_id !== course.id) throw notFound('station');
      await queries.setLeftOut(db, station.id, body.leftOut);
    },
  }),
  route<ReteachingBody, { courseId: string }>({
    method: 'post',
    path: '/api/courses/{courseId}/reteachings',
    summary: 'Notes that a pair was taught again on a day, so that answers before and after can be compared.',
    allow: INSTRUCTORS,
    body: reteachingSchema,
    handle: async ({ db, params, body, who }) => {
      const course = await courseOf(db, params.courseId);
      await queries.addReteaching(db, course.id, await inOrder(db, course.id, body), accountOf(who));
    },
  }),
  route<ReteachingBody, { courseId: string }>({
    method: 'post',
    path: '/api/courses/{courseId}/reteachings/remove',
    summary: 'Takes back the note that a pair was taught again.',
    allow: INSTRUCTORS,
    body: reteachingSchema,
    handle: async ({ db, params, body }) => {
      const course = await courseOf(db, params.courseId);
      await queries.removeReteaching(db, course.id, await inOrder(db, course.id, body));
    },
  }),
];

/** A reteaching with its pair in order. Refuses species that the course does not teach, and days that are none. */
async function inOrder(db: Db, courseId: string, { a, b, taughtOn }: ReteachingBody) {
  const taught = (await sets(db, courseId)).flatMap((set) => set.taxa);
  if (!taught.includes(a) || !taught.includes(b))
    throw badInput('Both species must be on the course’s list. Choose two that are taught.');
  const day = Date.parse(`${taughtOn}T12:00:00Z`);
  if (Number.isNaN(day) || !new Date(day).toISOString().startsWith(taughtOn))
    throw badInput(`There is no day ${taughtOn}. Write it as year, month, day: 2026-10-01.`);
  return { a: a < b ? a : b, b: a < b ? b : a, taughtOn };
}
