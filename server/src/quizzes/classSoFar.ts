import type { MarkedAnswer } from '@hurrow/contract/quizzes';
import type { Course } from '@hurrow/contract/courses';
import type { ClassSoFar, HeldStation } from '@hurrow/core/assembly';
import { doubtsOf, type ToldById } from '@hurrow/core/attention';
import type { FrozenStation } from '@hurrow/core/station';
import { OFTEN_MIXED_UP } from '@hurrow/core/term';
import { sets as setsOf } from '../courses/queries.ts';
import type { Db } from '../db/index.ts';
import { marksOf, ofNames } from './marking.ts';
import { quizStates } from './queries.ts';

/** A station whose answers count, with those that were given at it. */
interface AnsweredStation {
  quizId: string;
  frozen: FrozenStation;
  answers: MarkedAnswer[];
}

/** Every station of a course that was held and asked for a name, with the answers that count. */
async function answeredStations(db: Db, courseId: string): Promise<AnsweredStation[]> {
  const found: AnsweredStation[] = [];
  for (const quiz of await quizStates(db, courseId)) {
    if (quiz.state === 'planned') continue;
    const marks = ofNames(await marksOf(db, quiz));
    const at = new Map<string, AnsweredStation>();
    for (const { id, frozen, voided, leftOut } of marks.stations)
      if (frozen && !voided && !leftOut) at.set(id, { quizId: quiz.id, frozen, answers: [] });
    for (const answer of marks.answers) at.get(answer.stationId)?.answers.push(answer);
    found.push(...at.values());
  }
  return found;
}

/** The stations of a course that were held, in what they showed, and how many were right; what readers make of them is worked out elsewhere. */
export const heldStations = async (
  db: Db,
  courseId: string,
): Promise<(Omit<HeldStation, 'right' | 'beginner'> & Pick<FrozenStation, 'view' | 'list'>)[]> =>
  (await answeredStations(db, courseId)).map(({ quizId, frozen: { truth, view, list }, answers }) => ({
    quizId,
    taxonId: truth,
    view,
    list,
    answers: answers.length,
    correct: answers.filter(({ mark }) => mark.resolution.taxonId === truth).length,
  }));

/** What the answers of a class that count have shown so far: of each tree, of pairs, and of what is known of the use of characters. */
export async function classSoFar(db: Db, course: Course): Promise<ClassSoFar> {
  const answered: Record<string, { answers: number; right: number }> = {};
  const reports: ToldById[] = [];
  const pairs = new Map<string, { a: string; b: string; count: number }>();
  for (const { frozen, answers } of await answeredStations(db, course.id)) {
    if (answers.length === 0) continue;
    const { truth, wentBy = [] } = frozen;
    const held = (answered[truth] ??= { answers: 0, right: 0 });
    held.answers += answers.length;
    for (const { mark, told } of answers) {
      const named = mark.resolution.taxonId;
      if (told.length) reports.push({ offered: wentBy, told });
      if (named === truth) held.right += 1;
      if (!named || named === truth) continue;
      const [a, b] = [truth, named].sort() as [string, string];
      const pair = pairs.get(`${a} ${b}`) ?? { a, b, count: 0 };
      pair.count += 1;
      pairs.set(`${a} ${b}`, pair);
    }
  }
  return {
    sets: (await setsOf(db, course.id)).map(({ id, title, taxa }) => ({ id, title, taxa })),
    answered,
    mixedUp: [...pairs.values()]
      .filter(({ count }) => count >= OFTEN_MIXED_UP)
      .sort((x, y) => y.count - x.count)
      .map(({ a, b }) => ({ a, b })),
    doubtful: doubtsOf(reports),
  };
}
