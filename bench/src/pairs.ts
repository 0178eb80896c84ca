import { confusedPairs, excessOf, type NamedAnswer } from '@hurrow/core/confusion';
import { randomFrom, type Random } from '@hurrow/core/random';
import type { Row } from './row.ts';

const CLASSES = 100;
/** How often a student who slipped on a tree slips the same way again. */
const REPEATS = 0.7;

/** Classes that miss a quarter of the answers without any likeness, students repeating themselves: whatever stands out is false. */
export function pairs(): Row[] {
  return [8, 30].map((trees) => {
    const random = randomFrom(17);
    const names = Array.from({ length: trees }, (_, i) => `t${i}`);
    const withOne = Array.from({ length: CLASSES }, () => {
      const answers = aClass(names, random);
      return excessOf(confusedPairs(answers), answers, () => names).some(({ standsOut }) => standsOut);
    }).filter(Boolean).length;
    return {
      what: `pairs: classes without any, repeaters at ${REPEATS}, ${trees} trees: one stands out in`,
      value: `${Math.round((withOne / CLASSES) * 100)} %`,
      wanted: '<= 10 %',
    };
  });
}

function aClass(names: readonly string[], random: Random): NamedAnswer[] {
  return Array.from({ length: 24 }, (_, s) => `s${s}`).flatMap((studentId) => {
    const slips = new Map<string, string>();
    return Array.from({ length: 60 }, (_, i): NamedAnswer => {
      const truth = names[i % names.length]!;
      const held = slips.get(truth);
      const isWrong = random.uniform() < 0.25;
      const named = !isWrong ? truth : held && random.uniform() < REPEATS ? held : random.pick(names);
      if (named !== truth) slips.set(truth, named);
      return { answerId: `${studentId} ${i}`, studentId, stationId: `${i}`, quizId: 'q', truth, named };
    });
  });
}
