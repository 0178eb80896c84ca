import * as practice from '@hurrow/contract/practice';
import type { CoursePractice, PracticeOf } from '@hurrow/contract/practice';
import { Memory } from '@hurrow/core/practice';
import { serve } from '../api/route.ts';
import { courseOf } from '../courses/course.ts';
import { students } from '../courses/queries.ts';
import { cardsOf, packOf, taughtSoFar } from './pack.ts';
import { fitWhereDue } from './fitting.ts';
import * as queries from './queries.ts';

export const practiceRoutes = [
  serve(practice.pack, async ({ db, who, now }) =>
    packOf(db, await courseOf(db, who!.courseId!), who!.studentId!, now),
  ),
  // What was practised counts whatever is open by the time that it is sent.
  serve(practice.review, async ({ db, body, who, now, request }) => {
    const ids = body.reviews.map(({ id }) => id);
    const received = await db.transaction(async (tx) => {
      await queries.addReviews(tx, who!.studentId!, body.reviews, now);
      return queries.ownIds(tx, who!.studentId!, ids);
    });
    void fitWhereDue(db, who!.courseId!).catch((error: unknown) => request.log?.error(error));
    return { received };
  }),
  serve(practice.ofCourse, async ({ db, params, now }): Promise<CoursePractice> => {
    const course = await courseOf(db, params.courseId);
    const today = now.toISOString().slice(0, 10);
    const { cards } = await cardsOf(db, course, await taughtSoFar(db, course, today), today);
    const fit = (await queries.fitOf(db, course.id))?.fit;
    const all = await queries.reviewsOfCourse(db, course.id);
    const at = now.getTime();
    return {
      students: (await students(db, course.id)).map(({ id, name }): PracticeOf => {
        const own = all.filter(({ studentId }) => studentId === id);
        const memory = new Memory(
          own.map(({ cardId, rating, at: answered }) => ({ cardId, rating, at: Date.parse(answered) })),
          fit?.weights,
        );
        const days = new Set(own.map((row) => row.at.slice(0, 10)));
        return {
          studentId: id,
          name,
          answers: own.length,
          minutes: Math.round(own.reduce((sum, { tookMs }) => sum + tookMs, 0) / 60_000),
          days: days.size,
          lastOn: [...days].sort().at(-1) ?? null,
          cards: cards.length,
          known: cards.filter((card) => memory.isKnown(card.id, at)).length,
          due: cards.filter((card) => memory.isDue(card.id, at)).length,
        };
      }),
      fit: fit ? { answers: fit.answers, loss: fit.loss } : null,
      slips: course.seesSlips
        ? all.flatMap(({ studentId, cardId, named, at: answered }) =>
            named ? [{ studentId, cardId, named, on: answered.slice(0, 10) }] : [],
          )
        : null,
    };
  }),
];
