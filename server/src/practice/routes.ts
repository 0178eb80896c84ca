import * as practice from '@hurrow/contract/practice';
import type { CoursePractice } from '@hurrow/contract/practice';
import { serve } from '../api/route.ts';
import { courseOf } from '../courses/course.ts';
import { keepPace } from '../sitting/pace.ts';
import { packOf } from './pack.ts';
import { practiceOfCourse } from './ofCourse.ts';
import { isFitDue } from './fitting.ts';
import * as queries from './queries.ts';

export const practiceRoutes = [
  serve(practice.pack, async ({ db, who, now }) =>
    packOf(db, await courseOf(db, who!.courseId!), who!.studentId!, now),
  ),
  // What was practiced counts whatever is open by the time that it is sent.
  serve(practice.review, async ({ db, body, jobs, who, now }) => {
    keepPace('practice', `practice ${who!.studentId!}`, body.reviews.length, performance.now());
    const ids = body.reviews.map(({ id }) => id);
    const received = await db.transaction(async (tx) => {
      await queries.addReviews(tx, who!.studentId!, body.reviews, now);
      return queries.ownIds(tx, who!.studentId!, ids);
    });
    if (await isFitDue(db, who!.courseId!))
      await jobs.start('fit', who!.courseId!, { courseId: who!.courseId! });
    return { received };
  }),
  serve(practice.ofCourse, async ({ db, params, now }): Promise<CoursePractice> => {
    const course = await courseOf(db, params.courseId);
    const fit = (await queries.fitOf(db, course.id))?.fit;
    return {
      students: await practiceOfCourse(db, course, now),
      fit: fit ? { answers: fit.answers, loss: fit.loss } : null,
      slips: course.seesSlips
        ? (await queries.reviewsOfCourse(db, course.id)).flatMap(({ studentId, cardId, named, at }) =>
            named ? [{ studentId, cardId, named, on: at.slice(0, 10) }] : [],
          )
        : null,
    };
  }),
];
