import fc from 'fast-check';
import { randomFrom } from '../random/index.ts';
import {
  costOf,
  fromPlane,
  metresBetween,
  nearestFirst,
  onPlane,
  orderWalk,
  Paths,
  turned,
  type FeatureFacts,
  type GroundFeatures,
  type WalkCosts,
} from './index.ts';

const origin = { latitude: 47.6, longitude: -116.4 };
const at = (x: number, y: number) => fromPlane({ x, y }, origin);
const lines = (
  ...given: [points: [number, number, number?][], facts?: Partial<FeatureFacts>][]
): GroundFeatures => ({
  type: 'FeatureCollection',
  features: given.map(([points, facts]) => ({
    type: 'Feature',
    properties: { kind: 'path', name: '', ...facts },
    geometry: {
      type: 'LineString',
      coordinates: points.map(([x, y, z]) => {
        const { latitude, longitude } = at(x, y);
        return [longitude, latitude, ...(z === undefined ? [] : [z])];
      }),
    },
  })),
});

test('a minute of latitude is a sea mile; the plane leads back', () => {
  expect(metresBetween({ latitude: 47, longitude: 0 }, { latitude: 47 + 1 / 60, longitude: 0 })).toBeCloseTo(
    1853,
    -1,
  );
  const { x, y } = onPlane(at(120, -45), origin);
  expect([x, y].map((each) => Number(each.toFixed(6)))).toEqual([120, -45]);
  expect(metresBetween(at(0, 0), at(300, 400))).toBeCloseTo(500, 0);
});

describe('ways along paths, by a graph worked out by hand', () => {
  // A square of 100 m whose north side is missing, and a path that crosses it without a point in common.
  //   (0,100)        (100,100)
  //      |              |
  //   (0,50)----x----(150,50)     crosses the east side at (100,50)
  //      |              |
  //   (0,0)----------(100,0)
  const square = lines(
    [
      [
        [0, 100],
        [0, 0],
        [100, 0],
        [100, 100],
      ],
    ],
    [
      [
        [0, 50],
        [150, 50],
      ],
    ],
  );
  const paths = new Paths(square);
  const way = (from: [number, number], to: [number, number]) => paths.route(at(...from), at(...to));

  test.each([
    ['along one side', [0, 100], [0, 0], 100],
    ['round a corner', [0, 0], [100, 30], 130],
    ['by the crossing', [0, 100], [100, 100], 200],
    ['out on the spur', [150, 50], [100, 0], 100],
    ['from 10 m beside the path', [-10, 20], [100, 0], 130],
  ] as const)('%s', (_, from, to, metres) => {
    expect(way([...from], [...to]).metres).toBeCloseTo(metres, 1);
  });

  test('two places on one stretch, and the way there is the way back', () => {
    expect(way([20, 0], [60, 0]).metres).toBeCloseTo(40, 2);
    expect(way([150, 50], [0, 100]).metres).toBeCloseTo(way([0, 100], [150, 50]).metres, 6);
  });

  test('what lies off the path is said; neighbours off the path are walked between', () => {
    expect(way([50, -12], [0, 0])).toMatchObject({ straight: false });
    expect(way([50, -12], [0, 0]).off).toBeCloseTo(12, 1);
    expect(way([50, -40], [52, -40])).toMatchObject({ straight: true });
  });

  test('an end that stops a metre short is joined; one that stops at ten is not', () => {
    const spur = (gap: number) =>
      new Paths(
        lines(
          [
            [
              [0, 0],
              [100, 0],
            ],
          ],
          [
            [
              [50, gap],
              [50, 80],
            ],
          ],
        ),
      ).route(at(0, 0), at(50, 80));
    expect(spur(1).metres).toBeCloseTo(130, 0);
    expect(spur(10)).toMatchObject({ straight: true });
  });

  test('steps are gone round where they must be, and climbs are counted', () => {
    const hill = lines(
      [
        [
          [0, 0, 800],
          [100, 0, 810],
        ],
        { steps: true },
      ],
      [
        [
          [0, 0, 800],
          [0, 50, 820],
          [100, 50, 815],
          [100, 0, 810],
        ],
      ],
    );
    const short = new Paths(hill).route(at(0, 0), at(100, 0));
    expect(short).toMatchObject({ steps: true });
    expect(short.metres).toBeCloseTo(100, 1);
    const round = new Paths(hill, { stepFree: true }).route(at(0, 0), at(100, 0));
    expect(round).toMatchObject({ steps: false });
    expect([round.metres, round.up, round.down].map(Math.round)).toEqual([200, 20, 10]);
  });

  test('without paths it is straight, with a fifth more for what stands in the way', () => {
    expect(new Paths(lines()).route(at(0, 0), at(100, 0))).toMatchObject({ straight: true });
    expect(new Paths(lines()).route(at(0, 0), at(100, 0)).metres).toBeCloseTo(120, 1);
  });
});

