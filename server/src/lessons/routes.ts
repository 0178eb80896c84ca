import * as lessons from '@hurrow/contract/lessons';
import type { LessonAnswer } from '@hurrow/contract/lessons';
import { NO_EDITS, type LessonEdits } from '@hurrow/core/lesson';
import { mayLeave, type PhotoRecord } from '@hurrow/core/measurement';
import { weekBegins } from '@hurrow/core/term';
import { notFound } from '../api/problem.ts';
import { serve } from '../api/route.ts';
import { courseOf } from '../courses/course.ts';
import { openNow } from '../courses/openNow.ts';
import { sets } from '../courses/queries.ts';
import type { Db } from '../db/index.ts';
import { courseLibrary } from '../library/committed.ts';
import { spokenIn } from '../language/spokenIn.ts';
import { theLibrary } from '../library/queries.ts';
import { recordNow } from '../library/records.ts';
import { printed } from '../prints/printed.ts';
import { inThread } from '../thread.ts';
import { photoBytes } from '../photos/queries.ts';
import { lessonOfSet } from './lesson.ts';
import { characterToDraw } from './ofCharacters.ts';
import { leavingPhotos } from './pictures.ts';
import * as queries from './queries.ts';
import type { SlidesTask } from './slidesWorker.ts';
import { toDraw } from './toDraw.ts';

export const lessonRoutes = [
  serve(lessons.lesson, async ({ db, params, who, now }) => {
    if (who!.role === 'student') await refuseStudent(db, params, who!.courseId, now);
    const { course: _course, day: _day, ...lesson } = await lessonOfSet(db, params.courseId, params.setId);
    return who!.role === 'student' ? forStudents(lesson) : lesson;
  }),
  serve(lessons.change, async ({ db, params, body }) => {
    const course = await courseOf(db, params.courseId);
    if (!(await sets(db, course.id)).some(({ id }) => id === params.setId)) throw notFound('set');
    await queries.keepEdits(db, course.id, params.setId, body);
  }),
  serve(lessons.photo, async ({ db, params, who, now }) => {
    const isStudent = who!.role === 'student';
    if (isStudent) await refuseStudent(db, params, who!.courseId, now);
    const { id: libraryId } = (await theLibrary(db))!;
    const said = (await recordNow<PhotoRecord>(db, libraryId, 'photo', params.photoId))?.record;
    const isShown = isStudent
      ? said && mayLeave(said) && standsOn(await queries.editsOf(db, params.setId), params.photoId)
      : said;
    const bytes = isShown && (await photoBytes(db, params.photoId, 'screen'));
    if (!bytes) throw notFound('photo');
    return Buffer.from(bytes);
  }),
  serve(lessons.slides, async ({ db, params, query, response }) => {
    const lesson = await lessonOfSet(db, params.courseId, params.setId);
    response.attachment(`${fileName(lesson.title)}.pptx`);
    const task: SlidesTask = { lesson: await toDraw(db, lesson), shape: query.shape };
    return Buffer.from(await inThread<Uint8Array>('slidesWorker', task));
  }),
  serve(lessons.handout, async ({ db, params, query }) => {
    const audience = query.audience === 'course' ? undefined : query.audience;
    const lesson = await lessonOfSet(db, params.courseId, params.setId, audience);
    return printed(query.paper, 'handout', await toDraw(db, lesson, audience));
  }),
  serve(lessons.characterSlides, async ({ db, params, query, response }) => {
    const lesson = await characterToDraw(db, params.courseId, params.about, query.round);
    response.attachment(`${fileName(lesson.title)}.pptx`);
    const task: SlidesTask = { lesson, shape: query.shape };
    return Buffer.from(await inThread<Uint8Array>('slidesWorker', task));
  }),
  serve(lessons.characterHandout, async ({ db, params, query }) => {
    const audience = query.audience === 'course' ? undefined : query.audience;
    const lesson = await characterToDraw(db, params.courseId, params.about, query.round, audience);
    return printed(query.paper, 'handout', lesson);
  }),
  serve(lessons.glossary, async ({ db, params, query }) => {
    const course = await courseOf(db, params.courseId);
    const read = await courseLibrary(db, course);
    const taught = (await sets(db, course.id)).flatMap(({ taxa }) => taxa);
    const { name, audience, startsWith } = course;
    return printed(
      query.paper,
      'glossary',
      read.profilesOf(taught),
      spokenIn(read.vocabulary, course.namesIn),
      {
        name,
        audience,
        startsWith,
      },
    );
  }),
];

/** A student sees lessons of the own course, where it opens them, from the first day of their week on. Throws (404) otherwise. */
async function refuseStudent(
  db: Db,
  { courseId, setId }: { courseId: string; setId: string },
  own: string | undefined,
  now: Date,
): Promise<void> {
  const course = courseId === own ? await courseOf(db, courseId) : undefined;
  const set = course && (await sets(db, course.id)).find(({ id }) => id === setId);
  if (!course || !set || !(await openNow(db, course)).includes('lessons')) throw notFound('lesson');
  const begins = weekBegins(course.startsOn, set.week ?? 1);
  if (now.getTime() < begins) throw notFound('lesson');
}

/** What students see of a lesson: nothing hidden, no notes, nothing of what was changed, no place where a photo was taken. */
function forStudents(lesson: LessonAnswer): LessonAnswer {
  const shown = lesson.stops.filter(({ hidden }) => !hidden);
  const photos = shown.flatMap((stop) => leavingPhotos(stop, lesson.photos));
  return {
    ...lesson,
    stops: shown.map(({ note: _note, generated: _generated, outdated: _outdated, ...stop }) => stop),
    edits: NO_EDITS,
    photos: photos.map(({ record, ...photo }) => {
      const { position: _position, ...said } = record;
      return { ...photo, record: said };
    }),
  };
}

/** Whether a photo stands on a point that is not hidden. */
const standsOn = ({ pictures, hidden }: LessonEdits, photoId: string): boolean =>
  Object.entries(pictures).some(([key, photos]) => photos.includes(photoId) && !hidden.includes(key));

const fileName = (title: string): string =>
  title
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-|-$/g, '') || 'lesson';
