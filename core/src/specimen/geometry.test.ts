import fc from 'fast-check';
import {
  add,
  along,
  areaOf,
  band,
  between,
  boundsOf,
  clipLine,
  clipOutline,
  curve,
  direction,
  distance,
  ellipse,
  lengthOf,
  normals,
  place,
  resample,
  rotate,
  scaleBy,
  type Bounds,
  type Point,
} from './geometry.ts';

// The same cases at every run: what fails can be found again.
fc.configureGlobal({ seed: 20261129 });
const coordinate = fc.double({ min: -100, max: 100, noNaN: true });
const point = fc.tuple(coordinate, coordinate);
const line = fc.array(point, { minLength: 2, maxLength: 12 });
const BOX: Bounds = { left: -30, top: -20, right: 40, bottom: 50 };
const isIn = ([x, y]: Point, { left, top, right, bottom }: Bounds, slack = 1e-6) =>
  x >= left - slack && x <= right + slack && y >= top - slack && y <= bottom + slack;
const SQUARE: Point[] = [
  [0, 0],
  [10, 0],
  [10, 10],
  [0, 10],
];

test('turning and moving leave lengths as they are, and turning back leads back', () => {
  fc.assert(
    fc.property(line, point, fc.double({ min: -7, max: 7, noNaN: true }), (points, to, angle) => {
      expect(lengthOf(place(points, to, angle))).toBeCloseTo(lengthOf(points), 6);
      const [a] = points;
      const [x, y] = rotate(rotate(a!, angle), -angle);
      expect(x).toBeCloseTo(a![0], 6);
      expect(y).toBeCloseTo(a![1], 6);
    }),
  );
});

test('a direction is one long, right is 0 and down a quarter turn on', () => {
  expect(direction(0)).toEqual([1, 0]);
  expect(direction(Math.PI / 2)[1]).toBeCloseTo(1);
  expect(add([1, 2], scaleBy([1, 1], 3))).toEqual([4, 5]);
  expect(between([0, 0], [10, 20], 0.25)).toEqual([2.5, 5]);
});

test('a curve begins and ends where it is said to, and is longer than the way straight', () => {
  fc.assert(
    fc.property(point, point, point, (from, control, to) => {
      const points = curve(from, control, to, 16);
      expect(points).toHaveLength(17);
      expect(distance(points[0]!, from)).toBe(0);
      expect(distance(points.at(-1)!, to)).toBeLessThan(1e-9);
      expect(lengthOf(points)).toBeGreaterThanOrEqual(distance(from, to) - 1e-6);
    }),
  );
});

test('a line resampled keeps its ends, and its points stand at equal steps along it', () => {
  fc.assert(
    fc.property(line, fc.integer({ min: 2, max: 30 }), (points, n) => {
      fc.pre(lengthOf(points) > 1);
      const steps = resample(points, n);
      expect(steps).toHaveLength(n + 1);
      expect(steps[0]).toEqual(points[0]);
      expect(steps.at(-1)).toEqual(points.at(-1));
      // Across a corner the way straight is shorter than the way along.
      const step = lengthOf(points) / n;
      for (let i = 1; i < steps.length; i += 1)
        expect(distance(steps[i - 1]!, steps[i]!)).toBeLessThanOrEqual(step + 1e-6);
    }),
  );
});

test('a share of a line is found by its length, beyond its ends at them', () => {
  const corner: Point[] = [
    [0, 0],
    [10, 0],
    [10, 30],
  ];
  expect(along(corner, 0.25)).toEqual({ point: [10, 0], angle: 0 });
  expect(along(corner, 0.5).point).toEqual([10, 10]);
  expect(along(corner, 0.5).angle).toBeCloseTo(Math.PI / 2);
  expect(along(corner, -1).point).toEqual([0, 0]);
  expect(along(corner, 2).point).toEqual([10, 30]);
  expect(along([[3, 4]], 0.5).point).toEqual([3, 4]);
});

