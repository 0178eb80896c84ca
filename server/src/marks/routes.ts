import JSZip from 'jszip';
import * as contract from '@hurrow/contract/marking';
import { oneRosterFiles } from '@hurrow/core/formats';
import { changesFor } from '@hurrow/core/marks';
import { fullPoints, PARTS_ASKED, POLICY_TITLES, type MarkingPolicy } from '@hurrow/core/names';
import { badInput, conflict, notFound } from '../api/problem.ts';
import { say, word } from '../api/say.ts';
import { accountOf, serve } from '../api/route.ts';
import { courseOf } from '../courses/course.ts';
import type { Db } from '../db/index.ts';
import { note } from '../keeping/queries.ts';
import { frozenStations } from '../quizzes/fixed.ts';
import { marksOf } from '../quizzes/marking.ts';
import { quizOf } from '../quizzes/quiz.ts';
import * as quizQueries from '../quizzes/queries.ts';
import { pointsOf } from './points.ts';
import * as queries from './queries.ts';
import { marksTable, rostered, termMarks } from './term.ts';

/** The policy that a quiz was opened with. Throws 409 where it has not been opened. */
async function openedWith(db: Db, quizId: string): Promise<MarkingPolicy> {
  const opened = (await frozenStations(db, quizId))[0]?.frozen?.marking;
  if (!opened)
    throw conflict(
      say`This quiz has not been opened yet: it will be marked as its course says. Change it there.`,
    );
  return opened;
}

export const markRoutes = [
  serve(contract.policy, async ({ db, params }) => {
    const { id } = await quizOf(db, params.quizId);
    const opened = await openedWith(db, id);
    return { now: (await quizQueries.markingOf(db, id)) ?? opened, opened };
  }),
  serve(contract.changePolicy, async ({ db, params, body, who, now }) => {
    const quiz = await quizOf(db, params.quizId);
    const opened = await openedWith(db, quiz.id);
    const next = body.marking ?? opened;
    const lacking = PARTS_ASKED[next.policy].filter((part) => !PARTS_ASKED[opened.policy].includes(part));
    if (lacking.length > 0)
      throw badInput(
        say`Students were asked for the ${word(POLICY_TITLES[opened.policy])}: “${word(lacking[0]!)}” was never asked for and can bear no points. Choose fewer parts, not others.`,
      );
    const before = await marksOf(db, quiz);
    const after = await marksOf(db, quiz, next);
    const counted = (marked: typeof before) => {
      const left = new Set(marked.stations.filter(({ voided }) => voided).map(({ id }) => id));
      return marked.answers.filter(({ stationId }) => !left.has(stationId));
    };
    const changes = changesFor(counted(before), counted(after), {
      before: pointsOf(before).outOf,
      after: pointsOf(after).outOf,
    });
    if (!body.dryRun) {
      await quizQueries.setMarking(db, quiz.id, body.marking);
      const what = body.marking
        ? say`${word(POLICY_TITLES[next.policy])}, ${fullPoints(next)} points, ${next.deduction} off for a misspelling`
        : say`as it was opened`;
      await note(db, { who, now }, quiz.courseId, say`marks “${quiz.title}” by other points: ${what}`);
    }
    return { changes };
  }),
  serve(contract.regrades, async ({ db, params }) => ({
    regrades: await queries.regradesOf(db, (await quizOf(db, params.quizId)).id),
  })),
  serve(contract.answerRegrade, async ({ db, params, body, who, now }) => {
    const quiz = await quizOf(db, params.quizId);
    const said = { answer: body.answer, accountId: accountOf(who), at: now };
    if ((await queries.answerRegrade(db, quiz.id, params.regradeId, said)).length === 0)
      throw notFound('question');
    await note(db, { who, now }, quiz.courseId, say`answered a student on a mark of “${quiz.title}”`);
  }),
  serve(contract.secondWords, async ({ db, params, who }) => ({
    words: await queries.secondWords(db, (await quizOf(db, params.quizId)).id, accountOf(who)),
  })),
  serve(contract.saySecond, async ({ db, params, body, who, now }) => {
    const { id } = await quizOf(db, params.quizId);
    await openedWith(db, id);
    const own = { quizId: id, accountId: accountOf(who), answer: body.answer, at: now };
    if (body.verdict) await queries.saySecond(db, { ...own, verdict: body.verdict });
    else await queries.takeSecondBack(db, id, own.accountId, body.answer);
  }),
  serve(contract.term, async ({ db, params }) => termMarks(db, (await courseOf(db, params.courseId)).id)),
  serve(contract.changeScheme, async ({ db, params, body, who, now }) => {
    const { id } = await courseOf(db, params.courseId);
    await queries.setScheme(db, id, body);
    await note(db, { who, now }, id, say`changed what the quizzes weigh in the marks of the term`);
  }),
  serve(contract.table, async ({ db, params, response }) => {
    const { id, code } = await courseOf(db, params.courseId);
    response.attachment(`${code.toLowerCase()}-marks.csv`);
    return marksTable(await termMarks(db, id));
  }),
  serve(contract.oneRoster, async ({ db, params, response }) => {
    const course = await courseOf(db, params.courseId);
    const files = oneRosterFiles(rostered(course, await termMarks(db, course.id)));
    const zip = new JSZip();
    for (const [name, text] of Object.entries(files)) zip.file(name, text);
    response.attachment(`${course.code.toLowerCase()}-one-roster.zip`);
    return zip.generateAsync({ type: 'nodebuffer', compression: 'DEFLATE' });
  }),
];
