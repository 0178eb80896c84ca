import { createHash } from 'node:crypto';
import { setImmediate as breathe } from 'node:timers/promises';
import type { QuizHead } from '@hurrow/contract/quizzes';
import { freezeStation, questionAt, tooLittleToDraw } from '@hurrow/core/station';
import { badInput, conflict, notFound } from '../api/problem.ts';
import { say } from '../api/say.ts';
import { courseOf } from '../courses/course.ts';
import { sets } from '../courses/queries.ts';
import type { Db } from '../db/index.ts';
import { courseLibrary, stateOf } from '../library/committed.ts';
import { photoFor } from '../photos/photoFor.ts';
import { classSoFar } from './classSoFar.ts';
import * as queries from './queries.ts';
import { doesNotFit, tooLittleScored } from './stationProblems.ts';

/** How often stations are fixed again, because what they rest on was changed meanwhile. */
const TRIES = 5;

/**
 * Opens a quiz, or opens a closed one again as it was. The first opening fixes every station, one after another so that nobody waits; the
 * quiz opens if all of them rest on the same ground and that is still so.
 *
 * @param opening runs in the transaction that opens, with the quiz as it was
 */
export async function openQuiz(
  db: Db,
  quizId: string,
  now: Date,
  opening: (tx: Db, was: QuizHead) => Promise<unknown>,
): Promise<void> {
  for (let tries = 0; tries < TRIES; tries += 1) {
    const planned = await queries.quiz(db, quizId);
    if (planned?.state === 'planned') await fixAll(db, planned);
    const opened = await db.transaction(async (tx) => {
      const row = await queries.quizForUpdate(tx, quizId);
      if (!row) throw notFound('quiz');
      if (row.state === 'open') return true;
      if (row.state === 'closed') await queries.setState(tx, row.id, 'open');
      else if (await queries.anyNotFixedFrom(tx, row.id, (await groundOf(tx, row)).hash)) return false;
      else await queries.markOpened(tx, row.id, now);
      await opening(tx, row);
      return true;
    });
    if (opened) return;
  }
  throw conflict(
    say`Someone is changing the plan, the list or the library just now. The quiz is not open; try again in a minute.`,
  );
}

/** What the stations of a quiz are fixed from, and a hash that changes with any of it. */
async function groundOf(db: Db, quiz: QuizHead) {
  const stations = await queries.stations(db, quiz.id);
  const course = await courseOf(db, quiz.courseId);
  const taught = (await sets(db, course.id)).flatMap((set) => set.taxa);
  const { marking, units, latitude, longitude, elevation } = course;
  const { key } = await stateOf(db);
  const all = JSON.stringify([stations, { marking, units, latitude, longitude, elevation }, taught, key]);
  return { stations, course, taught, hash: createHash('sha256').update(all).digest('base64url') };
}

/**
 * Fixes every station of a quiz: list, names, view, specimen and drawing as they are now. Others have their turn between stations. Throws
 * (422) where a station can not be shown.
 */
async function fixAll(db: Db, quiz: QuizHead): Promise<void> {
  const { stations, course, taught, hash } = await groundOf(db, quiz);
  const read = await courseLibrary(db, course);
  const { library, vocabulary } = read;
  if (stations.length === 0)
    throw badInput(say`The quiz has no stations yet. Add at least one, then open it.`);
  const list = [];
  for (const id of taught) {
    await breathe();
    list.push(...read.profilesOf([id]));
  }
  const ground = { list, vocabulary, reference: library.reference, site: course };
  for (const station of stations) {
    if (!taught.includes(station.taxonId))
      throw badInput(
        say`Station ${station.position} shows a species that is no longer on the list. Change the station or the list.`,
      );
    const lacking = tooLittleToDraw(plannedOf(station), ground);
    if (lacking.length > 0) throw tooLittleScored(station.position, lacking, vocabulary);
    const { marking, units } = course;
    const asked = questionAt(plannedOf(station), station.seed, { ...ground, marking, units });
    if (asked && !asked.ok) throw doesNotFit(station.position, asked.problem);
  }
  const offered = new Map<string, number>();
  // What the class is known to look at, or to pass over, need not be asked again.
  const { doubtful } = stations.some(({ wentBy }) => wentBy)
    ? await classSoFar(db, course)
    : { doubtful: {} };
  for (const station of stations) {
    await breathe();
    const { taxonId, medium, view } = station;
    const drawn = freezeStation(plannedOf(station), station.seed, {
      ...ground,
      revision: library.revision,
      marking: course.marking,
      units: course.units,
      offered,
      doubtful,
    });
    for (const id of drawn.wentBy ?? []) offered.set(id, (offered.get(id) ?? 0) + 1);
    const picture = medium === 'photo' ? await photoFor(db, library, taxonId, view) : undefined;
    const frozen = picture ? { ...drawn, traits: null, drawing: picture } : drawn;
    await queries.freeze(db, station.id, frozen, hash);
  }
}

/** A station as it was planned. */
export const plannedOf = ({
  taxonId,
  medium,
  view,
  asks,
  wentBy,
  prompt,
  choose,
  question,
}: queries.StationRow) => ({
  taxonId,
  medium,
  view,
  asks,
  wentBy,
  prompt,
  choose,
  question,
});
