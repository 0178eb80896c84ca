import type { ClassReport } from '@hurrow/contract/confusions';
import { sinceTaught, type HeldClass, type SinceTaught } from '@hurrow/core/confusion';
import { reteachings } from '../confusions/queries.ts';
import type { Db } from '../db/index.ts';
import { marksOfAll, ofNames } from '../quizzes/marking.ts';
import { quizStates } from '../quizzes/queries.ts';

export type Since = SinceTaught & { a: string; b: string; students: number | null };

/** What became of every pair of a course that was taught again. */
export async function sinceAll(db: Db, courseId: string, report: ClassReport): Promise<Since[]> {
  const held = await heldClass(db, courseId, report);
  return (await reteachings(db, courseId)).map(({ a, b, taughtOn, students }) => ({
    ...sinceTaught(held, a, b, taughtOn, students ?? undefined),
    a,
    b,
    students: students && students.length,
  }));
}

async function heldClass(db: Db, courseId: string, report: ClassReport): Promise<HeldClass> {
  const takenAt = new Map(report.fairness.map(({ stationId, taken }) => [stationId, taken]));
  const quizzes = (await quizStates(db, courseId)).filter(({ state }) => state !== 'planned');
  const held = {
    stations: [] as HeldClass['stations'][number][],
    answers: [] as HeldClass['answers'][number][],
  };
  for (const { quiz, stations, answers } of (await marksOfAll(db, quizzes)).map(ofNames)) {
    for (const { id, frozen, voided, leftOut } of stations)
      if (frozen && !voided && !leftOut)
        held.stations.push({
          id,
          quizId: quiz.id,
          truth: frozen.truth,
          organs: frozen.view.organs,
          taken: takenAt.get(id) ?? [],
        });
    for (const { studentId, stationId, mark } of answers)
      held.answers.push({ studentId, stationId, named: mark.resolution.taxonId ?? null });
  }
  return { ...held, heldOn: new Map(quizzes.map(({ id, heldOn }) => [id, heldOn])) };
}
