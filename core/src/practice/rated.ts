import type { Rating } from './memory.ts';

/** How an answer came about. */
export interface Answered {
  right: boolean;
  /** A part was wrong on the way: a feature misread, a name misspelled, one of six sorted wrongly. */
  slips: number;
  /** Seconds. */
  took: number;
}

/** Right, but after so long that it was worked out rather than known, in times of what a card takes this student. */
const SLOWLY = 2.5;
/** Known at once. */
const QUICKLY = 0.6;

/**
 * How well a card was known, for its schedule: wrong; with slips or slowly; right; at once.
 *
 * @param usual seconds that a card takes this student, at the median
 * @example
 * ratingOf({ right: true, slips: 0, took: 40 }, 12); // 2: it was worked out
 */
export function ratingOf({ right, slips, took }: Answered, usual: number): Rating {
  if (!right) return 1;
  if (slips > 0 || took > SLOWLY * usual) return 2;
  return took < QUICKLY * usual ? 4 : 3;
}

/** What a card takes before a student has answered any. */
export const USUAL_SECONDS = 14;

/** Seconds that a card takes a student at the median of the latest answers; longer pauses than two minutes are no answers. */
export function usualSeconds(took: readonly number[]): number {
  const counted = took.filter((seconds) => seconds > 0 && seconds < 120).slice(-60);
  if (counted.length < 5) return USUAL_SECONDS;
  return [...counted].sort((a, b) => a - b)[Math.floor(counted.length / 2)]!;
}
