import type { Course, CourseSet } from '@hurrow/contract/courses';
import type { LessonAnswer } from '@hurrow/contract/lessons';
import { minutesOf, type LessonStop } from '@hurrow/core/lesson';
import type { KeptRule } from '@hurrow/core/rule';
import type { Audience } from '@hurrow/core/score';
import { middleOfWeek } from '@hurrow/core/term';
import { notFound } from '../api/problem.ts';
import { courseOf } from '../courses/course.ts';
import { sets as setsOf } from '../courses/queries.ts';
import type { Db } from '../db/index.ts';
import { courseLibrary } from '../library/committed.ts';
import { spokenIn } from '../language/spokenIn.ts';
import { rangesOf } from '../range/ranges.ts';
import { recordsAt } from '../library/records.ts';
import { photosOf } from '../photos/described.ts';
import { classSoFar } from '../quizzes/classSoFar.ts';
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
  const read = await courseLibrary(db, course);
  const { library } = read;
  const taught = sets.flatMap(({ taxa }) => taxa);
  const rules = await recordsAt<Omit<KeptRule, 'id'>>(db, library.id, 'rule', library.revision);
  const edits = await queries.editsOf(db, set.id);
  const day = set.week === null ? MIDSUMMER : middleOfWeek(course.startsOn, set.week);
  const task: TeachingTask = {
    kind: 'lesson',
    setting: {
      list: read.profilesOf(taught),
      vocabulary: spokenIn(read.vocabulary, course.namesIn),
      audience: audience ?? course.audience,
      units: course.units,
      startsWith: course.startsWith,
      reading: { reference: library.reference, site: course },
      ranges: await rangesOf(db, library, new Set(set.taxa)),
    },
    asked: {
      set: set.taxa,
      before: taughtBefore(sets, set),
      mixedUp: (await classSoFar(db, course)).mixedUp,
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
    photos: await photosOf(db, library, [...new Set(stops.flatMap((stop) => stop.taxa))]),
    minutes: minutesOf(stops),
  };
}

/** Species of the sets before this one, in the order of the list. */
const taughtBefore = (sets: readonly CourseSet[], set: CourseSet): string[] =>
  sets.slice(0, sets.indexOf(set)).flatMap(({ taxa }) => taxa);
