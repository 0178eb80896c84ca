import { randomUUID } from 'node:crypto';
import type { QuizHead } from '@hurrow/contract/quizzes';
import type { Beside, Result, ResultRow, SeenRow } from '@hurrow/contract/sitting';
import { ownPlace } from '@hurrow/core/contest';
import { fullPoints, type Answer } from '@hurrow/core/names';
import { characterName, type Audience } from '@hurrow/core/score';
import { besideMistake, inItsWords, rightInWords, saidTo, type FrozenStation } from '@hurrow/core/station';
import { commonName, scientificName } from '@hurrow/core/taxon';
import { stateOf } from '@hurrow/core/vocabulary';
import { conflict, notFound, Problem } from '../api/problem.ts';
import { say } from '../api/say.ts';
import { contestNow } from '../contests/standing.ts';
import { courseOf } from '../courses/course.ts';
import { type Db } from '../db/index.ts';
import { isUuid } from '../db/uuid.ts';
import { committedLibrary, courseLibrary } from '../library/committed.ts';
import { spokenIn } from '../language/spokenIn.ts';
import { addRegrade, regradesOfStudent } from '../marks/queries.ts';
import { marksOf } from '../quizzes/marking.ts';
import * as quizQueries from '../quizzes/queries.ts';
import { isReleasedTo } from '../quizzes/releasing.ts';
import { reopenedFor } from '../running/queries.ts';

interface Own {
  courseId: string;
  studentId: string;
}

/** A quiz whose result a student may see. Throws 404 for quizzes of other courses, 403 until it is released. */
async function releasedQuiz(db: Db, quizId: string, { courseId, studentId }: Own): Promise<QuizHead> {
  const quiz = await quizQueries.quiz(db, quizId);
  if (!quiz || quiz.courseId !== courseId) throw notFound('quiz');
  // Who may answer still is told nothing yet.
  if (!isReleasedTo(quiz, studentId) || (await reopenedFor(db, studentId)).includes(quiz.id))
    throw new Problem(403, say`Your instructor has not released this result yet. Look again later.`);
  return quiz;
}

/** A student's own result, station by station. Throws (403) until it is released. */
export async function resultOf(db: Db, quizId: string, own: Own): Promise<Result> {
  const quiz = await releasedQuiz(db, quizId, own);
  const { audience } = await courseOf(db, quiz.courseId);
  const { stations, answers, marking } = await marksOf(db, quiz);
  const asked = new Map(
    (await regradesOfStudent(db, quiz.id, own.studentId)).map((row) => [row.stationId, row]),
  );
  const rows: ResultRow[] = [];
  for (const station of stations) {
    const { frozen, voided, credited } = station;
    if (!frozen || !marking || (voided && !credited)) continue;
    const answer = answers.find(
      (entry) => entry.stationId === station.id && entry.studentId === own.studentId,
    );
    const truth = frozen.list.find((taxon) => taxon.id === frozen.truth)!;
    const outOf = fullPoints(marking);
    const isCommon = marking.policy === 'common';
    const named = answer?.mark.resolution.taxonId;
    const regrade = asked.get(station.id);
    const { question } = frozen;
    rows.push({
      stationId: station.id,
      position: station.position,
      written: !answer
        ? ''
        : question
          ? saidTo(question, answer.written, audience)
          : [answer.text, answer.written.family].filter(Boolean).join(', '),
      points: voided ? outOf : (answer?.mark.points ?? 0),
      outOf,
      truth: isCommon ? commonName(truth) : scientificName(truth),
      latin: !isCommon,
      family: marking.policy === 'binomialFamily' && !question ? truth.family : null,
      question: question
        ? { asked: inItsWords(question.asked, audience), right: rightInWords({ question, truth }, audience) }
        : null,
      remarks: (answer?.mark.parts ?? [])
        // Beside what would have been right nobody needs to be told that it was wrong.
        .filter(({ part, remark }) => remark !== 'right' && !(part === 'said' && remark === 'wrong'))
        .map(({ part, remark }) => ({ part, remark })),
      mistaken: named !== undefined && named !== frozen.truth,
      seen: await seenRows(db, frozen, answer?.written, audience),
      credited: voided ? (station.voidReason ?? 'the station was not fair') : null,
      regrade: regrade ? { note: regrade.note, answer: regrade.answer } : null,
    });
  }
  return {
    title: quiz.title,
    points: rows.reduce((sum, row) => sum + row.points, 0),
    outOf: rows.reduce((sum, row) => sum + row.outOf, 0),
    rows,
    regradeUntil: quiz.regradeUntil,
    place: quiz.released ? await placeOf(db, quiz, own.studentId) : null,
  };
}

