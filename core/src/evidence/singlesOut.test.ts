import fc from 'fast-check';
import { randomFrom } from '../random/index.ts';
import { profiled, viewOf } from '../testing/taxa.ts';
import { BUILT_IN } from '../vocabulary/index.ts';
import {
  cheapestHit,
  contrast,
  contrastOf,
  evidenceTaken,
  idealReaderError,
  lookingCost,
  pairOverYear,
  readingsOf,
  SETTLED_AT,
  singlesOut,
  spokenFor,
} from './index.ts';

const view = viewOf(['twig', 'bud', 'leaf']);
const OPTIONS: Record<string, string[]> = {
  'twig.arrangement': ['alternate', 'opposite'],
  'bud.scales': ['naked', 'one cap', 'usually two, valvate; sometimes naked'],
  'leaf.lobing': ['unlobed', 'pinnately lobed', 'usually unlobed; sometimes pinnately lobed'],
  'bud.length': ['2–4 mm', '3–7 mm', '9–14 mm'],
  'twig.zigzag': ['yes', 'no', 'usually'],
  'leaf.upperFace': ['glossy', 'dull', 'rough'],
  'bud.resin': ['yes', 'no'],
};
const randomList = (seed: number, n: number) => {
  const random = randomFrom(seed);
  return Array.from({ length: n }, (_, i) =>
    profiled(
      'Ficta',
      `n${i}`,
      Object.fromEntries(Object.entries(OPTIONS).map(([id, texts]) => [id, random.pick(texts)])),
    ),
  );
};

/** The cost of the cheapest set with Pe ≤ 2 % against every rival that can be settled, by trying every set. */
function exhaustive(list: ReturnType<typeof randomList>, t: number): number {
  const readings = readingsOf(list, BUILT_IN, view);
  const left = spokenFor(readings);
  const ids = [...readings.channels.keys()];
  const rivals = list.flatMap((_, r) =>
    r === t
      ? []
      : [
          {
            r,
            taking: new Map(
              evidenceTaken(readings, left, t, r).taking.map((e) => [e.characterId, e.channels]),
            ),
          },
        ],
  );
  const settles = (set: string[], { r, taking }: (typeof rivals)[number]) =>
    idealReaderError(
      set.flatMap((id) => taking.get(id) ?? []),
      t,
      r,
    ) <= SETTLED_AT;
  const wanted = rivals.filter((rival) => settles(ids, rival));
  let best = Infinity;
  for (let mask = 0; mask < 1 << ids.length; mask += 1) {
    const set = ids.filter((_, i) => mask & (1 << i));
    const cost = set.reduce((sum, id) => sum + lookingCost(BUILT_IN.get(id)!), 0);
    if (cost < best - 1e-9 && wanted.every((rival) => settles(set, rival))) best = cost;
  }
  return best;
}

test('the minimum agrees with an exhaustive search by the error itself, up to twelve taxa', () => {
  fc.assert(
    fc.property(fc.integer(), fc.integer({ min: 2, max: 12 }), (seed, n) => {
      const list = randomList(seed, n);
      const t = Math.abs(seed) % n;
      const [found] = singlesOut(list, BUILT_IN, view, { taxa: [list[t]!.taxon.id] });
      expect(found!.proved).toBe(true);
      expect(found!.cost).toBeCloseTo(exhaustive(list, t), 6);
    }),
    { numRuns: 25, seed: 20261125 },
  );
});

test('twins are named as not settled, and the rest is singled out all the same', () => {
  const [one] = randomList(4, 1);
  const list = [one!, { ...one!, taxon: { ...one!.taxon, id: 'twin' } }, ...randomList(9, 3).slice(1)];
  const [found] = singlesOut(list, BUILT_IN, view, { taxa: [one!.taxon.id] });
  expect(found!.notSettled).toContain('twin');
});

test('the cheapest hitting set agrees with trying every set', () => {
  const groupArb = fc.uniqueArray(fc.constantFrom('a', 'b', 'c', 'd', 'e', 'f', 'g'), {
    minLength: 1,
    maxLength: 4,
  });
  fc.assert(
    fc.property(
      fc.array(groupArb, { minLength: 1, maxLength: 9 }),
      fc.array(fc.integer({ min: 1, max: 9 }), { minLength: 7, maxLength: 7 }),
      (groups, prices) => {
        const costs = new Map([...'abcdefg'].map((id, i) => [id, prices[i]!]));
        const price = (set: readonly string[]) => set.reduce((sum, id) => sum + costs.get(id)!, 0);
        let best = Infinity;
        for (let mask = 0; mask < 128; mask += 1) {
          const set = [...'abcdefg'].filter((_, i) => mask & (1 << i));
          if (groups.every((group) => group.some((id) => set.includes(id))))
            best = Math.min(best, price(set));
        }
        const found = cheapestHit(groups, costs);
        expect(groups.every((group) => group.some((id) => found.includes(id)))).toBe(true);
        expect(price(found)).toBe(best);
      },
    ),
  );
});

test('a contrast of several settles all its pairs; of two it agrees with that of a pair', () => {
  const list = randomList(12, 6);
  const ids = list.slice(0, 3).map(({ taxon }) => taxon.id);
  const several = contrastOf(list, ids, BUILT_IN, view);
  expect(several.pairs).toHaveLength(3);
  for (const pair of several.pairs) {
    const two = contrast(list, pair.a, pair.b, BUILT_IN, view);
    expect(pair.error).toBeCloseTo(two.error, 9);
    const alone = contrastOf(list, [pair.a, pair.b], BUILT_IN, view);
    expect(alone.verdict).toBe(two.verdict);
    expect(alone.ranked.map(({ characterId }) => characterId)).toEqual(
      two.ranked.map(({ characterId }) => characterId),
    );
  }
  expect(() => contrastOf(list, [ids[0]!], BUILT_IN, view)).toThrow(/two taxa/);
});

test('over the year the leaf settles a pair only while it is there', () => {
  const list = ['glossy', 'rough'].map((face, i) =>
    profiled('Ficta', `n${i}`, {
      'leaf.upperFace': face,
      'leaf.lobing': i ? 'unlobed' : 'pinnately lobed',
      'habit.persistence': 'deciduous',
    }),
  );
  const year = pairOverYear(list, list[0]!.taxon.id, list[1]!.taxon.id, BUILT_IN, view);
  expect(year.map(({ month }) => month)[0]).toBe('Jan');
  expect(year[6]!.verdict).toBe('settled');
  expect(year[0]!.error).toBeCloseTo(0.5);
});
