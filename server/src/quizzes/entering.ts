import { randomUUID } from 'node:crypto';
import type { AnswersFile, PaperBody } from '@hurrow/contract/quizzes';
import type { ImportReport } from '@hurrow/contract/reports';
import { readResponses, type ResponseRow } from '@hurrow/core/formats';
import { answerText, type Answer } from '@hurrow/core/names';
import { effectiveResponses, sameAnswer } from '@hurrow/core/quiz';
import { counted } from '@hurrow/core/words';
import { badInput, conflict, notFound, Problem } from '../api/problem.ts';
import { say } from '../api/say.ts';
import { accountOf } from '../api/route.ts';
import type { Who } from '../api/who.ts';
import * as courseQueries from '../courses/queries.ts';
import type { Db } from '../db/index.ts';
import { note } from '../keeping/queries.ts';
import { committedLibrary } from '../library/committed.ts';
import { answersCame } from './changes.ts';
import { checkSeen } from './checkSeen.ts';
import { quizOf } from './quiz.ts';
import * as queries from './queries.ts';
import { receive } from './receive.ts';

/** Stores what staff enter for a student. */
async function enter(
  db: Db,
  { studentId, stationId, answer }: { studentId: string; stationId: string; answer: Answer },
  by: 'paper' | 'instructor',
  accountId: string,
  now: Date,
): Promise<void> {
  const sequence = await queries.nextSequence(db, stationId, studentId, by);
  // Two people who type the same papers are told apart; one who types again corrects what they typed.
  const device =
    by === 'instructor'
      ? by
      : ((await queries.deviceOfTypist(db, stationId, studentId, accountId)) ??
        `paper-${accountId.slice(0, 8)}`);
  const response = {
    id: randomUUID(),
    stationId,
    answer,
    device,
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

/** What is done in the name of whom, and when. */
interface By {
  who: Who | undefined;
  now: Date;
}

/** Enters one answer from paper, or decides between two. */
export async function enterPaper(db: Db, quizId: string, body: PaperBody, by: By): Promise<void> {
  await db.transaction(async (tx) => {
    const row = await quizOf(tx, quizId);
    if (row.state === 'planned')
      throw conflict(say`Open the quiz before you enter answers, so that its stations are fixed.`);
    const station = await queries.station(tx, body.stationId);
    const students = await courseQueries.students(tx, row.courseId);
    if (station?.quizId !== row.id) throw notFound('station');
    await checkSeen(tx, station, body.answer);
    if (!students.some((student) => student.id === body.studentId)) throw notFound('student');
    await enter(tx, body, body.decide ? 'instructor' : 'paper', accountOf(by.who), by.now);
    if (body.decide)
      await note(
        tx,
        by,
        row.courseId,
        say`decided between two answers at station ${station.position} of “${row.title}”`,
      );
  });
  answersCame(db, [quizId]);
}

/** Says what a file of answers would add and replace, and does it unless it is a dry run. */
export async function importAnswers(
  db: Db,
  quizId: string,
  body: AnswersFile,
  by: By,
): Promise<ImportReport> {
  const report = await db.transaction(async (tx) => {
    const row = await quizOf(tx, quizId);
    const stations = await queries.stations(tx, row.id);
    const list = stations[0]?.frozen?.list;
    if (!list) throw conflict(say`Open the quiz before you import answers, so that its stations are fixed.`);
    const { vocabulary } = await committedLibrary(tx);
    const read = readResponses(body.csv, {
      students: await courseQueries.students(tx, row.courseId),
      stations: stations.map(({ id, position, frozen }) => ({
        id,
        position,
        asks: (frozen?.asks ?? []).flatMap(({ characterId }) => vocabulary.get(characterId) ?? []),
        offered: (frozen?.wentBy ?? []).flatMap((id) => vocabulary.get(id) ?? []),
        ...(frozen?.question ? { asking: frozen.question } : {}),
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
      for (const entry of fresh) await enter(tx, entry, 'paper', accountOf(by.who), by.now);
      // The file counts from now on, whatever a phone or a paper said before; that stays in the history.
      if (body.replace)
        for (const entry of other) await enter(tx, entry, 'instructor', accountOf(by.who), by.now);
      const imported =
        fresh.length === 1
          ? say`imported one answer into “${row.title}”`
          : say`imported ${fresh.length} answers into “${row.title}”`;
      const replaced = body.replace && other.length > 0;
      await note(
        tx,
        by,
        row.courseId,
        replaced ? say`${imported}, replacing ${other.length} that were stored` : imported,
      );
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
  answersCame(db, [quizId]);
  return report;
}
