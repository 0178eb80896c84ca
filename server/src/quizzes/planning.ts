import { randomInt, randomUUID } from 'node:crypto';
import type { PlanBody } from '@hurrow/contract/quizzes';
import { askable, questionAt } from '@hurrow/core/station';
import { dayOfYear } from '@hurrow/core/season';
import { badInput } from '../api/problem.ts';
import { say } from '../api/say.ts';
import { courseOf } from '../courses/course.ts';
import { sets } from '../courses/queries.ts';
import type { Db } from '../db/index.ts';
import { committedLibrary } from '../library/committed.ts';
import * as queries from './queries.ts';
import { doesNotFit } from './stationProblems.ts';

const taughtIds = async (db: Db, courseId: string) => (await sets(db, courseId)).flatMap((set) => set.taxa);

/** Writes the stations of a plan in the place of those before. Throws (422) where one cannot be as it is planned. */
export async function writeStations(db: Db, quizId: string, courseId: string, body: PlanBody): Promise<void> {
  const taught = new Set(await taughtIds(db, courseId));
  const stray = body.stations.findIndex((station) => !taught.has(station.taxonId));
  if (stray >= 0)
    throw badInput(
      say`Station ${stray + 1} shows a species that is not on the course’s list. Add it to the list or choose another.`,
    );
  await refuseUnseen(db, courseId, body);
  await queries.clearStations(db, quizId);
  const day = dayOfYear(body.heldOn);
  for (const [
    i,
    {
      taxonId,
      medium,
      view,
      asks = [],
      wentBy = false,
      prompt = null,
      choose = false,
      question = null,
      seed,
    },
  ] of body.stations.entries())
    await queries.addStation(db, {
      id: randomUUID(),
      quizId,
      position: i + 1,
      taxonId,
      medium,
      view: { ...view, day },
      seed: seed ?? randomInt(1, 2 ** 31 - 1),
      asks,
      wentBy,
      prompt,
      choose,
      question,
    });
}

/** Throws where a station asks for a character that cannot be read off what it shows. */
async function refuseUnseen(db: Db, courseId: string, { stations, heldOn }: PlanBody): Promise<void> {
  if (stations.every(({ asks, prompt, question }) => !asks?.length && !prompt && !question)) return;
  const read = await committedLibrary(db);
  const { library, vocabulary } = read;
  const course = await courseOf(db, courseId);
  const [day, options] = [dayOfYear(heldOn), { reference: library.reference, site: course }];
  const list = stations.some(({ question }) => question)
    ? read.profilesOf(await taughtIds(db, courseId))
    : [];
  for (const [i, station] of stations.entries()) {
    const { taxonId, view, asks = [], prompt } = station;
    const { marking, units } = course;
    const asked = questionAt({ ...station, view: { ...view, day } }, station.seed ?? 1, {
      ...options,
      list,
      vocabulary,
      marking,
      units,
    });
    if (asked && !asked.ok) throw doesNotFit(i + 1, asked.problem);
    const profiled = read.profileOf(taxonId);
    const can = profiled ? askable(profiled, vocabulary, { ...view, day }, options) : [];
    if (prompt && !can.includes(prompt))
      throw badInput(
        say`Station ${i + 1} tells half of its students to look at “${vocabulary.get(prompt)?.term ?? prompt}”, which is not to be seen in what it shows. Take the hint away, or show the part.`,
      );
    const stray = asks.find((id) => !can.includes(id));
    if (stray)
      throw badInput(
        say`Station ${i + 1} asks for “${vocabulary.get(stray)?.term ?? stray}”, which is not to be seen in what it shows, or has no score that says of every state whether it is right. Take the question away, show the part, or complete the score.`,
      );
  }
}
