import fc from 'fast-check';
import { readingsOf } from '../evidence/index.ts';
import { randomFrom } from '../random/index.ts';
import { profiled, viewOf } from '../testing/taxa.ts';
import { BUILT_IN } from '../vocabulary/index.ts';
import { Reader, repaired, repairOf, stationFairness } from './index.ts';

const view = { ...viewOf(['twig', 'bud'], 20), aids: ['eye' as const] };
const taxon = (id: string, arrangement: string) => {
  const made = profiled('Ficta', id, { 'twig.arrangement': arrangement });
  return { ...made, taxon: { ...made.taxon, id } };
};
const list = [taxon('a', 'alternate'), taxon('b', 'opposite'), taxon('c', 'opposite')];

test('alone with its state it is named but for misreadings; of two alike each gets half', () => {
  // The careful reader misreads a plain character in 0.5 %.
  expect(stationFairness(list, 'a', BUILT_IN, view).right).toBeCloseTo(0.995, 2);
  const two = stationFairness(list, 'b', BUILT_IN, view);
  expect(two.right).toBeCloseTo(0.995 / 2, 2);
  expect(two.judgement).toBe('unfair');
  expect(two.rivals[0]!.taxonId).toBe('c');
});

test('on small lists it is what all readings that there can be come to, within three standard errors', () => {
  const CHOICES = {
    'twig.arrangement': ['alternate', 'opposite', 'whorled', 'alternate, sometimes opposite'],
    'bud.scales': ['naked', 'one cap', 'two valvate', 'naked, sometimes one cap'],
    'twig.pith': ['continuous', 'chambered', 'hollow'],
    'twig.zigzag': ['always', 'sometimes', 'never'],
  };
  const ids = Object.keys(CHOICES) as (keyof typeof CHOICES)[];
  fc.assert(
    fc.property(
      fc.array(fc.tuple(...ids.map((id) => fc.constantFrom(...CHOICES[id]))), { minLength: 2, maxLength: 6 }),
      fc.nat(5),
      (made, which) => {
        const few = made.map((states, i) => {
          const one = profiled('Ficta', 'x', Object.fromEntries(ids.map((id, c) => [id, states[c]!])));
          return { ...one, taxon: { ...one.taxon, id: `t${i}` } };
        });
        const t = which % few.length;
        const rows = [...readingsOf(few, BUILT_IN, view).channels.values()]
          .flat()
          .map((channel) => channel.rows);
        // Of each way in which everything can be read at once: how likely it is of each tree.
        const all = rows.reduce<number[][]>(
          (before, channel) =>
            before.flatMap((sofar) =>
              [...channel[t]!.keys()].map((x) => sofar.map((p, k) => p * channel[k]![x]!)),
            ),
          [few.map(() => 1)],
        );
        const exact = all.reduce((sum, of) => {
          const most = Math.max(...of);
          const best = of.filter((p) => p > most * (1 - 1e-7));
          return of[t]! > most * (1 - 1e-7) ? sum + of[t]! / best.length : sum;
        }, 0);
        const { right } = stationFairness(few, `t${t}`, BUILT_IN, view, { draws: 4000 });
        const error = Math.sqrt((exact * (1 - exact)) / 4000);
        expect(Math.abs(right - exact)).toBeLessThan(3 * error + 1e-6);
      },
    ),
    { numRuns: 60, seed: 20 },
  );
});

test('the same seed gives the same figure; a taxon that is not taught is refused', () => {
  const once = () => stationFairness(list, 'b', BUILT_IN, view, { draws: 200, seed: 5 });
  expect(once()).toEqual(once());
  expect(() => stationFairness(list, 'x', BUILT_IN, view)).toThrow('taught list');
});

test('an individual is read state by state', () => {
  const reader = new Reader(list, BUILT_IN, view);
  const random = randomFrom(3);
  const traits = {
    seed: 1,
    values: { 'twig.arrangement': 'alternate' },
    leafy: false,
    buds: true,
    autumn: false,
    flowers: false,
    fruit: false,
  };
  let right = 0;
  for (let i = 0; i < 500; i += 1) right += reader.judge(0, reader.readIndividual(traits, random)).right;
  expect(right / 500).toBeGreaterThan(0.98);
  expect(reader.judge(1, reader.readIndividual(traits, random)).right).toBe(0);
});

test('a cone on the table is told from trees that bear none that day by what is scored of theirs', () => {
  const fruiting = (id: string, type: string, from: string) => {
    const made = profiled('Ficta', id, { 'fruit.type': type });
    const fruit = from === 'autumn' ? [{ from: 260, to: 320 }] : [{ from: 160, to: 200 }];
    return { ...made, taxon: { ...made.taxon, id, calendar: { fruitRipe: fruit } } };
  };
  const orchard = [
    fruiting('a', 'seedCone', 'autumn'),
    fruiting('b', 'drupe', 'summer'),
    fruiting('c', 'seedCone', 'summer'),
  ];
  const inOctober = { ...viewOf(['fruit'], 288), aids: ['eye' as const] };
  const { right, rivals } = stationFairness(orchard, 'a', BUILT_IN, inOctober);
  // Two bear cones: which of them it is, nothing tells.
  expect(right).toBeCloseTo(0.5, 1);
  expect(rivals.filter(({ share }) => share > 0.5).map(({ taxonId }) => taxonId)).toEqual(['c']);
});

test('the cheapest thing that makes a station fair is found, of what is there on the day', () => {
  const both = (id: string, shape: string, scales: string) => {
    const made = profiled('Ficta', id, {
      'foliage.kind': 'broad',
      'habit.persistence': 'deciduous',
      'leaf.shape': shape,
      'bud.scales': scales,
      'fruit.type': id === 'a' ? 'drupe' : 'capsule',
    });
    return {
      ...made,
      taxon: {
        ...made.taxon,
        id,
        calendar: { leaves: [{ from: 130, to: 290 }], fruitRipe: [{ from: 250, to: 260 }] },
      },
    };
  };
  const willows = [both('a', 'ovate', 'one'), both('b', 'ovate', 'two')];
  const leafAlone = { ...viewOf(['leaf'], 200), aids: ['eye' as const] };
  expect(stationFairness(willows, 'a', BUILT_IN, leafAlone).judgement).toBe('unfair');
  const repair = repairOf(willows, 'a', BUILT_IN, leafAlone)!;
  expect(repair).toMatchObject({ adds: 'organs', organs: ['twig', 'bud'] });
  expect(stationFairness(willows, 'a', BUILT_IN, repaired(leafAlone, repair)).judgement).toBe('fair');
  expect(repairOf(willows, 'a', BUILT_IN, repaired(leafAlone, repair))).toBeUndefined();
  // Fruit would tell them, and buds: neither can be had.
  const alike = willows.map(({ taxon, scores }) => ({
    taxon,
    scores: scores.filter(({ characterId }) => characterId !== 'bud.scales'),
  }));
  expect(repairOf(alike, 'a', BUILT_IN, leafAlone)).toBeUndefined();
  expect(repairOf(alike, 'a', BUILT_IN, { ...leafAlone, day: 255 })).toMatchObject({ organs: ['fruit'] });
});