const randomCosts = (n: number, seed: number): WalkCosts => {
  const random = randomFrom(seed);
  const places = Array.from({ length: n + 2 }, () => ({
    x: random.between(0, 1000),
    y: random.between(0, 600),
  }));
  const cost = (i: number, j: number) => Math.hypot(places[i]!.x - places[j]!.x, places[i]!.y - places[j]!.y);
  const stops = Array.from({ length: n }, (_, i) => i);
  return {
    between: stops.map((i) => stops.map((j) => cost(i, j))),
    fromStart: stops.map((i) => cost(n, i)),
    toEnd: stops.map((i) => cost(i, n + 1)),
  };
};

const allOrders = (stops: number[]): number[][] =>
  stops.length < 2
    ? [stops]
    : stops.flatMap((stop) =>
        allOrders(stops.filter((each) => each !== stop)).map((rest) => [stop, ...rest]),
      );

test('up to twelve stops no order is cheaper', () => {
  for (let seed = 0; seed < 30; seed += 1) {
    const costs = randomCosts(1 + (seed % 7), seed);
    const best = Math.min(...allOrders([...costs.fromStart.keys()]).map((order) => costOf(costs, order)));
    expect(orderWalk(costs)).toMatchObject({ proved: true });
    expect(orderWalk(costs).cost).toBeCloseTo(best, 9);
  }
});

test('a long walk is never worse than by nearest neighbours turned, and visits each stop once', () => {
  for (let seed = 0; seed < 6; seed += 1) {
    const costs = randomCosts(60, seed);
    const { order, cost } = orderWalk(costs);
    expect([...order].sort((a, b) => a - b)).toEqual([...costs.fromStart.keys()]);
    expect(cost).toBeCloseTo(costOf(costs, order), 6);
    expect(cost).toBeLessThanOrEqual(costOf(costs, turned(costs, nearestFirst(costs))) + 1e-6);
  }
});

test('a walk of thirteen, which is no longer gone through, is within two in a hundred of the best', () => {
  // The best of thirteen by the exact way on twelve, with the thirteenth put at each place.
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 500 }), (seed) => {
      const costs = randomCosts(13, seed);
      const first = Array.from({ length: 13 }, (_, f) => {
        const rest = [...costs.fromStart.keys()].filter((stop) => stop !== f);
        const after = {
          between: rest.map((i) => rest.map((j) => costs.between[i]![j]!)),
          fromStart: rest.map((i) => costs.between[f]![i]!),
          toEnd: rest.map((i) => costs.toEnd[i]!),
        };
        return costs.fromStart[f]! + orderWalk(after).cost;
      });
      expect(orderWalk(costs).cost).toBeLessThanOrEqual(1.02 * Math.min(...first));
    }),
    { numRuns: 4 },
  );
});

test('nothing to visit, and one stop', () => {
  expect(orderWalk({ between: [], fromStart: [], toEnd: [] })).toEqual({ order: [], cost: 0, proved: true });
  expect(orderWalk({ between: [[0]], fromStart: [3], toEnd: [4] })).toEqual({
    order: [0],
    cost: 7,
    proved: true,
  });
});
