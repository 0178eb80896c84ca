import { isDeepStrictEqual } from 'node:util';
import * as contract from '@hurrow/contract/contests';
import { badInput, conflict } from '../api/problem.ts';
import { say } from '../api/say.ts';
import { serve } from '../api/route.ts';
import { students as studentsOf } from '../courses/queries.ts';
import { note } from '../keeping/queries.ts';
import { stations } from '../quizzes/queries.ts';
import { quizOf } from '../quizzes/quiz.ts';
import * as queries from './queries.ts';
import { contestNow, standingsFile } from './standing.ts';

export const contestRoutes = [
  serve(contract.ofQuiz, async ({ db, params }) => contestNow(db, await quizOf(db, params.quizId))),
  serve(contract.change, ({ db, params, body: { contest, before: known }, who, now }) =>
    db.transaction(async (tx) => {
      const quiz = await quizOf(tx, params.quizId);
      const before = await queries.contestOf(tx, quiz.id);
      if (!isDeepStrictEqual(before, known))
        throw conflict(
          say`Somebody else changed this contest meanwhile. Reload the page: what you typed is kept as a draft.`,
        );
      const declared = JSON.stringify(before?.tieBreaks ?? []);
      if (quiz.state !== 'planned' && declared !== JSON.stringify(contest?.tieBreaks ?? []))
        throw conflict(
          say`The stations that part ties are declared before a contest is opened, and stand from then on. Leave them as they were.`,
        );
      const count = (await stations(tx, quiz.id)).length;
      const stray = contest?.tieBreaks.find((position) => position > count);
      if (stray !== undefined)
        throw badInput(say`There is no station ${stray}; this quiz has stations 1 to ${count}.`);
      const there = new Set((await studentsOf(tx, quiz.courseId)).map(({ id }) => id));
      const entries = Object.entries(contest?.entries ?? {}).filter(([id]) => there.has(id));
      await queries.setContest(tx, quiz.id, contest && { ...contest, entries: Object.fromEntries(entries) });
      const did = contest
        ? say`changed what the contest goes by: “${quiz.title}”`
        : say`made it a quiz that is no contest: “${quiz.title}”`;
      await note(tx, { who, now }, quiz.courseId, did);
    }),
  ),
  serve(contract.file, async ({ db, params, response }) => {
    response.attachment('standings.csv');
    return standingsFile(await contestNow(db, await quizOf(db, params.quizId)));
  }),
];
