import { confusedPairs, wilsonInterval, type NamedAnswer } from './index.ts';

let id = 0;
const answer = (studentId: string, truth: string, named: string | null, quizId = 'q1'): NamedAnswer => ({
  answerId: String((id += 1)),
  studentId,
  stationId: `${quizId}-${truth}`,
  quizId,
  truth,
  named,
});

test('pairs have direction, counts and rates; blanks are asked but not confused', () => {
  const pairs = confusedPairs([
    answer('s1', 'a', 'b'),
    answer('s2', 'a', 'b'),
    answer('s3', 'a', 'a'),
    answer('s4', 'a', null),
    answer('s1', 'b', 'a'),
    answer('s2', 'b', 'b'),
  ]);
  expect(
    pairs.map(({ truth, answer: named, count, reverse, asked }) => [truth, named, count, reverse, asked]),
  ).toEqual([
    ['a', 'b', 2, 1, 4],
    ['b', 'a', 1, 2, 2],
  ]);
  expect(pairs[0]!.rate).toBe(0.5);
  expect(pairs[0]!.answers).toHaveLength(2);
});

test('repeated means two quizzes, or one student twice', () => {
  expect(confusedPairs([answer('s1', 'a', 'b'), answer('s2', 'a', 'b')])[0]!.repeated).toBe(false);
  expect(confusedPairs([answer('s1', 'a', 'b'), answer('s2', 'a', 'b', 'q2')])[0]!.repeated).toBe(true);
  expect(confusedPairs([answer('s1', 'a', 'b'), answer('s1', 'a', 'b')])[0]!.repeated).toBe(true);
});

test('a class without errors has no pairs', () => {
  expect(confusedPairs([answer('s1', 'a', 'a')])).toEqual([]);
});

test('Wilson interval: a worked value, the ends, and no trials', () => {
  // 10 of 50 at 95 %: centre (p + z²/2n)/(1 + z²/n) = 0.2214, half-width 0.1090.
  const [low, high] = wilsonInterval(10, 50, 1.96);
  expect(low).toBeCloseTo(0.1124, 3);
  expect(high).toBeCloseTo(0.3304, 3);
  expect(wilsonInterval(0, 20)[0]).toBe(0);
  expect(wilsonInterval(20, 20)[1]).toBeCloseTo(1);
  expect(wilsonInterval(0, 0)).toEqual([0, 1]);
});
