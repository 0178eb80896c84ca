import fc from 'fast-check';
import { highs } from '../program/index.ts';
import { profiled } from '../testing/taxa.ts';
import { BUILT_IN } from '../vocabulary/index.ts';
import {
  askedKindOf,
  candidatesOf,
  expectedResult,
  expectedRight,
  NOTHING_SO_FAR,
  orderOf,
  pairsTooNear,
  proposeForms,
  proposeQuiz,
  STATION_KINDS,
  usualWishes,
  viewOfKind,
  type Candidate,
  type ClassSoFar,
  type QuizWishes,
} from './index.ts';

const solve = await highs();
/** Seconds. */
const LONG = 60;
const KINDS = STATION_KINDS.slice(0, 5);

/** Thirty trees in six sets, each in five kinds of station. */
const trees = Array.from({ length: 30 }, (_, i) => `ficta-${i}`);
const sets = Array.from({ length: 6 }, (_, i) => ({
  id: `set${i}`,
  title: `Set ${i + 1}`,
  taxa: trees.slice(5 * i, 5 * i + 5),
}));
const named: Candidate[] = trees.flatMap((taxonId, i) =>
  KINDS.map((kind, k) => ({
    id: `${taxonId} ${kind.id}`,
    taxonId,
    kind: kind.id,
    view: viewOfKind(kind, 200),
    right: 0.7 + 0.3 * (((i * 7 + k * 3) % 11) / 10),
    beginner: 0.5 + 0.4 * (((i * 5 + k) % 9) / 8),
    rivals: [],
    taken: [],
    tells: [`c${(i + k) % 12}`],
  })),
);
/** Every other tree can be asked for by its genus as well. */
const table: Candidate[] = [
  ...named,
  ...named
    .filter((_, i) => i % 10 < 5)
    .map((each) => ({
      ...each,
      id: `${each.id} genus`,
      question: { kind: 'genus' as const },
      right: 0.95,
      tells: [],
    })),
];
const so: ClassSoFar = {
  sets,
  answered: Object.fromEntries(trees.slice(0, 10).map((id, i) => [id, { answers: 20, right: 8 + i }])),
  mixedUp: [{ a: 'ficta-0', b: 'ficta-1' }],
  doubtful: {},
};
const of = (ids: readonly string[]) => ids.map((id) => table.find((each) => each.id === id)!);
const meanOf = (ids: readonly string[]) =>
  of(ids).reduce((sum, each) => sum + expectedRight(each, so), 0) / ids.length;

/** What of the wishes a quiz does not meet, as the proposal itself would name it. */
function broken(stations: readonly string[], wishes: QuizWishes): string[] {
  const chosen = of(stations);
  const off = (wish: string, n: number, { least, most }: { least: number; most: number }) =>
    n < least ? [`${wish} least ${least - n}`] : n > most ? [`${wish} most ${n - most}`] : [];
  const setOf = (id: string) => sets.find(({ taxa }) => taxa.includes(id))!.id;
  const mean = meanOf(stations);
  return [
    ...off('stations', chosen.length, { least: wishes.stations, most: wishes.stations }),
    ...Object.entries(wishes.kinds).flatMap(([id, count]) =>
      off(`kind ${id}`, chosen.filter(({ kind }) => kind === id).length, count),
    ),
    ...Object.entries(wishes.sets).flatMap(([id, count]) =>
      off(`set ${id}`, chosen.filter(({ taxonId }) => setOf(taxonId) === id).length, count),
    ),
    ...Object.entries(wishes.asked ?? {}).flatMap(([kind, count]) =>
      off(`asked ${kind}`, chosen.filter((each) => askedKindOf(each) === kind).length, count),
    ),
    ...off('again', chosen.filter(({ taxonId }) => so.answered[taxonId]).length, wishes.again),
    ...(mean < wishes.expected[0] - 1e-6 || mean > wishes.expected[1] + 1e-6 ? ['expected'] : []),
  ];
}

