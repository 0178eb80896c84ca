import fc from 'fast-check';
import { randomFrom } from '../random/index.ts';
import {
  attendedOf,
  beforehand,
  chancesApart,
  doubtsOf,
  matchOf,
  sureOf,
  tellingsOf,
  worthOfLooking,
  type Look,
  type Scene,
} from './index.ts';

test('a name fits a reading by how much likelier another makes it, within bounds; a gap takes the mean, what does not apply nothing', () => {
  const match = matchOf([Float64Array.of(0.9, 0.1), Float64Array.of(0.1, 0.9), 'gap', undefined], 2);
  expect([...match].map((x) => Number(x.toFixed(2)))).toEqual([1, 0.27, 0.63, 0, 0.27, 1, 0.63, 0]);
  expect(matchOf([Float64Array.of(1, 0), Float64Array.of(0, 1)], 2)[1]).toBe(0);
});

/** Reports of a class whose characters have weights; up to three of ten offered are ticked. */
function reportsOf(weights: readonly number[], count: number, seed: number) {
  const random = randomFrom(seed);
  return Array.from({ length: count }, () => {
    const left = [...weights.keys()];
    const offered = Array.from(
      { length: 10 },
      () => left.splice(Math.floor(random.uniform() * left.length), 1)[0]!,
    );
    const open = [...offered];
    const told = Array.from(
      { length: Math.floor(4 * random.uniform()) },
      () => open.splice(random.weighted(open.map((c) => weights[c]!)), 1)[0]!,
    );
    return { offered, told };
  });
}

test('a character is held against what else was told on the same lists', () => {
  const weights = Array.from({ length: 20 }, (_, c) => (c === 3 ? 0.1 : 1));
  const tellings = tellingsOf(20, reportsOf(weights, 600, 1));
  const rate = (c: number) => tellings[c]!.told / tellings[c]!.expected;
  expect(rate(3)).toBeLessThan(0.3);
  for (const c of [0, 5, 9, 19]) expect(rate(c)).toBeCloseTo(1, 0);
  expect(tellingsOf(3, [{ offered: [0, 1, 2], told: [] }])[0]).toEqual({ offered: 0, told: 0, expected: 0 });
});

test('a character that is hardly told is found among unevenly told ones; of those never asked nothing is said', () => {
  const random = randomFrom(4);
  const weights = Array.from({ length: 40 }, (_, c) => (c < 3 ? 0.1 : 1) * Math.exp(0.25 * random.normal()));
  const told = tellingsOf(40, reportsOf(weights, 1600, 2));
  const found = attendedOf([...told.map((telling) => ({ told: telling })), {}], -1.2);
  const order = [...found.keys()].sort((x, y) => found[x]!.use - found[y]!.use);
  expect(order.slice(0, 3).sort((x, y) => x - y)).toEqual([0, 1, 2]);
  expect(found.slice(3, 40).filter(({ overlooked }) => overlooked > 0.9)).toEqual([]);
  expect(found[40]!.overlooked).toBeCloseTo(0.08, 1);
  for (const { use, interval } of found) {
    expect(use).toBeGreaterThanOrEqual(interval[0]);
    expect(use).toBeLessThanOrEqual(interval[1]);
  }
});

test('names move what reports leave open, and are doubted where they contradict them', () => {
  const told = tellingsOf(30, reportsOf(Array<number>(30).fill(1), 900, 3));
  const with_ = (use: number) =>
    attendedOf(
      told.map((telling, c) => ({ told: telling, names: { use: c === 0 ? use : 1, sd: 0.15 } })),
      -1.2,
    )[0]!;
  expect(with_(0).use).toBeLessThan(with_(1).use);
  expect(with_(0).overlooked).toBeLessThan(0.9);
});

test('far above the others is apart, far below is not; equal ones are not', () => {
  const estimates = (last: number) =>
    [...Array(20).keys()].map((i) => ({ value: i === 19 ? last : 0.2 * Math.sin(i), sd: 0.2 }));
  expect(chancesApart(estimates(2.4), 0.3)[19]).toBeGreaterThan(0.9);
  expect(chancesApart(estimates(-2.4), 0.3)[19]).toBe(0);
  expect(Math.max(...chancesApart(estimates(0), 0.3))).toBeLessThan(0.1);
  expect(chancesApart([], 0.3)).toEqual([]);
});

test('of what is said as sure no more than a tenth is expected to be false, each is likely in nine of ten, and none is passed over for one less likely', () => {
  fc.assert(
    fc.property(fc.array(fc.double({ min: 0, max: 1, noNaN: true }), { maxLength: 30 }), (chances) => {
      const sure = sureOf(chances);
      const said = chances.filter((_, i) => sure[i]);
      expect(said.reduce((sum, chance) => sum + 1 - chance, 0)).toBeLessThanOrEqual(0.1 * said.length + 1e-9);
      const least = Math.min(1, ...said);
      expect(least).toBeGreaterThanOrEqual(0.9);
      chances.forEach((chance, i) => expect(sure[i] || chance <= least).toBe(true));
    }),
  );
});

/** A tree against one other that two characters could tell, one of them read well and one not at all. */
function sceneOf(): Scene {
  const look = (character: number, right: number): Look => ({
    character,
    carried: 1,
    channels: [
      {
        chances: Float64Array.of(right, 1 - right),
        match: matchOf([Float64Array.of(0.9, 0.1), Float64Array.of(0.1, 0.9)], 2),
      },
    ],
  });
  return { options: 2, truth: 0, looks: [look(0, 0.9), look(1, 0.5)], answers: 100, right: 70 };
}

test('looking is worth what the character tells: much where it is read well, and it harms where it is read by chance', () => {
  const { worth, ordinary } = worthOfLooking([sceneOf()], [1, 1, 1]);
  expect(ordinary).toBeGreaterThan(0.02);
  expect(ordinary).toBeLessThan(0.95);
  expect(worth[0]).toBeGreaterThan(15);
  expect(worth[1]).toBeLessThan(2);
  expect(worth[2]).toBe(0);
});

test('what earlier classes passed over is likelier passed over again, and what they did not is less likely', () => {
  const told = { offered: 40, told: 1, expected: 6 };
  const chance = (before?: number) =>
    attendedOf(
      [
        ...Array.from({ length: 20 }, () => ({ told: { offered: 40, told: 6, expected: 6 } })),
        { told, ...(before === undefined ? {} : { before }) },
      ],
      -1.2,
    )[20]!.overlooked;
  expect(chance(beforehand(0.95))).toBeGreaterThan(chance());
  expect(chance(beforehand(0.01))).toBeLessThan(chance());
});

test('what was told often is settled, what never was though it was offered often is as well; in between lies the doubt', () => {
  const weights = Array.from({ length: 20 }, (_, c) => (c === 3 ? 0.02 : 1));
  const ids = weights.map((_, c) => `twig.c${c}`);
  const doubtsAfter = (count: number) =>
    doubtsOf(
      reportsOf(weights, count, 4).map(({ offered, told }) => ({
        offered: offered.map((c) => ids[c]!),
        told: ['a guess', ...told.map((c) => ids[c]!)],
      })),
    );
  const [few, many] = [doubtsAfter(60), doubtsAfter(2000)];
  expect(few['twig.c3']).toBeGreaterThan(0.5);
  expect(many['twig.c3']).toBeLessThan(0.1);
  expect(many['twig.c5']).toBeLessThan(0.2);
  expect(doubtsOf([])).toEqual({});
});
