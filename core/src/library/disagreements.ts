import type { ProfiledTaxon } from '../evidence/index.ts';
import type { AdoptedScore } from '../score/index.ts';
import type { Taxon } from '../taxon/index.ts';

/** One character of one taxon of which two sources say what does not fit together. */
export interface Disagreement {
  taxon: Taxon;
  score: AdoptedScore;
}

/** All disagreements of a library, by taxon in the order given, characters in the order of the profile. */
export const disagreementsOf = (profiles: readonly ProfiledTaxon[]): Disagreement[] =>
  profiles.flatMap(({ taxon, scores }) =>
    scores.filter((score) => score.disagree).map((score) => ({ taxon, score })),
  );
