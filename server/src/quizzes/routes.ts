import { randomInt, randomUUID } from 'node:crypto';
import type { QuizHead } from '@hurrow/contract/quizzes';
import * as quizzes from '@hurrow/contract/quizzes';
import { STAFF } from '@hurrow/contract/endpoint';
import { readResponses, type ResponseRow } from '@hurrow/core/formats';
import { answerText, type Answer } from '@hurrow/core/names';
import { askable, effectiveResponses, sameAnswer } from '@hurrow/core/quiz';
import { dayOfYear } from '@hurrow/core/season';
import { counted } from '@hurrow/core/words';
import { badInput, conflict, notFound, Problem } from '../api/problem.ts';
import { whoIs } from '../auth/sessions.ts';
import { accountOf, serve } from '../api/route.ts';
import { unchanged } from '../api/unchanged.ts';
import { courseOf } from '../courses/course.ts';
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
import { type PlanBody } from '@hurrow/contract/quizzes';

async function quizOf(db: Db, id: string): Promise<QuizHead> {
  const row = await queries.quiz(db, id);
  if (!row) throw notFound('quiz');
  return row;
}

async function plannedQuizOf(db: Db, id: string): Promise<QuizHead> {
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
      quizId: quizId,
      position: i + 1,
      taxonId: taxonId,
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
        seed: station.seed,
        voided: station.voided,
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
  serve(quizzes.open, ({ db, params, now, who }) =>
    openQuiz(db, params.quizId, now, (tx, { courseId, title }) =>
      note(tx, { who, now }, courseId, `opened the quiz “${title}”`),
    ),
  ),
  serve(quizzes.close, async ({ db, params, who, now }) => {
    const row = await quizOf(db, params.quizId);
    if (row.state === 'planned') throw conflict('This quiz has not been opened yet. Open it first.');
    await queries.setState(db, row.id, 'closed');
    await note(db, { who, now }, row.courseId, `closed the quiz “${row.title}”`);
  }),
  serve(quizzes.release, async ({ db, params, body, who, now }) => {
    const row = await quizOf(db, params.quizId);
    if (body.released && row.state !== 'closed')
      throw conflict('Close the quiz before you release its results.');
    await queries.setReleased(db, row.id, body.released);
    const did = body.released ? 'released' : 'hid';
    await note(db, { who, now }, row.courseId, `${did} the results of “${row.title}”`);
  }),
  serve(quizzes.voidStation, async ({ db, params, body, who, now }) => {
    const station = await queries.station(db, params.stationId);
    if (!station || station.quizId !== params.quizId) throw notFound('station');
    await queries.setVoided(db, station.id, body.voided);
    const { title } = await quizOf(db, station.quizId);
    const did = body.voided ? 'left out of all marks' : 'counted again';
    await note(db, { who, now }, station.courseId, `${did}: station ${station.position} of “${title}”`);
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
    const { stations, answers } = await marksOf(db, row);
    return {
      quiz: row,
      students: (await courseQueries.students(db, row.courseId)).map(({ id, name }) => ({ id, name })),
      stations: stations.map((station) => ({
        id: station.id,
        position: station.position,
        taxonId: station.taxonId,
        voided: station.voided,
      })),
      list: stations[0]?.frozen?.list ?? [],
      policy: stations[0]?.frozen?.marking.policy ?? null,
      answers,
    };
  }),
  serve(quizzes.rule, ({ db, params, body, who, now }) =>
    db.transaction(async (tx) => {
      const row = await quizOf(tx, params.quizId);
      const library = await committedLibrary(tx);
      for (const id of [body.truth, body.countsAs ?? body.truth])
        if (!library.statementsOf(id))
          throw badInput(`There is no species “${id}” in the library. Choose one of the course’s list.`);
      if (body.only) {
        const station = await queries.station(tx, body.only.stationId);
        if (station?.quizId !== row.id) throw notFound('station');
        const students = await courseQueries.students(tx, row.courseId);
        if (!students.some(({ id }) => id === body.only!.studentId)) throw notFound('student');
      }
      const which = body.only ? 'one answer' : 'all equal answers';
      const why = body.reason ? `: ${body.reason}` : '';
      await note(
        tx,
        { who, now },
        row.courseId,
        `ruled on ${which} “${answerText(body.answer)}” in “${row.title}”${why}`,
      );
      const points = body.points ?? null;
      const byHand = points !== null || Boolean(body.only);
      await queries.addRuling(
        tx,
        row.courseId,
        {
          truth: body.truth,
          answerKey: byHand ? wholeAnswerKey(body.answer) : answerKey(answerText(body.answer)),
          countsAs: body.countsAs,
          studentId: body.only?.studentId ?? null,
          stationId: body.only?.stationId ?? null,
          points,
          reason: body.reason || null,
        },
        false,
        accountOf(who),
        now,
      );
    }),
  ),
  serve(quizzes.takeRulingBack, ({ db, params, who, now }) =>
    db.transaction(async (tx) => {
      const row = await quizOf(tx, params.quizId);
      const ruling = (await queries.rulings(tx, row.courseId)).find(({ id }) => id === params.rulingId);
      if (!ruling) throw notFound('ruling');
      await queries.addRuling(tx, row.courseId, ruling, true, accountOf(who), now);
      await note(
        tx,
        { who, now },
        row.courseId,
        `took back a ruling on “${ruling.answerKey}” in “${row.title}”`,
      );
    }),
  ),
  serve(quizzes.enterPaper, async ({ db, params, body, who, now }) => {
    await db.transaction(async (tx) => {
      const row = await quizOf(tx, params.quizId);
      if (row.state === 'planned')
        throw conflict('Open the quiz before you enter answers, so that its stations are fixed.');
      const station = await queries.station(tx, body.stationId);
      const students = await courseQueries.students(tx, row.courseId);
      if (station?.quizId !== row.id) throw notFound('station');
      await checkSeen(tx, station, body.answer);
      if (!students.some((student) => student.id === body.studentId)) throw notFound('student');
      await enter(tx, body, body.decide ? 'instructor' : 'paper', accountOf(who), now);
      if (body.decide)
        await note(
          tx,
          { who, now },
          row.courseId,
          `decided between two answers at station ${station.position} of “${row.title}”`,
        );
    });
    answersCame([params.quizId]);
  }),
  serve(quizzes.importAnswers, async ({ db, params, body, who, now }) => {
    const report = await db.transaction(async (tx) => {
      const row = await quizOf(tx, params.quizId);
      const stations = await queries.stations(tx, row.id);
      const list = stations[0]?.frozen?.list;
      if (!list) throw conflict('Open the quiz before you import answers, so that its stations are fixed.');
      const { vocabulary } = await committedLibrary(tx);
      const read = readResponses(body.csv, {
        students: await courseQueries.students(tx, row.courseId),
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
        await note(tx, { who, now }, row.courseId, imported);
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
  }),
];
