import * as lessons from '@hurrow/contract/lessons';
import type { LessonAnswer } from '@hurrow/contract/lessons';
import { NO_EDITS } from '@hurrow/core/lesson';
import { notFound } from '../api/problem.ts';
import { serve } from '../api/route.ts';
import { courseOf } from '../courses/course.ts';
import { openNow } from '../courses/openNow.ts';
import { sets } from '../courses/queries.ts';
import { printed } from '../prints/printed.ts';
import { inThread } from '../thread.ts';
import { lessonOfSet } from './lesson.ts';
import * as queries from './queries.ts';
import type { SlidesTask } from './slidesWorker.ts';
import { toDraw } from './toDraw.ts';

export const lessonRoutes = [
  serve(lessons.lesson, async ({ db, params, who, now }) => {
    const { course, day: _day, ...lesson } = await lessonOfSet(db, params.courseId, params.setId);
    if (who!.role !== 'student') return lesson;
    const began = Date.parse(course.startsOn) + ((lesson.week ?? 1) - 1) * 7 * 24 * 60 * 60 * 1000;
    if (
      who!.courseId !== course.id ||
      !(await openNow(db, course)).includes('lessons') ||
      now.getTime() < began
    )
      throw notFound('lesson');
    return forStudents(lesson);
  }),
  serve(lessons.change, async ({ db, params, body }) => {
    const course = await courseOf(db, params.courseId);
    if (!(await sets(db, course.id)).some(({ id }) => id === params.setId)) throw notFound('set');
    await queries.keepEdits(db, course.id, params.setId, body);
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
    return printed(query.paper, 'handout', await toDraw(db, lesson));
  }),
];

/** What students see of a lesson: nothing hidden, no notes, nothing of what was changed. */
const forStudents = (lesson: LessonAnswer): LessonAnswer => ({
  ...lesson,
  stops: lesson.stops
    .filter(({ hidden }) => !hidden)
    .map(({ note: _note, generated: _generated, outdated: _outdated, ...stop }) => stop),
  edits: NO_EDITS,
});

const fileName = (title: string): string =>
  title
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-|-$/g, '') || 'lesson';
