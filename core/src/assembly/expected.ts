import type { Candidate } from './candidates.ts';
import type { ClassSoFar } from './wishes.ts';

/** How a class differs in ability, on the scale of log odds, until its answers say otherwise. */
const SPREAD = 0.8;
/** A beginner's reading stands for so many answers of the class. */
const PRIOR = 8;
/** Students do not read everything that is shown: of what a beginner could do this remains, in log odds. */
const DOES_NOT_LOOK = 1;
const LEAST = 0.03;

/** Nodes and weights of Gauss and Hermite for a normal spread, five of them. */
const NODES = [-2.857, -1.356, 0, 1.356, 2.857];
const WEIGHTS = [0.01126, 0.22208, 0.53332, 0.22208, 0.01126];

const logit = (p: number): number => Math.log(p / (1 - p));
const logistic = (x: number): number => 1 / (1 + Math.exp(-x));

/**
 * The share of this class that is expected to be right at a station: a beginner's reading of what is shown, less what is not looked at, moved by how
 * the class has named that tree so far.
 *
 * @returns 0.03 to 0.97
 */
export function expectedRight(
  candidate: Pick<Candidate, 'taxonId' | 'right' | 'beginner' | 'question'>,
  { answered }: Pick<ClassSoFar, 'answered'>,
): number {
  const read = Math.min(1 - LEAST, Math.max(LEAST, candidate.beginner));
  const before = logistic(logit(read) - DOES_NOT_LOOK);
  // How a tree was named so far says nothing of what is asked in place of its name.
  const { answers, right } = (!candidate.question && answered[candidate.taxonId]) || { answers: 0, right: 0 };
  const share = (PRIOR * before + right) / (PRIOR + answers);
  return Math.min(1 - LEAST, Math.max(LEAST, Math.min(share, candidate.right)));
}

/** What a quiz is expected to bring. */
export interface ExpectedResult {
  /** Mean share of right answers, 0–1. */
  mean: number;
  /** Standard deviation of the students' shares. */
  spread: number;
  /** How well the marks would tell students apart: Kuder and Richardson's formula 20 (1937), 0–1. */
  reliability: number;
}

/**
 * What stations with these shares of right answers bring together, with students that differ in ability by 0.8 in log odds.
 *
 * @param shares expected share of right answers of each station, 0–1
 * @example
 * expectedResult([0.5, 0.5]).mean; // 0.5
 */
export function expectedResult(shares: readonly number[]): ExpectedResult {
  const n = shares.length;
  if (n === 0) return { mean: 0, spread: 0, reliability: 0 };
  const odds = shares.map(logit);
  const at = NODES.map((node) => odds.map((x) => logistic(x + SPREAD * node)));
  const over = (value: (ps: readonly number[]) => number) =>
    at.reduce((sum, ps, i) => sum + WEIGHTS[i]! * value(ps), 0);
  const total = (ps: readonly number[]) => ps.reduce((sum, p) => sum + p, 0);
  const mean = over(total);
  const between = over((ps) => (total(ps) - mean) ** 2);
  const variance = between + over((ps) => ps.reduce((sum, p) => sum + p * (1 - p), 0));
  const items = odds.reduce((sum, _, i) => {
    const p = over((ps) => ps[i]!);
    return sum + p * (1 - p);
  }, 0);
  const reliability = n < 2 || variance === 0 ? 0 : Math.max(0, (n / (n - 1)) * (1 - items / variance));
  return { mean: mean / n, spread: Math.sqrt(variance) / n, reliability };
}
