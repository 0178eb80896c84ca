import { trendDrawn, type TrendRow } from './trendDrawn.ts';

const size = { width: 400, height: 300 };

it('draws a share the higher the larger it is, from nought at the foot, quizzes from left to right', () => {
  const { lines, levels, quizzes, bottom, left, right } = trendDrawn(
    [
      { title: 'Quiz 1', ash: 40 },
      { title: 'Quiz 2', ash: 20 },
    ],
    ['ash'],
    size,
  );
  const [first, second] = lines[0]!.spots;
  expect(first!.y).toBeLessThan(second!.y);
  expect(levels[0]).toEqual({ share: 0, y: bottom });
  expect(levels.at(-1)!.share).toBe(40);
  expect(quizzes.map(({ title }) => title)).toEqual(['Quiz 1', 'Quiz 2']);
  expect(first!.x).toBeGreaterThan(left);
  expect(second!.x).toBeGreaterThan(first!.x);
  expect(second!.x).toBeLessThan(right);
  expect(lines[0]!.path).toMatch(/^M[\d.]+,[\d.]+L[\d.]+,[\d.]+$/);
});

it('has no point where a quiz did not ask, and goes on to the next', () => {
  const rows: TrendRow[] = [{ title: 'A', elm: 10 }, { title: 'B' }, { title: 'C', elm: 30 }];
  const [elm] = trendDrawn(rows, ['elm'], size).lines;
  expect(elm!.spots).toHaveLength(2);
  expect(elm!.path.match(/L/g)).toHaveLength(1);
});

it('stands where nothing was ever missed, and with a quiz alone', () => {
  const { lines, levels } = trendDrawn([{ title: 'A', elm: 0 }], ['elm'], size);
  expect(levels[0]!.share).toBe(0);
  expect(lines[0]!.spots[0]!.y).toBe(levels[0]!.y);
});
