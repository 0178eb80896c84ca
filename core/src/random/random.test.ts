import { randomFrom, seedOf } from './index.ts';

const draw = <T>(n: number, seed: number, one: (random: ReturnType<typeof randomFrom>) => T): T[] => {
  const random = randomFrom(seed);
  return Array.from({ length: n }, () => one(random));
};

test('the seed alone decides', () => {
  expect(draw(20, 5, (r) => r.uniform())).toEqual(draw(20, 5, (r) => r.uniform()));
  expect(draw(20, 5, (r) => r.uniform())).not.toEqual(draw(20, 6, (r) => r.uniform()));
});

test('uniform numbers fill their range evenly', () => {
  const values = draw(20_000, 1, (r) => r.between(2, 4));
  expect(Math.min(...values)).toBeGreaterThanOrEqual(2);
  expect(Math.max(...values)).toBeLessThan(4);
  expect(values.reduce((sum, x) => sum + x, 0) / values.length).toBeCloseTo(3, 1);
});

test('normal numbers have mean 0 and variance 1', () => {
  const values = draw(20_000, 2, (r) => r.normal());
  const mean = values.reduce((sum, x) => sum + x, 0) / values.length;
  const variance = values.reduce((sum, x) => sum + (x - mean) ** 2, 0) / values.length;
  expect(Math.abs(mean)).toBeLessThan(0.03);
  expect(Math.abs(variance - 1)).toBeLessThan(0.05);
});

test('weights are kept to, and a weight of zero is never drawn', () => {
  const counts = [0, 0, 0];
  for (const i of draw(20_000, 3, (r) => r.weighted([8, 0, 2]))) counts[i]! += 1;
  expect(counts[1]).toBe(0);
  expect(counts[0]! / 20_000).toBeCloseTo(0.8, 1);
});

test('seeds of different texts differ, of equal ones do not', () => {
  const seeds = new Set(Array.from({ length: 500 }, (_, i) => seedOf('taxon', i)));
  expect(seeds.size).toBe(500);
  expect(seedOf('a', 1)).toBe(seedOf('a', 1));
  expect(seedOf('a', 11)).not.toBe(seedOf('a1', 1));
});