test('every wish holds in a quiz, or is named as given up; what is never given up holds always', () => {
  const count = fc
    .tuple(fc.integer({ min: 0, max: 4 }), fc.integer({ min: 0, max: 8 }))
    .map(([least, more]) => ({ least, most: least + more }));
  fc.assert(
    fc.property(
      fc.record({
        stations: fc.integer({ min: 1, max: 20 }),
        kinds: fc.array(count, { minLength: 1, maxLength: 5 }),
        sets: fc.array(count, { minLength: 1, maxLength: 6 }),
        again: count,
        genus: fc.option(count),
        fair: fc.constantFrom(0.75, 0.85, 0.9),
        low: fc.constantFrom(0, 0.3, 0.5),
        high: fc.constantFrom(0.6, 0.8, 1),
        perTree: fc.integer({ min: 1, max: 2 }),
        toLearn: fc.constantFrom(0, 0.3, 1),
        pin: fc.nat(table.length - 1),
        ban: fc.nat(trees.length - 1),
      }),
      ({ kinds, sets: counts, low, high, pin, ban, genus, ...rest }) => {
        const wishes: QuizWishes = {
          ...rest,
          kinds: Object.fromEntries(kinds.map((each, i) => [KINDS[i]!.id, each])),
          sets: Object.fromEntries(counts.map((each, i) => [sets[i]!.id, each])),
          ...(genus ? { asked: { name: { least: 0, most: rest.stations }, genus } } : {}),
          mixedUp: 0,
          expected: [low, high],
          pins: [table[pin]!.id],
          bans: [trees[ban]!],
        };
        const found = proposeQuiz(table, wishes, so, solve, LONG);
        if (!found) {
          expect(found).toBeUndefined();
          return;
        }
        const named = found.relaxed.map(({ wish, of: which, side, by }) =>
          wish === 'expected' ? wish : `${wish}${which ? ` ${which}` : ''} ${side} ${by}`,
        );
        expect(broken(found.stations, wishes).sort()).toEqual(named.sort());
        const chosen = of(found.stations);
        for (const each of chosen.filter(({ id }) => id !== wishes.pins[0])) {
          expect(each.right).toBeGreaterThanOrEqual(wishes.fair);
          expect(each.taxonId).not.toBe(wishes.bans[0]);
        }
        expect(found.stations).toContain(wishes.pins[0]);
        for (const id of trees)
          expect(chosen.filter(({ taxonId }) => taxonId === id).length).toBeLessThanOrEqual(wishes.perTree);
        expect(found.worth).toBeLessThanOrEqual(found.bound + 1e-4);
      },
    ),
    { numRuns: 200 },
  );
});

test('what cannot be had is told by the least that would have to give', () => {
  const wishes = { ...usualWishes(12, sets.slice(0, 2)), kinds: { cutting: { least: 0, most: 6 } } };
  const found = proposeQuiz(table, { ...wishes, fair: 0.75 }, so, solve, LONG)!;
  const [first] = found.relaxed;
  expect(first!.by).toBeGreaterThan(0);
  expect([
    { wish: 'stations', side: 'least' },
    { wish: 'kind', of: 'cutting', side: 'most' },
  ]).toContainEqual({ wish: first!.wish, ...(first!.of ? { of: first!.of } : {}), side: first!.side });
});

test('a quiz that is to teach us about the class asks by more of what is in doubt', () => {
  const wishes = {
    ...usualWishes(8, sets),
    kinds: Object.fromEntries(KINDS.map(({ id }) => [id, { least: 0, most: 8 }])),
    fair: 0.75,
  };
  const doubtful = Object.fromEntries(Array.from({ length: 12 }, (_, i) => [`c${i}`, i < 3 ? 1 : 0.02]));
  const told = (toLearn: number) => {
    const { stations } = proposeQuiz(table, { ...wishes, toLearn }, { ...so, doubtful }, solve, LONG)!;
    return of(stations).filter(({ tells }) => ['c0', 'c1', 'c2'].includes(tells[0]!)).length;
  };
  expect(told(1)).toBeGreaterThan(told(0));
});

test('forms of a quiz share no station, have the same kinds and sets, and are as hard', () => {
  const wishes = {
    ...usualWishes(10, sets),
    kinds: Object.fromEntries(KINDS.map(({ id }) => [id, { least: 0, most: 10 }])),
    fair: 0.75,
  };
  // However long it takes on a busy machine.
  const forms = proposeForms(table, wishes, so, solve, 3, LONG)!;
  const all = forms.flatMap(({ stations }) => stations);
  expect(new Set(all).size).toBe(30);
  expect(forms[0]!.relaxed).toEqual([]);
  const [first, ...others] = forms.map(({ stations }) => stations);
  const kinds = (ids: readonly string[]) =>
    of(ids)
      .map(({ kind }) => kind)
      .sort();
  const setsOf = (ids: readonly string[]) =>
    of(ids)
      .map(({ taxonId }) => sets.findIndex(({ taxa }) => taxa.includes(taxonId)))
      .sort();
  for (const stations of others) {
    expect(kinds(stations)).toEqual(kinds(first!));
    expect(setsOf(stations)).toEqual(setsOf(first!));
    expect(Math.abs(meanOf(stations) - meanOf(first!))).toBeLessThanOrEqual(0.03);
  }
  // A make-up form of a quiz that stands.
  const makeUp = proposeForms(table, { ...wishes, pins: first! }, so, solve, 2, LONG)!;
  expect([...makeUp[0]!.stations].sort()).toEqual([...first!].sort());
});

