import { t } from '@lingui/core/macro';
import type { AnswerPart } from '@hurrow/core/names';
import { inTongue } from './inTongue.ts';

/** The parts of an answer, in words. */
export const PART_WORDS: Record<AnswerPart, string> = {
  name: t`name`,
  genus: t`genus`,
  epithet: t`epithet`,
  family: t`family`,
  said: t`answer`,
};

/**
 * What is said of a part of an answer, in the language that is spoken. The names in it stand as they are.
 *
 * @example
 * remarkSaid('spelling: grandis'); // 'spelling: grandis', in German 'Schreibung: grandis'
 */
export function remarkSaid(remark: string): string {
  const [, spelled] = /^spelling: (.+)$/.exec(remark) ?? [];
  if (spelled) return t`spelling: ${spelled}`;
  const [, other, off] = /^that is (.+?)(, which is not on the list)?$/.exec(remark) ?? [];
  if (other) return off ? t`that is ${other}, which is not on the list` : t`that is ${other}`;
  return inTongue(remark);
}

/** The remarks on an answer, each with its part: “epithet: spelling: grandis; family: no answer”. */
export const remarksSaid = (remarks: readonly { part: AnswerPart; remark: string }[]): string =>
  remarks
    .map(({ part, remark }) =>
      part === 'said' ? remarkSaid(remark) : `${PART_WORDS[part]}: ${remarkSaid(remark)}`,
    )
    .join('; ');
