import type { ResultRow, SeenRow } from '@hurrow/contract/sitting';
import { upperFirst } from '@hurrow/core/words';

/** Points without needless zeros: 1.5, 2. */
export const pointsInWords = (points: number): string => String(Number(points.toFixed(2)));

/**
 * What was seen and overlooked at a station, a sentence each.
 *
 * @example
 * seenInWords([{ question: 'white bands', said: 'none', right: ['lower face'], isRight: false }]);
 * // ['White bands: you saw “none”; look for “lower face”.']
 */
export const seenInWords = (seen: readonly SeenRow[]): string[] =>
  seen.map(({ question, said, right, isRight }) => {
    const asked = upperFirst(question);
    const there = right.map((word) => `“${word}”`).join(' or ');
    if (said === null) return `${asked}: you left it open; look for ${there}.`;
    return isRight
      ? `${asked}: you saw “${said}”, rightly.`
      : `${asked}: you saw “${said}”; look for ${there}.`;
  });

/** May a student ask about a mark? Until the day that was set, where something is missing and nothing was answered. */
export const mayAsk = (
  { points, outOf, regrade }: Pick<ResultRow, 'points' | 'outOf' | 'regrade'>,
  until: string | null,
  now: Date,
): boolean => until !== null && now.toISOString().slice(0, 10) <= until && points < outOf && !regrade?.answer;
