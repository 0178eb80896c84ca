import { expectedRight } from './expected.ts';
import type { ClassSoFar } from './wishes.ts';

/** A station that was held: what readers make of it, and what came. */
export interface HeldStation {
  quizId: string;
  taxonId: string;
  /** P(correct) of the ideal reader and of a beginner who reads all that is shown, 0–1. */
  right: number;
  beginner: number;
  answers: number;
  /** How many of the answers were right. */
  correct: number;
}

/** A quiz as it would have been expected without its own answers, and as it came. */
export interface QuizCame {
  quizId: string;
  /** Mean shares of right answers, 0–1, of the stations that were answered. */
  expected: number;
  came: number;
  stations: number;
}

/**
 * How far what is expected of quizzes can be trusted: each held one is left out, and expected from what the others showed of its trees.
 *
 * @returns one entry a quiz, in the order in which they first occur
 * @example
 * expectedAndCame(held)[0]; // { quizId: 'q1', expected: 0.68, came: 0.64, stations: 20 }
 */
export function expectedAndCame(held: readonly HeldStation[]): QuizCame[] {
  const answered = held.filter(({ answers }) => answers > 0);
  return [...new Set(answered.map(({ quizId }) => quizId))].map((quizId) => {
    const so = soFar(answered.filter((station) => station.quizId !== quizId));
    const own = answered.filter((station) => station.quizId === quizId);
    const mean = (of: (station: HeldStation) => number) =>
      own.reduce((sum, station) => sum + of(station), 0) / own.length;
    return {
      quizId,
      expected: mean((station) => expectedRight(station, { answered: so })),
      came: mean(({ answers, correct }) => correct / answers),
      stations: own.length,
    };
  });
}

function soFar(held: readonly HeldStation[]): ClassSoFar['answered'] {
  const answered: Record<string, { answers: number; right: number }> = {};
  for (const { taxonId, answers, correct } of held) {
    const of = (answered[taxonId] ??= { answers: 0, right: 0 });
    of.answers += answers;
    of.right += correct;
  }
  return answered;
}
