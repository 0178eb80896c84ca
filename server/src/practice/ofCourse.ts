import type { Course } from '@hurrow/contract/courses';
import type { KeptReview, PracticeOf } from '@hurrow/contract/practice';
import { Memory, type PracticeCard, type Weights } from '@hurrow/core/practice';
import { students } from '../courses/queries.ts';
import type { Db } from '../db/index.ts';
import { cardsOf, taughtSoFar } from './pack.ts';
import * as queries from './queries.ts';

/** How much each student of a course practices, and what is known of what was taught so far. */
export async function practiceOfCourse(db: Db, course: Course, now: Date): Promise<PracticeOf[]> {
  const today = now.toISOString().slice(0, 10);
  const { cards } = await cardsOf(db, course, await taughtSoFar(db, course, today), today);
  const weights = (await queries.fitOf(db, course.id))?.fit?.weights;
  const all = await queries.reviewsOfCourse(db, course.id);
  return (await students(db, course.id)).map((student) => {
    const own = all.filter(({ studentId }) => studentId === student.id);
    return practiceOf(student, own, cards, weights, now.getTime());
  });
}

function practiceOf(
  { id, name }: { id: string; name: string },
  own: readonly KeptReview[],
  cards: readonly PracticeCard[],
  weights: Weights | undefined,
  now: number,
): PracticeOf {
  const memory = new Memory(
    own.map(({ cardId, rating, at }) => ({ cardId, rating, at: Date.parse(at) })),
    weights,
  );
  const days = new Set(own.map(({ at }) => at.slice(0, 10)));
  return {
    studentId: id,
    name,
    answers: own.length,
    minutes: Math.round(own.reduce((sum, { tookMs }) => sum + tookMs, 0) / 60_000),
    days: days.size,
    lastOn: [...days].sort().at(-1) ?? null,
    cards: cards.length,
    known: cards.filter((card) => memory.isKnown(card.id, now)).length,
    due: cards.filter((card) => memory.isDue(card.id, now)).length,
  };
}
