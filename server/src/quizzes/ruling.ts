import type { QuizHead } from '@hurrow/contract/quizzes';
import type { RulingBody, WordsBody } from '@hurrow/contract/rulings';
import { wordsKey } from '@hurrow/core/formats';
import { answerText, partedAnswer, resolveName } from '@hurrow/core/names';
import { GUESS, saidKey, saidTo, WHOLE_LOOK } from '@hurrow/core/station';
import { commonName } from '@hurrow/core/taxon';
import { badInput, conflict, notFound } from '../api/problem.ts';
import { say, word } from '../api/say.ts';
import { accountOf } from '../api/route.ts';
import type { Who } from '../api/who.ts';
import { students } from '../courses/queries.ts';
import type { Db } from '../db/index.ts';
import { note } from '../keeping/queries.ts';
import { committedLibrary } from '../library/committed.ts';
import { fixedStations } from './fixed.ts';
import { answerKey, wholeAnswerKey } from './marking.ts';
import { quizOf } from './quiz.ts';
import * as queries from './queries.ts';

interface By {
  who: Who | undefined;
  now: Date;
}

/** Rules what an answer counts as, or gives it points by hand. Run inside a transaction. */
export async function rule(tx: Db, quizId: string, body: RulingBody, by: By): Promise<void> {
  const row = await quizOf(tx, quizId);
  const library = await committedLibrary(tx);
  for (const id of [body.truth, body.countsAs ?? body.truth])
    if (!library.statementsOf(id))
      throw badInput(say`There is no species “${id}” in the library. Choose one of the course’s list.`);
  if (body.only) {
    const station = await queries.station(tx, body.only.stationId);
    if (station?.quizId !== row.id) throw notFound('station');
    if (!(await students(tx, row.courseId)).some(({ id }) => id === body.only!.studentId))
      throw notFound('student');
  }
  if (!body.only && !body.both && body.countsAs !== null && !body.points)
    await askIfShared(tx, row, body as RulingBody & { countsAs: string });
  const points = body.points ?? null;
  const byHand = points !== null || Boolean(body.only);
  const asking = body.stationId ? await queries.station(tx, body.stationId) : undefined;
  if (body.stationId && asking?.quizId !== row.id) throw notFound('station');
  const question = asking?.frozen?.question;
  if (question && points === null)
    throw badInput(say`This station asks for no name. Give the answer points by hand, with the reason.`);
  const written = question ? saidTo(question, body.answer) : answerText(body.answer);
  const ruled = body.only
    ? say`ruled on one answer “${written}” in “${row.title}”`
    : say`ruled on all equal answers “${written}” in “${row.title}”`;
  await note(tx, by, row.courseId, body.reason ? say`${ruled}: ${body.reason}` : ruled);
  await queries.addRuling(
    tx,
    row.courseId,
    {
      truth: body.truth,
      answerKey: question
        ? saidKey(question, body.answer)
        : byHand
          ? wholeAnswerKey(body.answer)
          : answerKey(answerText(body.answer)),
      countsAs: body.countsAs,
      studentId: body.only?.studentId ?? null,
      stationId: body.only?.stationId ?? null,
      points,
      reason: body.reason || null,
    },
    false,
    accountOf(by.who),
    by.now,
  );
}

/** Refuses, with the question, a ruling that would let two trees of a course go by one name. */
async function askIfShared(tx: Db, quiz: QuizHead, body: RulingBody & { countsAs: string }): Promise<void> {
  const text = answerText(body.answer);
  const frozen = (await fixedStations(tx, quiz.id)).find((each) => each.frozen?.truth === body.truth)?.frozen;
  const list = frozen?.list ?? [];
  const ruled = (await queries.rulings(tx, quiz.courseId)).find(
    ({ answerKey: key, countsAs, studentId }) =>
      studentId === null && key === answerKey(text) && countsAs !== null && countsAs !== body.countsAs,
  );
  const bearer = ruled?.countsAs ?? resolveName(answerText(partedAnswer(body.answer)), list).taxonId;
  if (bearer === undefined || bearer === null || bearer === body.countsAs) return;
  const called = (id: string) => {
    const taxon = list.find((each) => each.id === id);
    return taxon ? commonName(taxon) : id;
  };
  throw conflict(
    ruled
      ? say`“${text}” counts as ${called(bearer)}. Shall it count as ${called(body.countsAs)} too, where that is asked?`
      : say`“${text}” is read as ${called(bearer)}. Shall it count as ${called(body.countsAs)} too, where that is asked?`,
    undefined,
    'sharedName',
  );
}

/** Takes a ruling back: the rules, or a ruling on more answers, hold again. Run inside a transaction. */
export async function takeRulingBack(tx: Db, quizId: string, rulingId: number, by: By): Promise<void> {
  const row = await quizOf(tx, quizId);
  const ruling = (await queries.rulings(tx, row.courseId)).find(({ id }) => id === rulingId);
  if (!ruling) throw notFound('ruling');
  await queries.addRuling(tx, row.courseId, ruling, true, accountOf(by.who), by.now);
  await note(tx, by, row.courseId, say`took back a ruling on “${ruling.answerKey}” in “${row.title}”`);
}

/** Rules what words on paper, of what a tree was named by, count as in the course of a quiz. Run inside a transaction. */
export async function ruleWords(
  tx: Db,
  quizId: string,
  { words, countsAs }: WordsBody,
  by: By,
): Promise<void> {
  const { courseId, title } = await quizOf(tx, quizId);
  const { vocabulary } = await committedLibrary(tx);
  const character = countsAs === null ? undefined : vocabulary.get(countsAs);
  if (countsAs !== null && !character && countsAs !== WHOLE_LOOK && countsAs !== GUESS)
    throw badInput(say`There is no character “${countsAs}”. Choose one that the station offered.`);
  const what = countsAs === null ? say`nothing that was offered` : (character?.term ?? word(countsAs));
  await note(tx, by, courseId, say`ruled that “${words}” is ${what}, of what was gone by in “${title}”`);
  const ruling = { words: wordsKey(words), countsAs, withdrawn: false };
  await queries.addWordsRuling(tx, courseId, ruling, accountOf(by.who), by.now);
}

/** Takes a ruling on words back. Run inside a transaction. */
export async function takeWordsBack(tx: Db, quizId: string, rulingId: number, by: By): Promise<void> {
  const { courseId, title } = await quizOf(tx, quizId);
  const ruling = (await queries.wordsRuled(tx, courseId)).find(({ id }) => id === rulingId);
  if (!ruling) throw notFound('ruling');
  await note(tx, by, courseId, say`took back a ruling on the words “${ruling.words}” in “${title}”`);
  await queries.addWordsRuling(tx, courseId, { ...ruling, withdrawn: true }, accountOf(by.who), by.now);
}
