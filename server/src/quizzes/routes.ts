import { randomInt, randomUUID } from 'node:crypto';
import Joi from 'joi';
import { readResponses, type ResponseRow } from '@hurrow/core/formats';
import { answerText, type Answer } from '@hurrow/core/names';
import { askable, effectiveResponses, sameAnswer } from '@hurrow/core/quiz';
import { dayOfYear } from '@hurrow/core/season';
import { counted } from '@hurrow/core/words';
import { badInput, conflict, notFound, Problem } from '../api/problem.ts';
import { whoIs } from '../auth/sessions.ts';
import { accountOf, INSTRUCTORS, route, STAFF } from '../api/route.ts';
import { unchanged } from '../api/unchanged.ts';
import { courseOf } from '../courses/routes.ts';
import { note } from '../keeping/queries.ts';
import * as courseQueries from '../courses/queries.ts';
import type { Db } from '../db/index.ts';
import { committedLibrary } from '../library/committed.ts';
import { answersCame } from './changes.ts';
import { checkSeen } from './checkSeen.ts';
import { fixedStations } from './fixed.ts';
import { answerKey, marksOf, wholeAnswerKey } from './marking.ts';
import { openQuiz } from './opening.ts';
import * as queries from './queries.ts';
import { tellLive } from './live.ts';
import { receive } from './receive.ts';
import { answerSchema, planSchema, rulingSchema, type PlanBody, type RulingBody } from './schema.ts';

async function quizOf(db: Db, id: string): Promise<queries.QuizRow> {
  const row = await queries.quiz(db, id);
  if (!row) throw notFound('quiz');
  return row;
}

async function plannedQuizOf(db: Db, id: string): Promise<queries.QuizRow> {
  const row = await queries.quizForUpdate(db, id);
  if (!row) throw notFound('quiz');
  if (row.state !== 'planned')
    throw conflict(
      'This quiz has been opened and its stations are fixed. Void a station to leave it out, or plan another quiz.',
    );
  return row;
}

const taughtIds = async (db: Db, courseId: string) =>
  (await courseQueries.sets(db, courseId)).flatMap((set) => set.taxa);

async function writeStations(db: Db, quizId: string, courseId: string, body: PlanBody): Promise<void> {
  const taught = new Set(await taughtIds(db, courseId));
  const stray = body.stations.findIndex((station) => !taught.has(station.taxonId));
  if (stray >= 0)
    throw badInput(
      `Station ${stray + 1} shows a species that is not on the course’s list. Add it to the list or choose another.`,
    );
  await refuseUnseen(db, courseId, body);
  await queries.clearStations(db, quizId);
  const day = dayOfYear(body.heldOn);
  for (const [i, { taxonId, medium, view, asks = [] }] of body.stations.entries())
    await queries.addStation(db, {
      id: randomUUID(),
      quiz_id: quizId,
      position: i + 1,
      taxon_id: taxonId,
      medium,
      view: { ...view, day },
      seed: randomInt(1, 2 ** 31 - 1),
      asks,
    });
}

/** Throws where a station asks for a character that cannot be read off what it shows. */
async function refuseUnseen(db: Db, courseId: string, { stations, heldOn }: PlanBody): Promise<void> {
  if (stations.every(({ asks }) => !asks?.length)) return;
  const read = await committedLibrary(db);
  const { library, vocabulary } = read;
  const [day, options] = [
    dayOfYear(heldOn),
    { reference: library.reference, site: await courseOf(db, courseId) },
  ];
  for (const [i, { taxonId, view, asks = [] }] of stations.entries()) {
    const profiled = read.profileOf(taxonId);
    const can = profiled ? askable(profiled, vocabulary, { ...view, day }, options) : [];
    const stray = asks.find((id) => !can.includes(id));
    if (stray)
      throw badInput(
        `Station ${i + 1} asks for “${vocabulary.get(stray)?.term ?? stray}”, which is not to be seen in what it shows, or has no score that says of every state whether it is right. Take the question away, show the part, or complete the score.`,
      );
  }
}

const quizAsJson = (row: queries.QuizRow) => ({
  id: row.id,
  courseId: row.course_id,
  title: row.title,
  heldOn: row.held_on,
  state: row.state,
  released: row.released,
});

/** Stores what staff enter for a student. */
async function enter(
  db: Db,
  { studentId, stationId, answer }: { studentId: string; stationId: string; answer: Answer },
  by: 'paper' | 'instructor',
  accountId: string,
  now: Date,
): Promise<void> {
  const sequence = await queries.nextSequence(db, stationId, studentId, by);
  const response = {
    id: randomUUID(),
    stationId,
    answer,
    device: by,
    sequence,
    writtenAt: now.toISOString(),
  };
  const [received] = await receive(db, studentId, [response], { by, accountId });
  if (received instanceof Problem) throw received;
  await db.keep([received!]);
}

