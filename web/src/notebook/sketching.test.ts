import { drawnOn, pointAt } from './sketching.ts';

test('a pointer is a place on the sheet, whatever its size; beyond its edge it stays on it', () => {
  const box = { left: 10, top: 20, width: 400, height: 300 };
  expect(pointAt(210, 170, box)).toEqual([500, 500]);
  expect(pointAt(0, 900, box)).toEqual([0, 1000]);
});

test('a line takes points that are apart, and no more than a server takes', () => {
  expect(drawnOn([[0, 0]], [3, 3])).toHaveLength(1);
  expect(drawnOn([[0, 0]], [30, 3])).toHaveLength(2);
  const long = Array.from({ length: 200 }, (_, i): [number, number] => [i % 1000, 0]);
  expect(drawnOn(long, [900, 900])).toBe(long);
});
