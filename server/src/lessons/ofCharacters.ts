import type { Audience } from '@hurrow/core/score';
import type { LessonStop } from '@hurrow/core/lesson';
import { lessonAbout } from '@hurrow/core/lesson';
import { notFound } from '../api/problem.ts';
import { courseOf } from '../courses/course.ts';
import { sets } from '../courses/queries.ts';
import type { Db } from '../db/index.ts';
import { courseLibrary } from '../library/committed.ts';
import { spokenIn } from '../language/spokenIn.ts';
import { inThread } from '../thread.ts';
import type { LessonToDraw } from './toDraw.ts';
import type { TeachingTask } from './worker.ts';

/** Parts are drawn when they are on the tree, whatever the day. */
const ANY_DAY = 196;

/**
 * A lesson about a character or a group of them, on the list of a course, to be put on slides or on paper. Throws (404) where the trees of
 * the list do not differ in that.
 *
 * @param about id of the character or group
 * @param round which ten specimens to call
 */
export async function characterToDraw(
  db: Db,
  courseId: string,
  about: string,
  round: number,
  audience?: Audience,
): Promise<LessonToDraw> {
  const course = await courseOf(db, courseId);
  const read = await courseLibrary(db, course);
  const { library } = read;
  const vocabulary = spokenIn(read.vocabulary, course.namesIn);
  const list = read.profilesOf((await sets(db, course.id)).flatMap(({ taxa }) => taxa));
  const voice = audience ?? course.audience;
  const topic = lessonAbout(list, vocabulary, voice, about);
  if (!topic) throw notFound('character on the list of this course');
  const task: TeachingTask = {
    kind: 'character',
    setting: { list, vocabulary, audience: voice },
    characters: topic.characters,
    round,
  };
  const stops = await inThread<LessonStop[]>('teachingWorker', task);
  const { name, units, latitude, longitude, elevation } = course;
  return {
    title: topic.title,
    course: name,
    week: null,
    audience: voice,
    ranges: {},
    stops,
    pictures: {},
    profiles: read.profilesOf([...new Set(stops.flatMap(({ taxa }) => taxa))]),
    setting: {
      vocabulary,
      units,
      reference: library.reference,
      site: { latitude, longitude, elevation },
      day: ANY_DAY,
    },
  };
}
