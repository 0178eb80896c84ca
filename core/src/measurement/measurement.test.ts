import fc from 'fast-check';
import { checkScores } from '../score/index.ts';
import { BUILT_IN } from '../vocabulary/index.ts';
import { angleAt, lengthOf, quantile, scaleOf, sheetAsScore, sheetStatistics } from './index.ts';

const values = fc.array(fc.double({ min: 0.001, max: 0.4, noNaN: true }), { minLength: 1, maxLength: 60 });

test('known statistics: 2, 4, 4, 4, 5, 5, 7, 9', () => {
  // Sum of squares about the mean 5 is 32; over n − 1 = 7.
  const statistics = sheetStatistics([9, 2, 4, 4, 4, 5, 5, 7])!;
  expect(statistics).toMatchObject({ n: 8, mean: 5, min: 2, max: 9, median: 4.5 });
  expect(statistics.deviation).toBeCloseTo(Math.sqrt(32 / 7), 10);
});

test('quantiles of 1…5 by definition 7', () => {
  expect([0, 0.05, 0.25, 0.5, 1].map((p) => quantile([1, 2, 3, 4, 5], p))).toEqual([1, 1.2, 2, 3, 5]);
  expect(() => quantile([], 0.5)).toThrow('at least one');
});

test('an empty sheet says nothing; a value that is none is left out', () => {
  expect(sheetStatistics([])).toBeUndefined();
  expect(sheetStatistics([Number.NaN, 3])!.n).toBe(1);
  expect(sheetAsScore([], BUILT_IN.get('leaf.length')!)).toBeUndefined();
});

test('whatever is measured becomes a score in order, that passes the checks of order', () => {
  fc.assert(
    fc.property(values, (sheet) => {
      const score = sheetAsScore(sheet, BUILT_IN.get('leaf.length')!)!;
      const ends = [score.min, score.low, score.high, score.max].filter((end) => end !== undefined);
      expect([...ends].sort((a, b) => a - b)).toEqual(ends);
      expect(score.n).toBe(sheet.length);
      const problems = checkScores(
        [{ characterId: 'leaf.length', sourceId: 'own', qualifiers: {}, value: score }],
        BUILT_IN,
      );
      expect(problems.filter((problem) => problem.severity === 'error')).toEqual([]);
    }),
  );
});

test('counts stay whole', () => {
  fc.assert(
    fc.property(fc.array(fc.integer({ min: 1, max: 40 }), { minLength: 1, maxLength: 40 }), (sheet) => {
      const score = sheetAsScore(sheet, BUILT_IN.get('leaf.lobes')!)!;
      for (const end of [score.min, score.low, score.high, score.max])
        if (end !== undefined) expect(Number.isInteger(end)).toBe(true);
      expect(score.low!).toBeLessThanOrEqual(score.high!);
    }),
  );
});

test('on a photo: a rule of 5 cm over 250 pixels, a leaf of 3-4-5 proportions, a right angle', () => {
  const scale = scaleOf({ x: 10, y: 10 }, { x: 260, y: 10 }, 0.05)!;
  expect(scale).toBeCloseTo(0.0002, 12);
  expect(
    lengthOf(
      [
        { x: 0, y: 0 },
        { x: 30, y: 40 },
      ],
      scale,
    ),
  ).toBeCloseTo(0.01, 12);
  expect(
    lengthOf(
      [
        { x: 0, y: 0 },
        { x: 30, y: 40 },
        { x: 30, y: 140 },
      ],
      scale,
    ),
  ).toBeCloseTo(0.03, 12);
  expect(angleAt({ x: 0, y: 5 }, { x: 0, y: 0 }, { x: 5, y: 0 })).toBeCloseTo(90, 10);
  expect(angleAt({ x: 1, y: 1 }, { x: 1, y: 1 }, { x: 5, y: 0 })).toBeUndefined();
  expect(scaleOf({ x: 1, y: 1 }, { x: 1, y: 1 }, 0.05)).toBeUndefined();
});

test('turning or moving the photo changes no length and no angle', () => {
  fc.assert(
    fc.property(
      fc.array(fc.record({ x: fc.integer({ min: 0, max: 500 }), y: fc.integer({ min: 0, max: 500 }) }), {
        minLength: 3,
        maxLength: 3,
      }),
      fc.double({ min: 0, max: 6.28, noNaN: true }),
      (points, turn) => {
        const [a, b, c] = points as [(typeof points)[0], (typeof points)[0], (typeof points)[0]];
        const turned = points.map(({ x, y }) => ({
          x: x * Math.cos(turn) - y * Math.sin(turn) + 70,
          y: x * Math.sin(turn) + y * Math.cos(turn) - 20,
        }));
        expect(lengthOf(turned, 1)).toBeCloseTo(lengthOf(points, 1), 6);
        const angle = angleAt(a, b, c);
        // Near 0 and 180° the arc cosine loses digits.
        if (angle !== undefined) expect(angleAt(turned[0]!, turned[1]!, turned[2]!)!).toBeCloseTo(angle, 3);
      },
    ),
  );
});
