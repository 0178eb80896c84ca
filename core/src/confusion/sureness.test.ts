import { surenessOf, type SureAnswer } from './index.ts';

const answer = (
  studentId: string,
  named: string | null,
  sure: SureAnswer['sure'],
  truth = 'a',
): SureAnswer => ({
  studentId,
  truth,
  named,
  sure,
});

test('each level is as right as its answers; what nobody said is left out', () => {
  const { said, answers, levels } = surenessOf([
    answer('1', 'a', 'sure'),
    answer('2', 'a', 'sure'),
    answer('3', 'b', 'sure'),
    answer('4', null, 'guess'),
    answer('5', 'a', null),
  ]);
  expect([said, answers]).toEqual([4, 5]);
  expect(levels.map(({ sure, right, answers: of }) => [sure, right, of])).toEqual([
    ['sure', 2, 3],
    ['guess', 0, 1],
  ]);
  expect(levels[0]!.share).toBeCloseTo(2 / 3);
  expect(levels[0]!.interval[0]).toBeLessThan(2 / 3);
});

test('a wrong idea is what several students are sure of; one who says it twice is one', () => {
  const { mistakes } = surenessOf([
    answer('1', 'b', 'sure'),
    answer('2', 'b', 'sure'),
    answer('3', 'b', 'guess'),
    answer('1', 'c', 'sure'),
    answer('1', 'c', 'sure'),
    answer('4', null, 'sure'),
  ]);
  expect(mistakes).toEqual([{ truth: 'a', answer: 'b', sure: 2, gave: 3 }]);
});
