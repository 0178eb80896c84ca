import type { AnswerPart, NamingPolicy } from '@hurrow/core/names';

/** The fields a naming policy asks for, with their labels. */
export const FIELDS: Record<NamingPolicy, [AnswerPart, string][]> = {
  common: [['name', 'Common name']],
  genus: [['genus', 'Genus']],
  binomial: [
    ['genus', 'Genus'],
    ['epithet', 'Epithet'],
  ],
  binomialFamily: [
    ['genus', 'Genus'],
    ['epithet', 'Epithet'],
    ['family', 'Family'],
  ],
};
