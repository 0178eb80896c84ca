/** How the marks of a course's quizzes become one. */
export interface TermScheme {
  /** What a quiz weighs, by its id; one that is not named weighs 1, and one that weighs 0 does not count. */
  weights: Record<string, number>;
  /** So many of a student's lowest quizzes are dropped, as long as one is left. */
  drop: number;
  /** Percentage points given on top, by student. */
  bonus: Record<string, number>;
}

export const USUAL_SCHEME: TermScheme = { weights: {}, drop: 0, bonus: {} };

/** A quiz of one student: what it brought, or why it brought nothing. */
export interface QuizResult {
  quizId: string;
  points: number;
  outOf: number;
  /** `excused` counts nowhere; `absent` counts as nothing reached. */
  was: 'there' | 'absent' | 'excused';
}

export interface TermResult {
  /** Percent, 0 to 100 and what is given on top; undefined where no quiz counts. */
  percent: number | undefined;
  /** Ids of the quizzes that were dropped. */
  dropped: string[];
}

/**
 * A student's result of the term: the weighted mean of the shares of points, the lowest dropped, and what is given on top.
 *
 * @param results of the quizzes of one student; those that weigh nothing or were excused count nowhere
 * @param bonus percentage points
 * @example
 * termResult([{ quizId: 'a', points: 9, outOf: 10, was: 'there' }, { quizId: 'b', points: 2, outOf: 10, was: 'there' }],
 *   { weights: {}, drop: 1, bonus: {} }, 0); // { percent: 90, dropped: ['b'] }
 */
export function termResult(
  results: readonly QuizResult[],
  { weights, drop }: Pick<TermScheme, 'weights' | 'drop'>,
  bonus: number,
): TermResult {
  const counting = results
    .map((result) => ({ ...result, weight: weights[result.quizId] ?? 1 }))
    .filter(({ was, outOf, weight }) => was !== 'excused' && outOf > 0 && weight > 0)
    .map(({ quizId, points, outOf, was, weight }) => ({
      quizId,
      weight,
      share: was === 'absent' ? 0 : points / outOf,
    }));
  if (counting.length === 0) return { percent: undefined, dropped: [] };
  const lowest = [...counting].sort((a, b) => a.share - b.share || a.weight - b.weight);
  const dropped = lowest.slice(0, Math.min(drop, counting.length - 1)).map(({ quizId }) => quizId);
  const left = counting.filter(({ quizId }) => !dropped.includes(quizId));
  const total = left.reduce((sum, { weight }) => sum + weight, 0);
  const mean = left.reduce((sum, { weight, share }) => sum + weight * share, 0) / total;
  return { percent: Number((100 * mean + bonus).toFixed(4)), dropped };
}