test('what is not there, protected, or bare that day is no candidate, and why is said', () => {
  const list = [
    profiled('Ficta', 'frondosa', {
      'foliage.kind': 'broad',
      'leaf.shape': 'ovate',
      'habit.persistence': 'deciduous',
      'twig.arrangement': 'opposite',
    }),
    profiled('Ficta', 'rara', {
      'foliage.kind': 'broad',
      'leaf.shape': 'elliptic',
      'habit.persistence': 'deciduous',
      'twig.arrangement': 'alternate',
    }),
  ].map((each, i) => ({
    ...each,
    taxon: {
      ...each.taxon,
      calendar: { leaves: [{ from: 130, to: 290 }], fruitRipe: [{ from: 250, to: 290 }] },
      cautions: i === 1 ? [{ kind: 'protected' as const, part: 'tree', effect: '', care: '' }] : [],
    },
  }));
  const winter = candidatesOf(list, BUILT_IN, { day: 20, draws: 40 });
  expect(winter.notPossible).toMatchObject({
    'ficta-frondosa cutting': 'bare',
    'ficta-frondosa fruit': 'not there',
    'ficta-rara bareTwig': 'protected',
  });
  expect(winter.candidates.map(({ id }) => id)).toEqual(
    expect.arrayContaining(['ficta-frondosa bareTwig', 'ficta-rara tree']),
  );
  const summer = candidatesOf(list, BUILT_IN, { day: 200, draws: 40 });
  expect(summer.notPossible['ficta-frondosa bareTwig']).toBe('in leaf');
  const cutting = summer.candidates.find(({ id }) => id === 'ficta-frondosa cutting')!;
  expect(cutting.right).toBeGreaterThan(0.9);
  expect(cutting.tells).toContain('twig.arrangement');
});

test('what a quiz brings: the mean of its stations, more reliable the longer it is', () => {
  const five = expectedResult([0.6, 0.7, 0.8, 0.5, 0.6]);
  expect(five.mean).toBeCloseTo(0.62, 1);
  const twenty = expectedResult(Array.from({ length: 20 }, (_, i) => 0.5 + (i % 4) / 10));
  expect(twenty.reliability).toBeGreaterThan(five.reliability);
  expect(twenty.spread).toBeLessThan(five.spread);
  expect(expectedRight({ ...table[0]!, beginner: 1, right: 0.95 }, { answered: {} })).toBeLessThanOrEqual(
    0.95,
  );
  const known = { answered: { 'ficta-0': { answers: 50, right: 5 } } };
  expect(expectedRight(table[0]!, known)).toBeLessThan(expectedRight(table[0]!, NOTHING_SO_FAR));
});

describe('order', () => {
  const stationsOf = (n: number, pairs: readonly (readonly [number, number])[]) =>
    Array.from({ length: n }, (_, i) => ({
      shows: `organ ${i % 3}`,
      apart: pairs.flatMap(([a, b]) => (a === i ? [b] : b === i ? [a] : [])),
    }));
  const orders = (all: readonly number[]): number[][] =>
    all.length === 0
      ? [[]]
      : all.flatMap((each, i) =>
          orders([...all.slice(0, i), ...all.slice(i + 1)]).map((rest) => [each, ...rest]),
        );

  test('no pair that gives each other away stands within two places whenever that is possible', () => {
    fc.assert(
      fc.property(
        fc
          .integer({ min: 2, max: 7 })
          .chain((n) =>
            fc.tuple(fc.constant(n), fc.array(fc.tuple(fc.nat(n - 1), fc.nat(n - 1)), { maxLength: 6 })),
          ),
        ([n, drawn]) => {
          const stations = stationsOf(
            n,
            drawn.filter(([a, b]) => a !== b),
          );
          const apart = stations.map(({ apart: others }) => new Set(others));
          const possible = orders(stations.map((_, i) => i)).some(
            (order) => pairsTooNear(order, apart).length === 0,
          );
          const found = orderOf(stations);
          expect([...found.order].sort((x, y) => x - y)).toEqual(stations.map((_, i) => i));
          expect(found.tooNear.length === 0).toBe(possible);
          expect(found.proved).toBe(!possible);
        },
      ),
      { numRuns: 60 },
    );
  });

  test('forty stations with twenty hard pairs are kept apart, and no part is shown three times in a row', () => {
    const pairs = Array.from({ length: 20 }, (_, i) => [2 * i, 2 * i + 1] as const);
    const stations = stationsOf(40, pairs);
    const { order, tooNear } = orderOf(stations);
    expect(tooNear).toEqual([]);
    order.forEach((_, i) => {
      const shown = [0, 1, 2].map((k) => stations[order[(i + k) % 40]!]!.shows);
      expect(new Set(shown).size).toBeGreaterThan(1);
    });
    expect(orderOf(stations)).toEqual(orderOf(stations));
  });
});
