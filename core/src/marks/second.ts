/** What a second marker gives an answer: all points, some, or none. */
export const SECOND_VERDICTS = ['full', 'part', 'none'] as const;
export type SecondVerdict = (typeof SECOND_VERDICTS)[number];

/** Points as a second marker would give them. */
export const verdictOf = ({ points, outOf }: { points: number; outOf: number }): SecondVerdict =>
  points <= 0 ? 'none' : points >= outOf ? 'full' : 'part';

/** How well two markers agree. */
export interface Agreement {
  both: number;
  same: number;
  /** Agreement beyond what chance would bring (Cohen 1960), −1 to 1; undefined where both said one thing of all. */
  kappa: number | undefined;
}

/**
 * How well a second marker agrees with the marks, over answers that both judged.
 *
 * @param pairs the mark and the second word, an entry for each group of equal answers
 * @example
 * agreementOf([['full', 'full'], ['none', 'part'], ['none', 'none']]); // { both: 3, same: 2, kappa: 0.5 }
 */
export function agreementOf(pairs: readonly (readonly [SecondVerdict, SecondVerdict])[]): Agreement {
  const both = pairs.length;
  const same = pairs.filter(([a, b]) => a === b).length;
  const share = (verdict: SecondVerdict, which: 0 | 1) =>
    pairs.filter((pair) => pair[which] === verdict).length / both;
  const chance = SECOND_VERDICTS.reduce((sum, each) => sum + share(each, 0) * share(each, 1), 0);
  return {
    both,
    same,
    kappa: both === 0 || chance > 1 - 1e-9 ? undefined : (same / both - chance) / (1 - chance),
  };
}
