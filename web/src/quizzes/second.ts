import { decimal } from '../language/inWords.ts';
import { plural, t } from '@lingui/core/macro';
import type { SecondWord } from '@hurrow/contract/marking';
import type { MarkedAnswer, Marks } from '@hurrow/contract/quizzes';
import { agreementOf, verdictOf, type Agreement, type SecondVerdict } from '@hurrow/core/marks';
import { equalAnswers, truthOf } from './marking.ts';

/** Equal answers for a second marker to judge. */
export interface ToJudge {
  /** By which the word on them is kept. */
  key: string;
  /** One of them, for what was written and asked. */
  answer: MarkedAnswer;
  papers: number;
}

/**
 * What a second marker judges: all that was written, equal answers once, in an order that says nothing of the marks; what is letter by letter the name is
 * nobody's question.
 */
export function toJudge(marks: Marks): ToJudge[] {
  const groups = new Map<string, ToJudge>();
  const left = new Set(marks.stations.filter(({ voided }) => voided).map(({ id }) => id));
  for (const answer of marks.answers) {
    const plainlyRight = answer.mark.resolution.how === 'exact' && answer.mark.points === answer.mark.outOf;
    if (!answer.text.trim() || plainlyRight || left.has(answer.stationId)) continue;
    const key = equalAnswers(answer, marks);
    const group = groups.get(key);
    if (group) group.papers += 1;
    else groups.set(key, { key, answer, papers: 1 });
  }
  return [...groups.values()].sort((a, b) => (a.key < b.key ? -1 : 1));
}

/** Equal answers that a second marker gives other points than the marks do. */
export interface Difference extends ToJudge {
  marked: SecondVerdict;
  second: SecondVerdict;
  by: string;
}

/** How second markers and the marks agree, and where they do not; words on answers that are gone count for nothing. */
export function compared(
  marks: Marks,
  words: readonly SecondWord[],
): Agreement & { differences: Difference[]; waiting: number } {
  const judged = new Map(toJudge(marks).map((each) => [each.key, each]));
  const found = words.flatMap(({ answer: key, verdict, by }): Difference[] => {
    const group = judged.get(key);
    return group ? [{ ...group, marked: verdictOf(group.answer.mark), second: verdict, by }] : [];
  });
  const said = new Set(found.map(({ key }) => key));
  return {
    ...agreementOf(found.map(({ marked, second }) => [marked, second])),
    differences: found.filter(({ marked, second }) => marked !== second),
    waiting: judged.size - said.size,
  };
}

export const VERDICT_WORDS: Record<SecondVerdict, string> = {
  full: t`all points`,
  part: t`some points`,
  none: t`no points`,
};

/** Of fewer answers an agreement beyond chance says nothing. */
const ENOUGH = 10;

/**
 * How well they agree, as a sentence.
 *
 * @example
 * agreementInWords({ both: 20, same: 18, kappa: 0.81 }); // 'A second marker judged 20 different answers, 18 of them as they are marked (κ 0.81: very well).'
 */
export function agreementInWords({ both, same, kappa }: Agreement): string {
  const well =
    kappa === undefined || both < ENOUGH
      ? ''
      : ` (κ ${decimal(kappa, 2)}: ${kappa > 0.8 ? t`very well` : kappa > 0.6 ? t`well` : kappa > 0.4 ? t`fairly` : t`poorly`})`;
  return t`A second marker judged ${both} different ${plural(both, { one: 'answer', other: 'answers' })}, ${same} of them as they are marked${well}.`;
}

/** The tree that an answer was to name. */
export const treeOf = ({ answer }: Pick<ToJudge, 'answer'>, marks: Marks) =>
  marks.list.find(({ id }) => id === truthOf(answer, marks));
