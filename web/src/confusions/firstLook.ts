import { plural, t } from '@lingui/core/macro';
import type { FirstLook } from '@hurrow/core/confusion';
import { type Names } from './useNames.ts';
import { listInWords } from '../language/inWords.ts';

/**
 * What is said while the report is being worked out: what the names alone make one suspect, and that it may change.
 *
 * @example
 * firstInWords({ answers: 720, errors: 190, suspected: ['needle.bands'] }, names); // 'By the names alone, 190 of 720 answers wrong: they may not look at white bands. …'
 */
export function firstInWords(
  { answers, errors, suspected }: FirstLook,
  { character }: Pick<Names, 'character'>,
): string {
  const wrong = t`By the names alone, ${errors} of ${plural(answers, { one: '# answer', other: '# answers' })} wrong`;
  if (suspected.length === 0) return t`${wrong}: no character stands out so far.`;
  return t`${wrong}: they may not look at ${listInWords(suspected.map(character), 'or')}. A suspicion; what follows may say otherwise.`;
}
