import type { LessonStop } from '@hurrow/core/lesson';
import type { DrawingSetting } from '@hurrow/core/lesson';
import type { ProfiledTaxon } from '@hurrow/core/evidence';
import type { Db } from '../db/index.ts';
import type { Range } from '@hurrow/core/range';
import type { Audience } from '@hurrow/core/score';
import { rangesOf } from '../range/ranges.ts';
import { courseLibrary } from '../library/committed.ts';
import { spokenIn } from '../language/spokenIn.ts';
import type { WholeLesson } from './lesson.ts';
import { picturesOf, type StopPicture } from './pictures.ts';

/** What is drawn and set of a lesson, on slides or on paper: plain data, which travels to a thread. */
export interface LessonToDraw {
  title: string;
  course: string;
  week: number | null;
  /** In whose words parts are labelled. */
  audience: Audience;
  /** Of trees whose place is a point of the lesson. */
  ranges: Record<string, Range>;
  stops: LessonStop[];
  /** Photos that stand in the place of drawings, by key of the point. */
  pictures: Record<string, StopPicture>;
  profiles: ProfiledTaxon[];
  setting: Omit<DrawingSetting, 'width' | 'height'>;
}

/** The points that are shown, with the trees that they draw. */
export async function toDraw(
  db: Db,
  lesson: WholeLesson,
  audience: Audience = lesson.course.audience,
): Promise<LessonToDraw> {
  const read = await courseLibrary(db, lesson.course);
  const stops = lesson.stops.filter(({ hidden }) => !hidden);
  const { name, units, latitude, longitude, elevation } = lesson.course;
  return {
    title: lesson.title,
    course: name,
    week: lesson.week,
    audience,
    ranges: await rangesOf(db, read.library, new Set(lesson.taxa)),
    stops,
    pictures: await picturesOf(db, stops, lesson.photos, units),
    profiles: read.profilesOf([...new Set(stops.flatMap(({ taxa }) => taxa))]),
    setting: {
      vocabulary: spokenIn(read.vocabulary, lesson.course.namesIn),
      units,
      reference: read.library.reference,
      site: { latitude, longitude, elevation },
      day: lesson.day,
    },
  };
}
