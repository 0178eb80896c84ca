import { plural, t } from '@lingui/core/macro';
import type { StudentChange } from '@hurrow/core/marks';
import { PARTS_ASKED, type NamePart, type MarkingPolicy, type NamingPolicy } from '@hurrow/core/names';
import { pointsInWords } from './marking.ts';

/** Points and deduction as they are typed. */
export interface PolicyTyped {
  policy: NamingPolicy;
  points: Record<NamePart, string>;
  deduction: string;
}

export const typedOf = ({ policy, points, deduction }: MarkingPolicy): PolicyTyped => ({
  policy,
  points: {
    name: String(points.name),
    genus: String(points.genus),
    epithet: String(points.epithet),
    family: String(points.family),
  },
  deduction: String(deduction),
});

/** What students can still be marked by: parts that they were asked for. */
export const policiesWithin = (opened: NamingPolicy): NamingPolicy[] =>
  (['common', 'genus', 'binomial', 'binomialFamily'] as const).filter((policy) =>
    PARTS_ASKED[policy].every((part) => PARTS_ASKED[opened].includes(part)),
  );

/**
 * The policy that was typed; a problem where a field is no number.
 *
 * @example
 * policyOf({ policy: 'genus', points: { name: '2', genus: '1,5', epithet: '1', family: '1' }, deduction: '.25' });
 * // { policy: { policy: 'genus', points: { name: 2, genus: 1.5, epithet: 1, family: 1 }, deduction: 0.25 } }
 */
export function policyOf({
  policy,
  points,
  deduction,
}: PolicyTyped): { policy: MarkingPolicy } | { problem: string } {
  const wrong: string[] = [];
  const number = (text: string, what: string): number => {
    const value = text.trim() === '' ? NaN : Number(text.replace(',', '.'));
    if (!(value >= 0 && value <= 20)) wrong.push(t`${what} takes a number from 0 to 20, not “${text}”.`);
    return value;
  };
  const read = {
    name: number(points.name, t`The name`),
    genus: number(points.genus, t`The genus`),
    epithet: number(points.epithet, t`The epithet`),
    family: number(points.family, t`The family`),
  };
  const off = number(deduction, t`A misspelling`);
  return wrong[0] ? { problem: wrong[0] } : { policy: { policy, points: read, deduction: off } };
}

/** “7 students change: 5 lose, 2 gain.” */
export function changesInWords(changes: readonly StudentChange[]): string {
  if (changes.length === 0) return t`No mark changes.`;
  const share = ({ before, after, outOfBefore, outOfAfter }: StudentChange) =>
    after / (outOfAfter || 1) - before / (outOfBefore || 1);
  const lose = changes.filter((each) => share(each) < -1e-9).length;
  const gain = changes.filter((each) => share(each) > 1e-9).length;
  return t`${plural(changes.length, { one: '# student', other: '# students' })} ${plural(changes.length, { one: 'changes', other: 'change' })}: ${lose} lose, ${gain} gain.`;
}

/** “7.5 of 10 → 7 of 10” */
export const changeInWords = ({ before, after, outOfBefore, outOfAfter }: StudentChange): string =>
  t`${pointsInWords(before)} of ${pointsInWords(outOfBefore)} → ${pointsInWords(after)} of ${pointsInWords(outOfAfter)}`;
