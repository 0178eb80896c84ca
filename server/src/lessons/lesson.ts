import type { Course, CourseSet } from '@hurrow/contract/courses';
import type { LessonAnswer } from '@hurrow/contract/lessons';
import { minutesOf, NO_EDITS, type LessonStop } from '@hurrow/core/lesson';
import type { KeptRule } from '@hurrow/core/rule';
import type { Audience } from '@hurrow/core/score';
import { middleOfWeek, OFTEN_MIXED_UP } from '@hurrow/core/term';
import { notFound } from '../api/problem.ts';
import { courseOf } from '../courses/course.ts';
import { sets as setsOf } from '../courses/queries.ts';
import type { Db } from '../db/index.ts';
import { committedLibrary } from '../library/committed.ts';
import { rangesOf } from '../range/ranges.ts';
import { recordsAt } from '../library/records.ts';
import { marksOf } from '../quizzes/marking.ts';
import { quizzesOfCourse } from '../quizzes/queries.ts';
import { inThread } from '../thread.ts';
import * as queries from './queries.ts';
import type { TeachingTask } from './worker.ts';

/** A set without a week is looked at in full leaf. */
const MIDSUMMER = 196;

export interface WholeLesson extends LessonAnswer {
  course: Course;
  day: number;
}

/**
 * The lesson of a set, generated from the library as it stands and with the instructor's changes. Throws (404) where the course has no
 * such set.
 * @param audience in other words than the course's
 */
export async function lessonOfSet(
  db: Db,
  courseId: string,
  setId: string,
  audience?: Audience,
): Promise<WholeLesson> {
  const course = await courseOf(db, courseId);
  const sets = await setsOf(db, course.id);
  const set = sets.find(({ id }) => id === setId);
  if (!set) throw notFound('set');
  const read = await committedLibrary(db);
  const { library, vocabulary } = read;
  const taught = sets.flatMap(({ taxa }) => taxa);
  const rules = await recordsAt<Omit<KeptRule, 'id'>>(db, library.id, 'rule', library.revision);
  const edits = { ...NO_EDITS, ...(await queries.editsOf(db, set.id)) };
  const day = set.week === null ? MIDSUMMER : middleOfWeek(course.startsOn, set.week);
  const task: TeachingTask = {
    kind: 'lesson',
    setting: {
      list: read.profilesOf(taught),
      vocabulary,
      audience: audience ?? course.audience,
      units: course.units,
      startsWith: course.startsWith,
      reading: { reference: library.reference, site: course },
      ranges: await rangesOf(db, library, new Set(set.taxa)),
    },
    asked: {
      set: set.taxa,
      before: taughtBefore(sets, set),
      mixedUp: await mixedUpPairs(db, course),
      rules: rules.flatMap(({ key, record }) => (record ? { ...record, id: key } : [])),
      day,
      edits,
    },
  };
  const stops = await inThread<LessonStop[]>('teachingWorker', task);
  return {
    course,
    day,
    setId: set.id,
    title: set.title,
    week: set.week,
    taxa: set.taxa,
    stops,
    edits,
    minutes: minutesOf(stops),
  };
}

/** Species of the sets before this one, in the order of the list. */
const taughtBefore = (sets: readonly CourseSet[], set: CourseSet): string[] =>
  sets.slice(0, sets.indexOf(set)).flatMap(({ taxa }) => taxa);

/** Pairs that the class has mixed up in answers that count, most often first. */
async function mixedUpPairs(db: Db, course: Course): Promise<{ a: string; b: string }[]> {
  const counts = new Map<string, { a: string; b: string; count: number }>();
  for (const quiz of await quizzesOfCourse(db, course.id)) {
    if (quiz.state === 'planned') continue;
    const marks = await marksOf(db, quiz);
    const counted = new Map(
      marks.stations.flatMap((station) =>
        station.frozen && !station.voided ? [[station.id, station.frozen.truth] as const] : [],
      ),
    );
    for (const { stationId, mark } of marks.answers) {
      const [truth, named] = [counted.get(stationId), mark.resolution.taxonId];
      if (!truth || !named || truth === named) continue;
      const [a, b] = [truth, named].sort() as [string, string];
      const held = counts.get(`${a} ${b}`) ?? { a, b, count: 0 };
      held.count += 1;
      counts.set(`${a} ${b}`, held);
    }
  }
  return [...counts.values()]
    .filter(({ count }) => count >= OFTEN_MIXED_UP)
    .sort((x, y) => y.count - x.count)
    .map(({ a, b }) => ({ a, b }));
}