/** Where a student stands in a contest; null where the quiz is none, or they did not take part. */
async function placeOf(db: Db, quiz: QuizHead, studentId: string) {
  const { contest, standings } = await contestNow(db, quiz);
  return (contest && ownPlace(standings, studentId)) ?? null;
}

/** What a student saw at a station where it was asked, and overlooked, in the words of the course. */
async function seenRows(
  db: Db,
  frozen: FrozenStation,
  written: Answer | undefined,
  audience: Audience,
): Promise<SeenRow[]> {
  if (!frozen.asks?.length) return [];
  const { vocabulary } = await committedLibrary(db, frozen.revision);
  return frozen.asks.flatMap(({ characterId, right }) => {
    const character = vocabulary.get(characterId);
    if (!character) return [];
    const word = (id: string) => {
      const state = stateOf(character, id);
      return state ? (audience === 'plain' ? state.plain : state.term) : id;
    };
    const said = written?.seen?.[characterId] || null;
    return {
      question: characterName(character, audience),
      said: said && word(said),
      right: right.map(word),
      isRight: said !== null && right.includes(said),
      ids: { character: characterId, said, right },
    };
  });
}

/** A station of a released quiz with the student's own answer. Throws 404 and 403 as `resultOf`. */
async function releasedStation(db: Db, stationId: string, own: Own) {
  const place = isUuid(stationId) ? (await quizQueries.placesOf(db, [stationId]))[0] : undefined;
  if (!place || place.courseId !== own.courseId) throw notFound('station');
  const quiz = await releasedQuiz(db, place.quizId, own);
  const { stations, answers } = await marksOf(db, quiz);
  const station = stations.find(({ id }) => id === stationId)!;
  const answer = answers.find((each) => each.stationId === stationId && each.studentId === own.studentId);
  return { quiz, station, answer };
}

/** The tree of a station beside the one that the student took it for, in a language. Throws 404 where no other tree of the list was named. */
export async function besideOf(
  db: Db,
  stationId: string,
  own: Own,
  language: string | null,
): Promise<Beside> {
  const { quiz, station, answer } = await releasedStation(db, stationId, own);
  const frozen = station.frozen!;
  const named = answer?.mark.resolution.taxonId;
  if (!named || named === frozen.truth) throw notFound('other tree');
  const course = await courseOf(db, quiz.courseId);
  const read = await courseLibrary(db, course, frozen.revision);
  const [truth, taken] = read.profilesOf([frozen.truth, named]);
  if (!truth || !taken) throw notFound('other tree');
  const found = besideMistake(frozen, truth, taken, {
    vocabulary: spokenIn(read.vocabulary, language),
    units: course.units,
    audience: course.audience,
    reference: read.library.reference,
    site: course,
  });
  const isPhoto = station.medium === 'photo';
  const name = course.marking.policy === 'common' ? commonName : scientificName;
  return {
    names: [name(truth.taxon), name(taken.taxon)],
    pictures: [isPhoto ? frozen.drawing : found.right, found.taken],
    isOwn: frozen.drawing !== null,
    lines: found.lines,
    settles: found.settles ?? null,
  };
}

/** Asks for a mark to be looked at again. Throws 409 after the day until which it may be asked, and where it was answered. */
export async function askRegrade(
  db: Db,
  stationId: string,
  note: string,
  own: Own,
  now: Date,
): Promise<void> {
  const { quiz, station } = await releasedStation(db, stationId, own);
  if (!quiz.regradeUntil || now.toISOString().slice(0, 10) > quiz.regradeUntil)
    throw conflict(say`Marks of this quiz can no longer be asked about here. Speak to your instructor.`);
  const added = await addRegrade(db, {
    id: randomUUID(),
    stationId: station.id,
    studentId: own.studentId,
    note,
    at: now,
  });
  if (added.length === 0)
    throw conflict(say`This was answered already. Speak to your instructor if something is left open.`);
}
