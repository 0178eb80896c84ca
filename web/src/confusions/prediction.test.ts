import { lineWithin, pointsOf } from './prediction.ts';

test('a line keeps its slope where it leaves the square', () => {
  expect(lineWithin({ intercept: 0, slope: 1 })).toEqual([
    { x: 0, y: 0 },
    { x: 1, y: 1 },
  ]);
  expect(lineWithin({ intercept: -0.5, slope: 2 })).toEqual([
    { x: 0.25, y: 0 },
    { x: 0.75, y: 1 },
  ]);
  expect(lineWithin({ intercept: 0.9, slope: -1 })).toEqual([
    { x: 0, y: 0.9 },
    { x: 0.9, y: 0 },
  ]);
  expect(lineWithin({ intercept: 0.4, slope: 0 })).toEqual([
    { x: 0, y: 0.4 },
    { x: 1, y: 0.4 },
  ]);
});
test('a station that no other quiz predicts is shown once', () => {
  const station = { predicted: 0.8, observed: 0.7 };
  const stations = [
    { ...station, stationId: 'a', leftOut: 0.6 },
    { ...station, stationId: 'b' },
  ];
  const { all, leftOut } = pointsOf({ stations } as never);
  expect(all).toHaveLength(2);
  expect(leftOut).toEqual([{ stationId: 'a', expected: 0.6, observed: 0.7 }]);
});
