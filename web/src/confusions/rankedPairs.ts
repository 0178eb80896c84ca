import type { ClassReport } from '@hurrow/contract/confusions';
import type { PairOfTaxa } from './counting.ts';

/** A pair with how far both of its directions together go beyond what is expected. */
export interface RankedPair {
  pair: PairOfTaxa;
  /** Answers that hard trees and ready names alone would bring; undefined while the report is not there. */
  expected: number | undefined;
  standsOut: boolean;
}

/** Pairs in the order in which they matter: those that stand out first, then by how many answers they go beyond expectation. */
export function rankedPairs(
  pairs: readonly PairOfTaxa[],
  report: Pick<ClassReport, 'pairs'> | undefined,
): RankedPair[] {
  return pairs
    .map((pair) => {
      const both = [pair.a, pair.b];
      const found = (report?.pairs ?? []).filter(
        ({ truth, answer }) => both.includes(truth) && both.includes(answer),
      );
      const expected = found.reduce((sum, each) => sum + each.expected, 0);
      return {
        ranked: {
          pair,
          expected: found.length ? expected : undefined,
          standsOut: found.some((each) => each.standsOut),
        },
        beyond: pair.count - expected,
      };
    })
    .sort((x, y) => Number(y.ranked.standsOut) - Number(x.ranked.standsOut) || y.beyond - x.beyond)
    .map(({ ranked }) => ranked);
}
