import { MODEL_VERSION } from '@hurrow/core/confusion';
import type { CardOfDay, PracticePack } from '@hurrow/contract/practice';
import type { Course } from '@hurrow/contract/courses';
import { classMixUps, inSeason, ownMixUps, type MixUp, type PracticeCard } from '@hurrow/core/practice';
import type { ProfiledTaxon } from '@hurrow/core/evidence';
import { dayOfYear, hopkinsDelay, shiftCalendar } from '@hurrow/core/season';
import { weekOf } from '@hurrow/core/term';
import { sets } from '../courses/queries.ts';
import { openNow } from '../courses/openNow.ts';
import { Problem } from '../api/problem.ts';
import { say } from '../api/say.ts';
import type { Db } from '../db/index.ts';
import type { CardsTask } from '../lessons/worker.ts';
import { countedAnswers } from '../learning/record.ts';
import { committedLibrary, courseLibrary } from '../library/committed.ts';
import { miniLessonsTo } from '../miniLessons/queries.ts';
import { isReleasedTo } from '../quizzes/releasing.ts';
import { inThread } from '../thread.ts';
import { keyOf } from '../workedOut/key.ts';
import { keepWorkedOut, workedOut } from '../workedOut/queries.ts';
import * as queries from './queries.ts';

/** Cards are worked out anew with the library, the list and the week. */
const DAYS = 7;
const KEPT = 40;
const cardsByKey = new Map<string, Promise<PracticeCard[]>>();

/** Taxa of the sets whose week has begun, in the order of the list. */
export async function taughtSoFar(db: Db, course: Course, today: string): Promise<string[]> {
  const week = weekOf(course.startsOn, today);
  return (await sets(db, course.id)).filter((set) => (set.week ?? 1) <= week).flatMap(({ taxa }) => taxa);
}

/** The cards of what was taught so far: worked out in a thread, once for a class and week. */
export async function cardsOf(
  db: Db,
  course: Course,
  taught: readonly string[],
  today: string,
): Promise<{ cards: PracticeCard[]; list: ProfiledTaxon[] }> {
  const read = await courseLibrary(db, course);
  const list = read.profilesOf(taught).filter(({ taxon }) => !taxon.retired);
  if (list.length < 2) return { cards: [], list };
  const { latitude, longitude, elevation } = course;
  const site = { latitude, longitude, elevation };
  const day = 1 + DAYS * Math.floor((dayOfYear(today) - 1) / DAYS);
  const key = JSON.stringify([read.library.id, read.library.revision, course.namesIn, day, site, taught]);
  let working = cardsByKey.get(key);
  if (!working) {
    const task: CardsTask = {
      kind: 'cards',
      list,
      vocabulary: read.vocabulary,
      options: { day, reference: read.library.reference, site },
    };
    working = cardsWorkedOut(db, key, task);
    cardsByKey.set(key, working);
    working.catch(() => cardsByKey.delete(key));
    for (const oldest of cardsByKey.keys()) if (cardsByKey.size > KEPT) cardsByKey.delete(oldest);
  }
  return { cards: await working, list };
}

/** Cards that any process has worked out, or those that are worked out now. */
async function cardsWorkedOut(db: Db, rests: string, task: CardsTask): Promise<PracticeCard[]> {
  const key = keyOf('practice cards', MODEL_VERSION, rests);
  const kept = (await workedOut<PracticeCard[]>(db, [key])).get(key);
  if (kept) return kept;
  const cards = await inThread<PracticeCard[]>('teachingWorker', task);
  await keepWorkedOut(db, new Map([[key, cards]]));
  return cards;
}

/** What the class and one student have mixed up in quizzes: the student's own only of results that they have seen. */
async function quizMixUps(db: Db, course: Course, studentId: string, now: number): Promise<MixUp[]> {
  const answers = (await countedAnswers(db, course.id)).filter(({ quiz }) => quiz.state === 'closed');
  const own = answers.flatMap(({ quiz, studentId: whose, truth, named }) =>
    whose === studentId && named && isReleasedTo(quiz, studentId)
      ? [{ taxonId: truth, named, at: Date.parse(`${quiz.heldOn}T12:00:00Z`) }]
      : [],
  );
  return [...ownMixUps(own, now), ...classMixUps(answers)];
}

/** Throws (403) where the course does not open practice now. */
export async function packOf(db: Db, course: Course, studentId: string, now: Date): Promise<PracticePack> {
  if (!(await openNow(db, course)).includes('practice'))
    throw new Problem(403, say`Your instructor has not opened practice to you. What you practiced is kept.`);
  const today = now.toISOString().slice(0, 10);
  const taught = await taughtSoFar(db, course, today);
  const { cards, list } = await cardsOf(db, course, taught, today);
  const { library } = await committedLibrary(db);
  const site = { latitude: course.latitude, longitude: course.longitude, elevation: course.elevation };
  const delay = hopkinsDelay(library.reference, site);
  const day = dayOfYear(today);
  const byId = new Map(list.map((profiled) => [profiled.taxon.id, profiled]));
  const fit = await queries.fitOf(db, course.id);
  return {
    now: now.getTime(),
    courseId: course.id,
    audience: course.audience,
    units: course.units,
    common: course.marking.policy === 'common',
    asksWentBy: course.asksInPractice,
    reference: library.reference,
    site,
    taxa: list,
    characters: library.characters,
    cards: cards.map((card): CardOfDay => {
      const profiled = byId.get(card.taxonId)!;
      const calendar = shiftCalendar(profiled.taxon.calendar, delay);
      return { ...card, inSeason: inSeason(profiled, card.kind, calendar, day) };
    }),
    mixUps: await quizMixUps(db, course, studentId, now.getTime()),
    taught,
    weights: fit?.fit?.weights ?? null,
    reviews: await queries.reviewsOf(db, studentId),
    miniLessons: await miniLessonsTo(db, studentId),
  };
}
