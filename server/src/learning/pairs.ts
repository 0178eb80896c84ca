import type { ClassReport } from '@hurrow/contract/confusions';
import { answerId, confusedPairs, type ConfusedPair } from '@hurrow/core/confusion';
import type { CountedAnswer } from './record.ts';

/** A pair in one direction, with what was expected of it. */
export type ReportedPair = Omit<ConfusedPair, 'answers'> & { expectedRate: number; standsOut: boolean };

/** The pairs of a class as they were counted, with what the report expects of each; the most frequent first. */
export function reportedPairs(answers: readonly CountedAnswer[], report: ClassReport): ReportedPair[] {
  const expected = new Map(report.pairs.map((pair) => [`${pair.truth} ${pair.answer}`, pair]));
  return confusedPairs(answers.map((answer) => ({ ...answer, answerId: answerId(answer) }))).map(
    ({ answers: _answers, ...pair }) => {
      const of = expected.get(`${pair.truth} ${pair.answer}`);
      return { ...pair, expectedRate: of?.expectedRate ?? 0, standsOut: of?.standsOut ?? false };
    },
  );
}
