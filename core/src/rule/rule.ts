import { conditionInWords, type Condition } from '../condition/index.ts';
import type { Audience, UnitSystem } from '../score/index.ts';
import { commonName, type Taxon } from '../taxon/index.ts';
import { ENGLISH, putIn, sayingOf, type Saying, type Vocabulary } from '../vocabulary/index.ts';
import { listedBy } from '../words/index.ts';

/** What a rule concludes: the specimen is of this genus or family, or one of these taxa. */
export type Conclusion =
  { kind: 'genus'; name: string } | { kind: 'family'; name: string } | { kind: 'taxa'; taxa: string[] };

/** A rule of thumb: IF all conditions hold, THEN it is one of these. */
export interface Rule {
  conditions: Condition[];
  then: Conclusion;
}

/** A rule as the instructor keeps it. */
export interface KeptRule extends Rule {
  id: string;
  /** The instructor's own words; without them the rule is put into words. */
  words?: string;
}

export const isConcluded = (then: Conclusion, taxon: Pick<Taxon, 'id' | 'genus' | 'family'>): boolean =>
  then.kind === 'genus'
    ? taxon.genus === then.name
    : then.kind === 'family'
      ? taxon.family === then.name
      : then.taxa.includes(taxon.id);

/** "If arrangement: opposite, then maples (Acer)": the rule in the words of the audience. */
export function ruleInWords(
  rule: Rule & { words?: string },
  taxa: readonly Taxon[],
  vocabulary: Vocabulary,
  audience: Audience,
  units: UnitSystem,
): string {
  if (rule.words) return rule.words;
  const conditions = rule.conditions.map((each) => conditionInWords(each, vocabulary, audience, units));
  const saying = sayingOf(vocabulary.values().next().value);
  return putIn(saying.rule, {
    conditions: conditions.join(` ${saying.and} `),
    conclusion: conclusionInWords(rule.then, taxa, saying),
  });
}

/** "the genus Acer", "red-osier dogwood, blue elder or Norway maple". */
export function conclusionInWords(
  then: Conclusion,
  taxa: readonly Taxon[],
  saying: Pick<Saying, 'or' | 'ranks'> = ENGLISH,
): string {
  if (then.kind !== 'taxa') return putIn(saying.ranks[then.kind], then.name);
  const names = then.taxa.map((id) => {
    const taxon = taxa.find((each) => each.id === id);
    return taxon ? commonName(taxon) : id;
  });
  return listedBy(names, saying.or);
}
