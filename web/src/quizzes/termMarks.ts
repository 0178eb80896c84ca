import { t } from '@lingui/core/macro';
import type { QuizResult, TermScheme } from '@hurrow/core/marks';
import { pointsInWords } from './marking.ts';
import { shortly } from '../language/inWords.ts';
import { inTongue } from '../language/inTongue.ts';

/** Weights and bonus as they are typed, by id. */
export interface SchemeTyped {
  weights: Record<string, string>;
  drop: string;
  bonus: Record<string, string>;
}

const asText = (numbers: Record<string, number>): Record<string, string> =>
  Object.fromEntries(Object.entries(numbers).map(([id, n]) => [id, String(n)]));

/** A scheme as it is typed, with a weight for each quiz. */
export const typedScheme = (
  { weights, drop, bonus }: TermScheme,
  quizzes: readonly { id: string }[],
): SchemeTyped => ({
  weights: { ...Object.fromEntries(quizzes.map(({ id }) => [id, '1'])), ...asText(weights) },
  drop: String(drop),
  bonus: asText(bonus),
});

/**
 * The scheme that was typed; a problem where a field is no number. An empty field is no weight of its own, and nothing on top.
 *
 * @example
 * schemeOf({ weights: { q1: '2' }, drop: '1', bonus: { ava: '' } }); // { scheme: { weights: { q1: 2 }, drop: 1, bonus: {} } }
 */
export function schemeOf({
  weights,
  drop,
  bonus,
}: SchemeTyped): { scheme: TermScheme } | { problem: string } {
  const numbers = (typed: Record<string, string>, least: number, most: number) => {
    const read: Record<string, number> = {};
    for (const [id, text] of Object.entries(typed)) {
      if (text.trim() === '') continue;
      const value = Number(text.replace(',', '.'));
      if (!(value >= least && value <= most)) return text;
      read[id] = value;
    }
    return read;
  };
  const [w, b] = [numbers(weights, 0, 1000), numbers(bonus, -100, 100)];
  if (typeof w === 'string') return { problem: t`A weight is a number from 0 to 1000, not “${w}”.` };
  if (typeof b === 'string')
    return { problem: t`What is given on top is a number of percent from −100 to 100, not “${b}”.` };
  const dropped = Number(drop);
  if (!Number.isInteger(dropped) || dropped < 0 || dropped > 50 || drop.trim() === '')
    return { problem: t`A whole number of quizzes is dropped, 0 or more, not “${drop}”.` };
  const onTop = Object.fromEntries(Object.entries(b).filter(([, n]) => n !== 0));
  return { scheme: { weights: w, drop: dropped, bonus: onTop } };
}

/** “17.5 of 20”, “absent”, “excused”. */
export const resultInWords = ({ was, points, outOf }: QuizResult): string =>
  was === 'there' ? t`${pointsInWords(points)} of ${pointsInWords(outOf)}` : inTongue(was);

/** “87.5 %”; a dash where nothing counts. */
export const percentInWords = (percent: number | undefined): string =>
  percent === undefined ? '–' : `${shortly(percent, 1)} %`;
