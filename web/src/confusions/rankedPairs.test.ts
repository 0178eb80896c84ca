import type { PairOfTaxa } from './counting.ts';
import { rankedPairs } from './rankedPairs.ts';

const pair = (a: string, b: string, count: number) => ({ a, b, count }) as PairOfTaxa;
const found = (truth: string, answer: string, expected: number, standsOut = false) => ({
  truth,
  answer,
  expected,
  expectedRate: 0.01,
  p: 0.5,
  standsOut,
});
const names = (ranked: ReturnType<typeof rankedPairs>) => ranked.map(({ pair: { a, b } }) => `${a}-${b}`);

test('what stands out comes first, then what goes farthest beyond expectation, both directions together', () => {
  const pairs = [pair('a', 'b', 9), pair('a', 'c', 6), pair('b', 'c', 3)];
  const report = {
    pairs: [found('a', 'b', 4), found('b', 'a', 4), found('c', 'a', 1), found('c', 'b', 1, true)],
  };
  const ranked = rankedPairs(pairs, report);
  expect(names(ranked)).toEqual(['b-c', 'a-c', 'a-b']);
  expect(ranked.map(({ expected }) => expected)).toEqual([1, 1, 8]);
});

test('before the report is there, the most frequent first, and nothing is expected', () => {
  const ranked = rankedPairs([pair('a', 'b', 2), pair('a', 'c', 6)], undefined);
  expect(names(ranked)).toEqual(['a-c', 'a-b']);
  expect(ranked.every(({ expected, standsOut }) => expected === undefined && !standsOut)).toBe(true);
});