/** The answers that count, by student and station. */
const heldAnswers = (responses: readonly queries.ResponseRow[]) =>
  new Map(
    effectiveResponses(responses).map(({ response }) => [
      `${response.studentId} ${response.stationId}`,
      response.answer,
    ]),
  );

export const quizRoutes = [
  route<PlanBody, { courseId: string }>({
    method: 'post',
    path: '/api/courses/{courseId}/quizzes',
    summary: 'Plans a quiz.',
    allow: INSTRUCTORS,
    body: planSchema,
    handle: ({ db, params, body }) =>
      db.transaction(async (tx) => {
        const course = await courseOf(tx, params.courseId);
        const id = randomUUID();
        await queries.addQuiz(tx, id, course.id, body.title, body.heldOn);
        await writeStations(tx, id, course.id, body);
        return { id };
      }),
  }),
  route<unknown, { quizId: string }>({
    method: 'get',
    path: '/api/quizzes/{quizId}',
    summary: 'A quiz with its stations.',
    allow: STAFF,
    handle: async ({ db, params }) => {
      const row = await quizOf(db, params.quizId);
      const stations = await fixedStations(db, row.id);
      return {
        ...quizAsJson(row),
        stations: stations.map((station) => ({
          id: station.id,
          position: station.position,
          taxonId: station.taxon_id,
          medium: station.medium,
          view: station.view,
          asks: station.asks,
          seed: station.seed,
          voided: station.voided,
          revision: station.frozen?.revision ?? null,
          drawn: station.frozen?.drawing !== null && station.frozen !== null,
        })),
      };
    },
  }),
  route<PlanBody, { quizId: string }>({
    method: 'put',
    path: '/api/quizzes/{quizId}',
    summary: 'Changes the plan of a quiz that has not been opened.',
    allow: INSTRUCTORS,
    body: planSchema,
    handle: ({ db, params, body }) =>
      db.transaction(async (tx) => {
        const row = await plannedQuizOf(tx, params.quizId);
        await queries.updateQuiz(tx, row.id, body.title, body.heldOn);
        await writeStations(tx, row.id, row.course_id, body);
      }),
  }),
  route<unknown, { quizId: string }>({
    method: 'delete',
    path: '/api/quizzes/{quizId}',
    summary: 'Removes a quiz that has not been opened.',
    allow: INSTRUCTORS,
    handle: ({ db, params }) =>
      db.transaction(async (tx) => {
        const row = await plannedQuizOf(tx, params.quizId);
        await queries.removeQuiz(tx, row.id);
      }),
  }),
  route<unknown, { quizId: string }>({
    method: 'post',
    path: '/api/quizzes/{quizId}/open',
    summary:
      'Opens a quiz to students. The first opening freezes every station; a closed quiz is opened again as it was.',
    allow: INSTRUCTORS,
    handle: ({ db, params, now, who }) =>
      openQuiz(db, params.quizId, now, (tx, { course_id, title }) =>
        note(tx, { who, now }, course_id, `opened the quiz “${title}”`),
      ),
  }),
  route<unknown, { quizId: string }>({
    method: 'post',
    path: '/api/quizzes/{quizId}/close',
    summary: 'Closes a quiz: students can no longer answer, paper can still be entered.',
    allow: INSTRUCTORS,
    handle: async ({ db, params, who, now }) => {
      const row = await quizOf(db, params.quizId);
      if (row.state === 'planned') throw conflict('This quiz has not been opened yet. Open it first.');
      await queries.setState(db, row.id, 'closed');
      await note(db, { who, now }, row.course_id, `closed the quiz “${row.title}”`);
    },
  }),
  route<{ released: boolean }, { quizId: string }>({
    method: 'post',
    path: '/api/quizzes/{quizId}/release',
    summary: 'Lets students see their own result, or hides it again.',
    allow: INSTRUCTORS,
    body: Joi.object({ released: Joi.boolean().required() }),
    handle: async ({ db, params, body, who, now }) => {
      const row = await quizOf(db, params.quizId);
      if (body.released && row.state !== 'closed')
        throw conflict('Close the quiz before you release its results.');
      await queries.setReleased(db, row.id, body.released);
      const did = body.released ? 'released' : 'hid';
      await note(db, { who, now }, row.course_id, `${did} the results of “${row.title}”`);
    },
  }),
  route<{ voided: boolean }, { quizId: string; stationId: string }>({
    method: 'post',
    path: '/api/quizzes/{quizId}/stations/{stationId}/void',
    summary: 'Leaves a station out of all marks and analyses, or takes it in again.',
    allow: INSTRUCTORS,
    body: Joi.object({ voided: Joi.boolean().required() }),
    handle: async ({ db, params, body, who, now }) => {
      const station = await queries.station(db, params.stationId);
      if (!station || station.quiz_id !== params.quizId) throw notFound('station');
      await queries.setVoided(db, station.id, body.voided);
      const { title } = await quizOf(db, station.quiz_id);
      const did = body.voided ? 'left out of all marks' : 'counted again';
      await note(db, { who, now }, station.course_id, `${did}: station ${station.position} of “${title}”`);
    },
  }),
  route<unknown, { quizId: string; stationId: string }>({
    method: 'get',
    path: '/api/quizzes/{quizId}/stations/{stationId}/drawing.svg',
    summary: 'The drawing that students see at a station of an opened quiz.',
    allow: STAFF,
    answers: 'image/svg+xml',
    handle: async ({ db, params, request, response }) => {
      const stations = await fixedStations(db, (await quizOf(db, params.quizId)).id);
      const station = stations.find(({ id }) => id === params.stationId);
      if (!station?.frozen?.drawing) throw notFound('drawing');
      return unchanged(request, response, station.frozen.drawing);
    },
  }),
  route<unknown, { quizId: string }>({
    method: 'get',
    path: '/api/quizzes/{quizId}/live',
    summary:
      'Server-sent events while a quiz is sat: how many stations each student has answered, all at first and then what changes.',
    allow: STAFF,
    answers: 'text/event-stream',
    handle: async ({ db, params, request, response }) =>
      tellLive(db, (await quizOf(db, params.quizId)).id, request, response, async () =>
        STAFF.includes((await whoIs(db, request))?.role ?? 'student'),
      ),
  }),
  route<unknown, { quizId: string }>({
    method: 'get',
    path: '/api/quizzes/{quizId}/marks',
    summary: 'Every answer with its mark, worked out from the frozen stations and the rulings.',
    allow: STAFF,
    handle: async ({ db, params }) => {
      const row = await quizOf(db, params.quizId);
      const { stations, answers } = await marksOf(db, row);
      return {
        quiz: quizAsJson(row),
        students: (await courseQueries.students(db, row.course_id)).map(({ id, name }) => ({ id, name })),
        stations: stations.map((station) => ({
          id: station.id,
          position: station.position,
          taxonId: station.taxon_id,
          voided: station.voided,
        })),
        list: stations[0]?.frozen?.list ?? [],
        policy: stations[0]?.frozen?.marking.policy ?? null,
        answers,
      };
    },
  }),
  route<RulingBody, { quizId: string }>({
    method: 'post',
    path: '/api/quizzes/{quizId}/rulings',
    summary:
      'Rules what an answer counts as, or gives it points by hand, for all equal answers of the course or for one.',
    allow: INSTRUCTORS,
    body: rulingSchema,
    handle: ({ db, params, body, who, now }) =>
      db.transaction(async (tx) => {
        const row = await quizOf(tx, params.quizId);
        const library = await committedLibrary(tx);
        for (const id of [body.truth, body.countsAs ?? body.truth])
          if (!library.statementsOf(id))
            throw badInput(`There is no species “${id}” in the library. Choose one of the course’s list.`);
        if (body.only) {
          const station = await queries.station(tx, body.only.stationId);
          if (station?.quiz_id !== row.id) throw notFound('station');
          const students = await courseQueries.students(tx, row.course_id);
          if (!students.some(({ id }) => id === body.only!.studentId)) throw notFound('student');
        }
        const which = body.only ? 'one answer' : 'all equal answers';
        const why = body.reason ? `: ${body.reason}` : '';
        await note(
          tx,
          { who, now },
          row.course_id,
          `ruled on ${which} “${answerText(body.answer)}” in “${row.title}”${why}`,
        );
        const byHand = body.points !== null || body.only !== null;
        await queries.addRuling(
          tx,
          row.course_id,
          {
            truth: body.truth,
            answer_key: byHand ? wholeAnswerKey(body.answer) : answerKey(answerText(body.answer)),
            counts_as: body.countsAs,
            student_id: body.only?.studentId ?? null,
            station_id: body.only?.stationId ?? null,
            points: body.points,
            reason: body.reason || null,
          },
          false,
          accountOf(who),
          now,
        );
      }),
  }),
  route<unknown, { quizId: string; rulingId: number }>({
    method: 'delete',
    path: '/api/quizzes/{quizId}/rulings/{rulingId}',
    summary: 'Takes a ruling back: the rules, or a ruling on more answers, hold again.',
    allow: INSTRUCTORS,
    params: Joi.object({
      quizId: Joi.string().max(120).required(),
      rulingId: Joi.number()
        .integer()
        .min(1)
        .max(2 ** 31 - 1)
        .required(),
    }),
    handle: ({ db, params, who, now }) =>
      db.transaction(async (tx) => {
        const row = await quizOf(tx, params.quizId);
        const ruling = (await queries.rulings(tx, row.course_id)).find(({ id }) => id === params.rulingId);
        if (!ruling) throw notFound('ruling');
        await queries.addRuling(tx, row.course_id, ruling, true, accountOf(who), now);
        await note(
          tx,
          { who, now },
          row.course_id,
          `took back a ruling on “${ruling.answer_key}” in “${row.title}”`,
        );
      }),
  }),
  route<{ studentId: string; stationId: string; answer: Answer; decide: boolean }, { quizId: string }>({
    method: 'post',
    path: '/api/quizzes/{quizId}/paper',
    summary: 'Enters one answer from paper, or decides between answers of two devices.',
    allow: STAFF,
    body: Joi.object({
      studentId: Joi.string().uuid().required(),
      stationId: Joi.string().uuid().required(),
      answer: answerSchema.required(),
      decide: Joi.boolean().default(false),
    }),
    handle: async ({ db, params, body, who, now }) => {
      await db.transaction(async (tx) => {
        const row = await quizOf(tx, params.quizId);
        if (row.state === 'planned')
          throw conflict('Open the quiz before you enter answers, so that its stations are fixed.');
        const station = await queries.station(tx, body.stationId);
        const students = await courseQueries.students(tx, row.course_id);
        if (station?.quiz_id !== row.id) throw notFound('station');
        await checkSeen(tx, station, body.answer);
        if (!students.some((student) => student.id === body.studentId)) throw notFound('student');
        await enter(tx, body, body.decide ? 'instructor' : 'paper', accountOf(who), now);
        if (body.decide)
          await note(
            tx,
            { who, now },
            row.course_id,
            `decided between two answers at station ${station.position} of “${row.title}”`,
          );
      });
      answersCame([params.quizId]);
    },
  }),
  route<{ csv: string; dryRun: boolean; replace: boolean }, { quizId: string }>({
    method: 'post',
    path: '/api/quizzes/{quizId}/responses/import',
    summary:
      'Imports paper answers (CSV: student, station, answer, and what was seen); with dryRun it only says what it would do. Answers that are stored are replaced only with `replace`.',
    allow: INSTRUCTORS,
    body: Joi.object({
      csv: Joi.string().required().label('File'),
      dryRun: Joi.boolean().required(),
      replace: Joi.boolean().default(false),
    }),
    handle: async ({ db, params, body, who, now }) => {
      const report = await db.transaction(async (tx) => {
        const row = await quizOf(tx, params.quizId);
        const stations = await queries.stations(tx, row.id);
        const list = stations[0]?.frozen?.list;
        if (!list) throw conflict('Open the quiz before you import answers, so that its stations are fixed.');
        const { vocabulary } = await committedLibrary(tx);
        const read = readResponses(body.csv, {
          students: await courseQueries.students(tx, row.course_id),
          stations: stations.map(({ id, position, frozen }) => ({
            id,
            position,
            asks: (frozen?.asks ?? []).flatMap(({ characterId }) => vocabulary.get(characterId) ?? []),
          })),
          list,
        });
        if (!read.ok) throw badInput(read.problem);
        const { rows, problems, unknown } = read.value;
        const held = heldAnswers(await queries.responsesOfQuiz(tx, row.id));
        const of = (entry: ResponseRow) => held.get(`${entry.studentId} ${entry.stationId}`);
        const fresh = rows.filter((entry) => of(entry) === undefined);
        const other = rows.filter((entry) => of(entry) && !sameAnswer(of(entry)!, entry.answer));
        if (!body.dryRun) {
          for (const entry of fresh) await enter(tx, entry, 'paper', accountOf(who), now);
          // The file counts from now on, whatever a phone or a paper said before; that stays in the history.
          if (body.replace)
            for (const entry of other) await enter(tx, entry, 'instructor', accountOf(who), now);
          const replaced =
            body.replace && other.length > 0 ? `, replacing ${other.length} that were stored` : '';
          const imported = `imported ${counted(fresh.length, 'answer')} into “${row.title}”${replaced}`;
          await note(tx, { who, now }, row.course_id, imported);
        }
        return {
          added: fresh.length ? [counted(fresh.length, 'answer')] : [],
          changed: [],
          replaced: other.map((entry) => ({
            line: entry.line,
            message: `“${answerText(of(entry)!)}” is stored and would be replaced by “${answerText(entry.answer)}”`,
          })),
          unchanged: rows.length - fresh.length - other.length,
          refused: problems,
          unknown,
          ignored: [],
        };
      });
      answersCame([params.quizId]);
      return report;
    },
  }),
];
