import type { ConfusedPair } from '@hurrow/core/confusion';
import { drawnOf, saysAt, sideOf, stepped } from './matrix.ts';

const pair = (truth: string, answer: string, count: number, asked = 20): ConfusedPair => ({
  truth,
  answer,
  count,
  asked,
  rate: count / asked,
  reverse: 0,
  students: count,
  quizzes: 1,
  interval: [0, 1],
  repeated: false,
  answers: [],
});
const ORDER = ['fir', 'spruce', 'larch'];

test('arrow keys move by one and stop at the edges; others do not move', () => {
  expect(stepped({ row: 1, column: 1 }, 'ArrowUp', 3)).toEqual({ row: 0, column: 1 });
  expect(stepped({ row: 0, column: 2 }, 'ArrowRight', 3)).toEqual({ row: 0, column: 2 });
  expect(stepped({ row: 2, column: 0 }, 'ArrowDown', 3)).toEqual({ row: 2, column: 0 });
  expect(stepped({ row: 0, column: 0 }, 'Enter', 3)).toBeUndefined();
});

test('many trees get small squares, few get no giants', () => {
  expect([sideOf(4), sideOf(42), sideOf(200)]).toEqual([18, 12, 9]);
});

test('the area of a square follows its share, the largest fills its place, the least can be seen', () => {
  const drawn = drawnOf(
    [pair('fir', 'spruce', 10), pair('spruce', 'fir', 0.1), pair('oak', 'fir', 5)],
    ORDER,
    17,
  );
  expect(drawn.map(({ row, column, width }) => [row, column, width])).toEqual([
    [0, 1, 16],
    [1, 0, 3],
  ]);
  const [whole, quarter] = drawnOf([pair('fir', 'spruce', 8), pair('fir', 'larch', 2)], ORDER, 17);
  expect(quarter!.width).toBeCloseTo(whole!.width / 2);
});

test('a square says what it holds, an empty one that, the diagonal where to go', () => {
  const says = (row: number, column: number) =>
    saysAt({ row, column }, ORDER, [pair('fir', 'spruce', 5)], (id) => `the ${id}`);
  expect(says(0, 1)).toBe('the fir called the spruce: 5 of 20 answers, 25 %.');
  expect(says(1, 0)).toBe('the spruce was never called the fir.');
  expect(says(2, 2)).toBe('the larch: choose a square beside the diagonal.');
});
