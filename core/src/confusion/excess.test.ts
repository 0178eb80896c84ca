import { randomFrom } from '../random/index.ts';
import { binomialTail, confusedPairs, excessOf, predictiveTail, type NamedAnswer } from './index.ts';

const OPTIONS = ['a', 'b', 'c', 'd', 'e', 'f', 'g', 'h'];

/** Answers to each truth: so many to each name, the rest right. */
function answersOf(asked: number, wrong: Record<string, Record<string, number>>): NamedAnswer[] {
  let id = 0;
  return OPTIONS.flatMap((truth) => {
    const named = Object.entries(wrong[truth] ?? {}).flatMap(([name, n]) => Array<string>(n).fill(name));
    return Array.from({ length: asked }, (_, i): NamedAnswer => ({
      answerId: String((id += 1)),
      studentId: `s${i}`,
      stationId: `station ${truth}`,
      quizId: 'q',
      truth,
      named: named[i] ?? truth,
    }));
  });
}

const excess = (answers: NamedAnswer[]) => {
  const pairs = confusedPairs(answers);
  const found = excessOf(pairs, answers, () => OPTIONS);
  return new Map(pairs.map((pair, i) => [`${pair.truth}→${pair.answer}`, found[i]!]));
};

test('binomial tail: known values', () => {
  expect(binomialTail(8, 10, 0.5)).toBeCloseTo(56 / 1024, 10);
  expect(binomialTail(0, 10, 0.2)).toBe(1);
  expect(binomialTail(3, 3, 0.1)).toBeCloseTo(0.001, 10);
});

test('a rate that is only roughly known makes large counts less strange; known well, it is the binomial', () => {
  expect(predictiveTail(3, 20, 0.02, 1e-9)).toBeCloseTo(binomialTail(3, 20, 0.02), 6);
  expect(predictiveTail(3, 20, 0.02, 0.5)).toBeGreaterThan(2 * binomialTail(3, 20, 0.02));
  expect(predictiveTail(0, 20, 0.02, 0.5)).toBe(1);
  expect(predictiveTail(1, 1, 0.1, 0.3)).toBeCloseTo(0.1, 9);
});

test('a pair beyond what its row and column bring stands out; a name given to all does not', () => {
  const found = excess(
    answersOf(40, {
      a: { b: 14, h: 4 },
      c: { h: 5, d: 1 },
      d: { h: 4 },
      e: { h: 5 },
      f: { h: 4, e: 1 },
      g: { h: 5 },
    }),
  );
  expect(found.get('a→b')).toMatchObject({ standsOut: true });
  expect(found.get('a→b')!.expected).toBeLessThan(3);
  // h is given everywhere, so that a few of it here are to be expected.
  expect(found.get('c→h')!.standsOut).toBe(false);
  expect(found.get('c→h')!.expected).toBeGreaterThan(1);
});

test('a species missed in all directions has no pair that stands out', () => {
  const found = excess(answersOf(40, { a: { b: 3, c: 3, d: 3, e: 3, f: 3, g: 3, h: 3 }, c: { a: 1 } }));
  expect([...found.values()].filter(({ standsOut }) => standsOut)).toEqual([]);
});

test('the expectation of a cell does not see the cell', () => {
  const expected = (n: number) =>
    excess(answersOf(60, { a: { b: n, h: 4 }, c: { h: 5, d: 1 }, d: { b: 2 } })).get('a→b')!.expectedRate;
  expect(expected(3)).toBeCloseTo(expected(30), 10);
});

test('who repeats a slip is not many who slip: over classes without any pair, hardly one has one', () => {
  const random = randomFrom(17);
  let classes = 0;
  for (let round = 0; round < 60; round += 1) {
    const answers = Array.from({ length: 24 }, (_, s) => `s${s}`).flatMap((studentId) => {
      const slips = new Map<string, string>();
      return Array.from({ length: 40 }, (_, i): NamedAnswer => {
        const truth = OPTIONS[i % OPTIONS.length]!;
        const isWrong = random.uniform() < 0.25;
        const held = slips.get(truth);
        const named = !isWrong ? truth : held && random.uniform() < 0.7 ? held : random.pick(OPTIONS);
        if (named !== truth) slips.set(truth, named);
        return { answerId: `${studentId} ${i}`, studentId, stationId: `${i}`, quizId: 'q', truth, named };
      });
    });
    if ([...excess(answers).values()].some(({ standsOut }) => standsOut)) classes += 1;
  }
  expect(classes).toBeLessThanOrEqual(6);
});

test('one answer can be no finding', () => {
  const found = excess(answersOf(1, { a: { b: 1 } }));
  expect(found.get('a→b')!.standsOut).toBe(false);
});