test('normals stand square to a line, on the side that is asked for', () => {
  const level: Point[] = [
    [0, 0],
    [10, 0],
  ];
  expect(normals(level, 1)[0]![1]).toBe(-1);
  expect(normals(level, -1)[0]![1]).toBe(1);
  fc.assert(
    fc.property(point, point, (a, b) => {
      fc.pre(distance(a, b) > 1e-3);
      const [n] = normals([a, b], 1);
      expect(n![0] * (b[0] - a[0]) + n![1] * (b[1] - a[1])).toBeCloseTo(0, 5);
      expect(Math.hypot(...n!)).toBeCloseTo(1, 6);
    }),
  );
});

test('a band around a straight line is as wide as said, all along it', () => {
  const outline = band(
    [
      [0, 0],
      [50, 0],
      [100, 0],
    ],
    (share) => 4 - 2 * share,
  );
  expect(outline).toHaveLength(6);
  expect(boundsOf([outline])).toEqual({ left: 0, top: -4, right: 100, bottom: 4 });
  expect(Math.abs(areaOf(outline))).toBeCloseTo(600);
});

test('bounds hold every point, and nothing has none', () => {
  fc.assert(
    fc.property(fc.array(line, { minLength: 1, maxLength: 4 }), (lines) => {
      const bounds = boundsOf(lines);
      for (const each of lines) for (const p of each) expect(isIn(p, bounds)).toBe(true);
    }),
  );
  expect(boundsOf([]).left).toBe(Infinity);
});

test('the area of an outline is signed by its sense, and that of an ellipse nearly π·a·b', () => {
  expect(areaOf(SQUARE)).toBe(100);
  expect(areaOf([...SQUARE].reverse())).toBe(-100);
  expect(areaOf(ellipse([5, 5], 30, 10, 0.7, 400))).toBeCloseTo(Math.PI * 300, 0);
});

test('what is left of a line in a box lies in it, and what lay in it is left as it was', () => {
  fc.assert(
    fc.property(line, (points) => {
      const parts = clipLine(points, BOX);
      for (const part of parts) for (const p of part) expect(isIn(p, BOX)).toBe(true);
      const total = parts.reduce((sum, part) => sum + lengthOf(part), 0);
      expect(total).toBeLessThanOrEqual(lengthOf(points) + 1e-6);
      if (points.every((p) => isIn(p, BOX, 0))) expect(parts).toEqual([points]);
    }),
  );
});

test('a line that leaves a box and comes back is in two parts, cut at its edge', () => {
  const parts = clipLine(
    [
      [0, 0],
      [60, 0],
      [60, 10],
      [0, 10],
    ],
    BOX,
  );
  expect(parts).toEqual([
    [
      [0, 0],
      [40, 0],
    ],
    [
      [40, 10],
      [0, 10],
    ],
  ]);
  expect(
    clipLine(
      [
        [100, 100],
        [200, 200],
      ],
      BOX,
    ),
  ).toEqual([]);
});

test('an outline cut to a box lies in it and is no larger; one around the box becomes the box', () => {
  fc.assert(
    fc.property(fc.tuple(point, fc.double({ min: 1, max: 60, noNaN: true })), ([at, r]) => {
      const whole = ellipse(at, r, r * 0.6, 0.3, 40);
      const cut = clipOutline(whole, BOX);
      for (const p of cut) expect(isIn(p, BOX)).toBe(true);
      expect(Math.abs(areaOf(cut))).toBeLessThanOrEqual(Math.abs(areaOf(whole)) + 1e-6);
    }),
  );
  const around = clipOutline(ellipse([5, 15], 500, 500, 0, 60), BOX);
  expect(Math.abs(areaOf(around))).toBeCloseTo(70 * 70, 6);
  expect(clipOutline(ellipse([500, 500], 3, 3), BOX)).toEqual([]);
});
