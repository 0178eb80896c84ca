import { t } from '@lingui/core/macro';
import type { AnswerPart, NamingPolicy } from '@hurrow/core/names';

/** The fields a naming policy asks for, with their labels. */
export const FIELDS: Record<NamingPolicy, [AnswerPart, string][]> = {
  common: [['name', t`Common name`]],
  genus: [['genus', t`Genus`]],
  binomial: [
    ['genus', t`Genus`],
    ['epithet', t`Epithet`],
  ],
  binomialFamily: [
    ['genus', t`Genus`],
    ['epithet', t`Epithet`],
    ['family', t`Family`],
  ],
};
