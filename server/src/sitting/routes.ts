import type { QuizHead } from '@hurrow/contract/quizzes';
import * as sitting from '@hurrow/contract/sitting';
import { effectiveResponses } from '@hurrow/core/quiz';
import { notFound, Problem } from '../api/problem.ts';
import { serve } from '../api/route.ts';
import { unchanged } from '../api/unchanged.ts';
import { isUuid } from '../db/uuid.ts';
import { remember, type Db } from '../db/index.ts';
import { openNow } from '../courses/openNow.ts';
import { courseOf } from '../courses/course.ts';
import { answersCame } from '../quizzes/changes.ts';
import { frozenStations } from '../quizzes/fixed.ts';
import * as quizQueries from '../quizzes/queries.ts';
import { receive } from '../quizzes/receive.ts';
import { isReleasedTo } from '../quizzes/releasing.ts';
import { movedOf, reopenedFor } from '../running/queries.ts';
import { keepPace } from './pace.ts';

import { isPrompted } from '@hurrow/core/station';
import { isPicture, sameForAll } from './inWords.ts';
import { bellFor } from './bell.ts';
import { judged, maySit, placeOf } from './judging.ts';
import { notePhones } from './phones.ts';
import { askRegrade, besideOf, resultOf } from './result.ts';

const statesOf = (db: Db, courseId: string) =>
  remember(db, `quizzes ${courseId}`, () => quizQueries.quizStates(db, courseId));

/** What a student’s phone may know: never the taxon of a station nor its traits. */
export const sittingRoutes = [
  serve(sitting.now, async ({ db, who }) => {
    const { courseId } = who!;
    const course = await remember(db, `course ${courseId}`, () => courseOf(db, courseId!));
    const quizzes = await statesOf(db, course.id);
    const own = effectiveResponses(await quizQueries.responsesOfStudent(db, who!.studentId!));
    const answers = new Map(own.map(({ response }) => [response.stationId, response.answer]));
    const open = [];
    const reopened = await reopenedFor(db, who!.studentId!);
    const sat = ({ id, state }: QuizHead) =>
      state === 'open' || (state === 'closed' && reopened.includes(id));
    for (const quiz of quizzes.filter(sat)) {
      const shown = await sameForAll(db, quiz, course.audience, course.marking.policy);
      const moved = await remember(db, `moved ${quiz.id}`, () => movedOf(db, quiz.id));
      const stations = shown.stations.map(({ prompt, promptOf, ...row }) => ({
        ...row,
        stands: moved.get(row.id) ?? '',
        // The others of a station are not to know.
        ...(isPrompted(row.id, who!.studentId!) && promptOf !== undefined
          ? { prompt, promptOf }
          : { prompt: null }),
        answer: answers.get(row.id) ?? null,
      }));
      open.push({ ...shown, stations, bell: await bellFor(db, quiz, stations.length, who!.studentId!) });
    }
    return {
      // Not the date that the demo holds still: a phone sets its clock by this.
      now: Date.now(),
      course: course.name,
      courseId: course.id,
      audience: course.audience,
      opens: await openNow(db, course),
      name: who!.name,
      open,
      released: quizzes
        .filter((row) => isReleasedTo(row, who!.studentId!) && !reopened.includes(row.id))
        .map((row) => ({ id: row.id, title: row.title, heldOn: row.heldOn })),
    };
  }),
  serve(sitting.drawing, async ({ db, params, who, request, response }) => {
    if (!isUuid(params.stationId)) throw notFound('drawing');
    const place = await placeOf(db, params.stationId);
    if (!place || place.courseId !== who!.courseId || !(await maySit(db, place, who!.studentId!)))
      throw notFound('drawing');
    const station = (await frozenStations(db, place.quizId)).find(({ id }) => id === params.stationId);
    if (!station?.frozen?.drawing || !isPicture(station)) throw notFound('drawing');
    return unchanged(request, response, station.frozen.drawing);
  }),
  serve(sitting.answer, async ({ db, body, who, health }) => {
    const [now, { length }] = [performance.now(), body.responses];
    keepPace('student', who!.studentId!, length, now);
    keepPace('course', who!.courseId!, length, now);
    const all = await judged(db, body.responses, { courseId: who!.courseId!, studentId: who!.studentId! });
    const good = all.flatMap((entry) => ('body' in entry ? entry.body : []));
    const stored = await receive(db, who!.studentId!, good, { by: 'student' });
    const received = stored.flatMap((row) => (row instanceof Problem ? [] : row));
    // Nobody is told before it is on the disk.
    await db.keep(received);
    health.countAnswers(received.length);
    const quizIds = new Set(all.flatMap((entry) => ('body' in entry ? entry.quizId : [])));
    await notePhones(db, quizIds, who!.studentId!, body);
    answersCame(db, quizIds);
    const refused = [
      ...all.flatMap((entry) => ('wrong' in entry ? entry : [])),
      ...stored.flatMap((row, i) => (row instanceof Problem ? { id: good[i]!.id, wrong: row } : [])),
    ];
    if (body.responses.length === 1 && refused[0]) throw refused[0].wrong;
    return {
      received: received.map(({ id }) => id),
      refused: refused.map(({ id, wrong: { message, said } }) => ({
        id,
        message,
        ...(said ? { said } : {}),
      })),
    };
  }),
  serve(sitting.result, ({ db, params, who }) =>
    resultOf(db, params.quizId, { courseId: who!.courseId!, studentId: who!.studentId! }),
  ),
  serve(sitting.beside, ({ db, params, query, who }) =>
    besideOf(
      db,
      params.stationId,
      { courseId: who!.courseId!, studentId: who!.studentId! },
      query.language ?? null,
    ),
  ),
  serve(sitting.askRegrade, ({ db, params, body, who, now }) =>
    askRegrade(
      db,
      params.stationId,
      body.note,
      { courseId: who!.courseId!, studentId: who!.studentId! },
      now,
    ),
  ),
];
