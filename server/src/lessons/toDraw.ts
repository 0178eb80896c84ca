import type { LessonStop } from '@hurrow/core/lesson';
import type { DrawingSetting } from '@hurrow/core/lesson';
import type { ProfiledTaxon } from '@hurrow/core/evidence';
import type { Db } from '../db/index.ts';
import { committedLibrary } from '../library/committed.ts';
import type { WholeLesson } from './lesson.ts';

/** What is drawn and set of a lesson, on slides or on paper: plain data, which travels to a thread. */
export interface LessonToDraw {
  title: string;
  course: string;
  week: number | null;
  stops: LessonStop[];
  profiles: ProfiledTaxon[];
  setting: Omit<DrawingSetting, 'width' | 'height'>;
}

/** The points that are shown, with the trees that they draw. */
export async function toDraw(db: Db, lesson: WholeLesson): Promise<LessonToDraw> {
  const read = await committedLibrary(db);
  const stops = lesson.stops.filter(({ hidden }) => !hidden);
  const { name, units, latitude, longitude, elevation } = lesson.course;
  return {
    title: lesson.title,
    course: name,
    week: lesson.week,
    stops,
    profiles: read.profilesOf([...new Set(stops.flatMap(({ taxa }) => taxa))]),
    setting: {
      vocabulary: read.vocabulary,
      units,
      reference: read.library.reference,
      site: { latitude, longitude, elevation },
      day: lesson.day,
    },
  };
}
