import {
  answerText,
  markAnswer,
  normaliseName,
  type Answer,
  type Mark,
  type MarkingPolicy,
  type NamedTaxon,
} from '@hurrow/core/names';
import { toldOf } from '@hurrow/core/formats';
import { setImmediate as breathe } from 'node:timers/promises';
import type { QuizHead } from '@hurrow/contract/quizzes';
import type { MarkedAnswer } from '@hurrow/contract/quizzes';
import { effectiveResponses, type EffectiveResponse } from '@hurrow/core/quiz';
import { markQuestion, saidKey, saidTo, type FrozenStation } from '@hurrow/core/station';
import { spellingFree } from '../courses/queries.ts';
import type { Db } from '../db/index.ts';
import { fixedStations } from './fixed.ts';
import * as queries from './queries.ts';

/** Lists met so far, by content: stations of a course share theirs, and a list once known is quicker to resolve against. */
const lists = new Map<string, readonly NamedTaxon[]>();
/** The one list for each that was asked for before. */
const shared = new WeakMap<readonly NamedTaxon[], readonly NamedTaxon[]>();

function sharedList(list: readonly NamedTaxon[]): readonly NamedTaxon[] {
  const known = shared.get(list);
  if (known) return known;
  const key = JSON.stringify(list);
  const held = lists.get(key) ?? list;
  if (lists.size >= 50) lists.clear();
  lists.set(key, held);
  shared.set(list, held);
  return held;
}

type Effective = EffectiveResponse<queries.ResponseRow>;

/** Answers and marks of the quizzes that were looked at last. Answers never change. */
interface Marked {
  responses: Map<string, queries.ResponseRow>;
  newest: Date | null;
  /** By all that a mark follows from: station, words, ruling and points. Most of a class writes the same. */
  marks: Map<string, Mark>;
  /** All marked answers as they were worked out last, and what they rested on. */
  whole?: { rests: string; answers: MarkedAnswer[] };
}
/** Answers that are held at most, of whichever quizzes: some hundred megabytes. The quiz that is looked at is held in any case. */
const MOST_HELD = 80_000;
/** Answers that are read, and marked, before others have their turn. */
const PAGE = 500;
const marked = new Map<string, Marked>();

/** Forgets answers and marks, after another store was put in the place of this one or a student was removed. */
export const forgetMarks = (): void => marked.clear();

/** What is said when answers were removed for good. */
const GONE = 'answers gone';

/** Lets every process forget answers that were removed. */
export async function answersGone(db: Db): Promise<void> {
  forgetMarks();
  await db.tell('changed', GONE);
}

/** Forgets what another process removed, or may have. Returns what stops it. */
export const hearAnswersGone = (db: Db): (() => void) =>
  db.hear('changed', (about) => {
    if (about === undefined || about === GONE) forgetMarks();
  });

/** Reads the answers that came since the newest that is held, some at a time: others are not kept waiting. */
async function readOn(db: Db, quizId: string, held: Marked): Promise<void> {
  for (;;) {
    const before = held.responses.size;
    const rows = await queries.responsesOfQuiz(db, quizId, held.newest, PAGE);
    for (const row of rows) held.responses.set(row.id, row);
    held.newest = rows.at(-1)?.receivedAt ?? held.newest;
    if (rows.length < PAGE) return;
    if (held.responses.size === before) {
      // More than a page in one thousandth of a second, as a file brings them.
      for (const row of await queries.responsesOfQuiz(db, quizId, held.newest))
        held.responses.set(row.id, row);
      return;
    }
    await breathe();
  }
}

/** The answers of a quiz, of which only those are read that came since they were read last. */
async function heldResponses(db: Db, quizId: string): Promise<Marked> {
  const n = await queries.countResponses(db, quizId);
  let held = marked.get(quizId) ?? { responses: new Map(), newest: null, marks: new Map() };
  if (held.responses.size !== n) {
    // Those of the last moment come again, since others may have come in it.
    await readOn(db, quizId, held);
    if (held.responses.size !== n) {
      held = { responses: new Map(), newest: null, marks: held.marks };
      await readOn(db, quizId, held);
    }
  }
  marked.delete(quizId);
  marked.set(quizId, held);
  let all = 0;
  for (const { responses } of marked.values()) all += responses.size;
  for (const [oldest, { responses }] of marked) {
    if (all <= MOST_HELD || oldest === quizId) break;
    marked.delete(oldest);
    all -= responses.size;
  }
  return held;
}

/** The text by which equal answers are ruled on at once. */
export const answerKey = (text: string): string => normaliseName(text);

/** The text by which answers are equal that also name the same family: points given by hand hold for these. */
export const wholeAnswerKey = (answer: Answer): string =>
  `${answerKey(answerText(answer))} / ${normaliseName(answer.family ?? '')}`;

/** The ruling that holds for an answer: one on this answer alone, else one on answers equal to it, else one on its name. */
function rulingOn(
  response: queries.ResponseRow,
  { truth, question }: FrozenStation,
  rulings: readonly queries.RulingRow[],
): queries.RulingRow | undefined {
  const { answer } = response;
  const keys = question
    ? [saidKey(question, answer)]
    : [wholeAnswerKey(answer), answerKey(answerText(answer))];
  const here = rulings.filter((row) => row.truth === truth && keys.includes(row.answerKey));
  const alone = here.find(
    (row) => row.studentId === response.studentId && row.stationId === response.stationId,
  );
  const general = here.filter((row) => row.studentId === null);
  return alone ?? keys.map((key) => general.find((row) => row.answerKey === key)).find(Boolean);
}

