import { binomialDistribution, sum } from 'simple-statistics';

/** Answers from which on a station is judged: a few may be chance. */
const ENOUGH = 4;
/** So rarely would a station that does what was expected bring so few right answers. */
const RARE = 0.01;

/**
 * Probability that at most `k` of `n` answers are right where a share `p` is expected (binomial).
 *
 * @example
 * atMost(0, 5, 0.5); // 0.03125
 */
export const atMost = (k: number, n: number, p: number): number =>
  sum(binomialDistribution(n, p)!.slice(0, k + 1));

export interface LiveStation {
  answered: number;
  /** Of these, those that name the tree. */
  right: number;
}

/**
 * Does a station bring fewer right answers than was expected of it, so that somebody should look while the quiz still runs: a wrong number on the
 * cutting, a tag on the neighbour, a view that does not show what it should? Of a good station one in a hundred is pointed out.
 *
 * @param expected share of right answers, 0 to 1, none of them included
 * @example
 * isTrouble({ answered: 11, right: 1 }, 0.6); // true
 */
export const isTrouble = ({ answered, right }: LiveStation, expected: number): boolean =>
  answered >= ENOUGH && right < expected * answered && atMost(right, answered, expected) < RARE;

/**
 * The same in words, with what to do.
 *
 * @example
 * troubleInWords({ answered: 11, right: 1 }, 0.6); // '1 of 11 right so far; about 7 were expected. Look at it while …'
 */
export const troubleInWords = ({ answered, right }: LiveStation, expected: number): string =>
  `${right} of ${answered} right so far; about ${Math.round(expected * answered)} were expected. ` +
  'Look at it while they are still here: is this the tree of the key, and does it show what decides?';
