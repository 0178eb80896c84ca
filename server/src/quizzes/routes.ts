import { randomUUID } from 'node:crypto';
import * as quizzes from '@hurrow/contract/quizzes';
import * as rulings from '@hurrow/contract/rulings';
import { STAFF } from '@hurrow/contract/endpoint';
import { fullPoints } from '@hurrow/core/names';
import { conflict, notFound } from '../api/problem.ts';
import { say } from '../api/say.ts';
import { whoIs } from '../auth/sessions.ts';
import { accountOf, serve } from '../api/route.ts';
import { unchanged } from '../api/unchanged.ts';
import { courseOf } from '../courses/course.ts';
import { note } from '../keeping/queries.ts';
import * as courseQueries from '../courses/queries.ts';
import { fixedStations } from './fixed.ts';
import { marksOf } from './marking.ts';
import { enterPaper, importAnswers } from './entering.ts';
import { writeStations } from './planning.ts';
import { plannedQuizOf, quizOf } from './quiz.ts';
import { releaseTo } from './releasing.ts';
import { rule, ruleWords, takeRulingBack, takeWordsBack } from './ruling.ts';
import { cameRoute, proposalRoute } from './proposing.ts';
import * as queries from './queries.ts';
import { tellLive } from './live.ts';

export const quizRoutes = [
  proposalRoute,
  cameRoute,
  serve(quizzes.plan, ({ db, params, body }) =>
    db.transaction(async (tx) => {
      const course = await courseOf(tx, params.courseId);
      const id = randomUUID();
      await queries.addQuiz(tx, id, course.id, body.title, body.heldOn);
      await writeStations(tx, id, course.id, body);
      return { id };
    }),
  ),
  serve(quizzes.one, async ({ db, params }) => {
    const row = await quizOf(db, params.quizId);
    const stations = await fixedStations(db, row.id);
    return {
      ...row,
      stations: stations.map((station) => ({
        id: station.id,
        position: station.position,
        taxonId: station.taxonId,
        medium: station.medium,
        view: station.view,
        asks: station.asks,
        wentBy: station.wentBy,
        prompt: station.prompt,
        choose: station.choose,
        question: station.question,
        asking: station.frozen?.question ?? null,
        offered: station.frozen?.wentBy ?? [],
        seed: station.seed,
        voided: station.voided,
        credited: station.credited,
        voidReason: station.voidReason,
        revision: station.frozen?.revision ?? null,
        drawn: station.frozen?.drawing !== null && station.frozen !== null,
      })),
    };
  }),
  serve(quizzes.change, ({ db, params, body }) =>
    db.transaction(async (tx) => {
      const row = await plannedQuizOf(tx, params.quizId);
      await queries.updateQuiz(tx, row.id, body.title, body.heldOn);
      await writeStations(tx, row.id, row.courseId, body);
    }),
  ),
  serve(quizzes.remove, ({ db, params }) =>
    db.transaction(async (tx) => {
      const row = await plannedQuizOf(tx, params.quizId);
      await queries.removeQuiz(tx, row.id);
    }),
  ),
  serve(quizzes.open, ({ jobs, params, now, who }) =>
    jobs.ask('open', params.quizId, {
      quizId: params.quizId,
      accountId: accountOf(who),
      at: now.toISOString(),
    }),
  ),
  serve(quizzes.close, async ({ db, params, who, now }) => {
    const row = await quizOf(db, params.quizId);
    if (row.state === 'planned') throw conflict(say`This quiz has not been opened yet. Open it first.`);
    await queries.setState(db, row.id, 'closed');
    await note(db, { who, now }, row.courseId, say`closed the quiz “${row.title}”`);
  }),
  serve(quizzes.release, async ({ db, params, body, who, now }) => {
    const row = await quizOf(db, params.quizId);
    if (body.released && row.state !== 'closed')
      throw conflict(say`Close the quiz before you release its results.`);
    await releaseTo(db, row, body, { who, now });
  }),
  serve(quizzes.voidStation, async ({ db, params, body, who, now }) => {
    const station = await queries.station(db, params.stationId);
    if (!station || station.quizId !== params.quizId) throw notFound('station');
    const { voided, credited = false, reason } = body;
    await queries.setVoided(db, station.id, { voided, credited, voidReason: reason || null });
    const { title } = await quizOf(db, station.quizId);
    const { position } = station;
    const did = !voided
      ? say`counted again: station ${position} of “${title}”`
      : credited
        ? say`credited to all: station ${position} of “${title}”`
        : say`left out of all marks: station ${position} of “${title}”`;
    await note(db, { who, now }, station.courseId, voided && reason ? say`${did} (${reason})` : did);
  }),
  serve(quizzes.drawing, async ({ db, params, request, response }) => {
    const stations = await fixedStations(db, (await quizOf(db, params.quizId)).id);
    const station = stations.find(({ id }) => id === params.stationId);
    if (!station?.frozen?.drawing) throw notFound('drawing');
    return unchanged(request, response, station.frozen.drawing);
  }),
  serve(quizzes.live, async ({ db, params, request, response }) =>
    tellLive(db, (await quizOf(db, params.quizId)).id, request, response, async () =>
      STAFF.includes((await whoIs(db, request))?.role ?? 'student'),
    ),
  ),
  serve(quizzes.marks, async ({ db, params }) => {
    const row = await quizOf(db, params.quizId);
    const { stations, answers, marking } = await marksOf(db, row);
    return {
      quiz: row,
      students: (await courseQueries.students(db, row.courseId)).map(({ id, name }) => ({ id, name })),
      stations: stations.map((station) => ({
        id: station.id,
        position: station.position,
        taxonId: station.taxonId,
        voided: station.voided,
        credited: station.credited,
        asking: station.frozen?.question ?? null,
      })),
      outOf: marking ? fullPoints(marking) : 0,
      list: stations[0]?.frozen?.list ?? [],
      policy: marking?.policy ?? null,
      answers,
      words: await queries.wordsRuled(db, row.courseId),
    };
  }),
  serve(rulings.rule, ({ db, params, body, who, now }) =>
    db.transaction((tx) => rule(tx, params.quizId, body, { who, now })),
  ),
  serve(rulings.takeRulingBack, ({ db, params, who, now }) =>
    db.transaction((tx) => takeRulingBack(tx, params.quizId, params.rulingId, { who, now })),
  ),
  serve(rulings.ruleWords, ({ db, params, body, who, now }) =>
    db.transaction((tx) => ruleWords(tx, params.quizId, body, { who, now })),
  ),
  serve(rulings.takeWordsBack, ({ db, params, who, now }) =>
    db.transaction((tx) => takeWordsBack(tx, params.quizId, params.rulingId, { who, now })),
  ),
  serve(quizzes.enterPaper, ({ db, params, body, who, now }) =>
    enterPaper(db, params.quizId, body, { who, now }),
  ),
  serve(quizzes.importAnswers, ({ db, params, body, who, now }) =>
    importAnswers(db, params.quizId, body, { who, now }),
  ),
];