/**
 * The marks of a quiz, worked out from the frozen stations, the responses and the rulings: nothing of them is stored. Answers are shared by
 * all who ask: not to be altered by the caller.
 *
 * @param by other points than the quiz is marked by, to see what they would change
 */
export async function marksOf(
  db: Db,
  quizRow: QuizHead,
  by?: MarkingPolicy,
): Promise<{ stations: queries.StationRow[]; answers: MarkedAnswer[]; marking: MarkingPolicy | undefined }> {
  const stations = await fixedStations(db, quizRow.id);
  const marking =
    by ?? (await queries.markingOf(db, quizRow.id)) ?? stations.find(({ frozen }) => frozen)?.frozen?.marking;
  const under = JSON.stringify(marking);
  const [held, rulings, words, free] = await Promise.all([
    heldResponses(db, quizRow.id),
    queries.rulings(db, quizRow.courseId),
    queries.wordsRuled(db, quizRow.courseId),
    spellingFree(db, quizRow.courseId),
  ]);
  const byStudent = new Set(free);
  const { responses, marks } = held;
  const rests = `${responses.size} ${held.newest?.getTime()} ${under} ${rulings.map(({ id }) => id).join(' ')} / ${words.map(({ id }) => id).join(' ')} / ${free.join(' ')}`;
  const counts = new Map(words.map(({ words: key, countsAs }) => [key, countsAs]));
  if (held.whole?.rests === rests) return { stations, answers: held.whole.answers, marking };
  const byId = new Map(stations.map((station) => [station.id, station]));
  const listOf = new Map(stations.map(({ id, frozen }) => [id, frozen ? sharedList(frozen.list) : []]));
  const marksOne = ({ response, conflicting }: Effective): MarkedAnswer[] => {
    const frozen = byId.get(response.stationId)?.frozen;
    const truth = frozen?.list.find((taxon) => taxon.id === frozen.truth);
    if (!frozen || !truth) return [];
    const { question } = frozen;
    const text = question ? saidTo(question, response.answer) : answerText(response.answer);
    const ruling = rulingOn(response, frozen, rulings);
    const word = ruling && { taxonId: ruling.countsAs, ...(ruling.points ? { points: ruling.points } : {}) };
    const list = listOf.get(response.stationId)!;
    // Who spells by other rules loses nothing for it.
    const isFree = byStudent.has(response.studentId);
    const own = isFree ? { ...marking!, deduction: 0 } : marking!;
    return [
      {
        responseId: response.id,
        studentId: response.studentId,
        stationId: response.stationId,
        by: response.by,
        written: response.answer,
        text,
        told: toldOf(response.answer, frozen.wentBy ?? [], counts),
        mark: markOnce(marks, [response.stationId, response.answer, ruling?.id, under, isFree], () =>
          question
            ? markQuestion(response.answer, { question, truth, list, marking: own }, word)
            : markAnswer(response.answer, truth, list, own, word),
        ),
        ruling: ruling
          ? {
              id: ruling.id,
              by: ruling.by,
              at: ruling.at.toISOString(),
              reason: ruling.reason,
              alone: ruling.studentId !== null,
            }
          : null,
        conflicting: conflicting.map((other) => ({
          responseId: other.id,
          device: other.device,
          written: other.answer,
        })),
      },
    ];
  };
  const answers: MarkedAnswer[] = [];
  for (const [i, effective] of effectiveResponses([...responses.values()]).entries()) {
    answers.push(...marksOne(effective));
    if (i % PAGE === PAGE - 1) await breathe();
  }
  held.whole = { rests, answers };
  return { stations, answers, marking };
}

/** The marks of several quizzes, asked for side by side. */
export const marksOfAll = <Q extends QuizHead>(
  db: Db,
  quizzes: readonly Q[],
): Promise<(Awaited<ReturnType<typeof marksOf>> & { quiz: Q })[]> =>
  Promise.all(quizzes.map(async (quiz) => ({ quiz, ...(await marksOf(db, quiz)) })));

/**
 * The stations that ask for a name, and their answers: what was asked for something else says nothing of what trees are taken for. All analyses of
 * names rest on these.
 */
export function ofNames<M extends { stations: queries.StationRow[]; answers: MarkedAnswer[] }>(marks: M): M {
  const others = new Set(marks.stations.filter(({ frozen }) => frozen?.question).map(({ id }) => id));
  return others.size === 0
    ? marks
    : {
        ...marks,
        stations: marks.stations.filter(({ id }) => !others.has(id)),
        answers: marks.answers.filter(({ stationId }) => !others.has(stationId)),
      };
}

/** A mark, worked out once for all that follows from the same. */
function markOnce(marks: Map<string, Mark>, rests: unknown[], work: () => Mark): Mark {
  const key = JSON.stringify(rests);
  const mark = marks.get(key) ?? work();
  marks.set(key, mark);
  return mark;
}
