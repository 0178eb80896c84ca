import {
  bestSeen,
  breaksOf,
  isBroken,
  isGoodWeek,
  judgeTerm,
  lossOf,
  mostLost,
  sharesOf,
  LEAST_SEEN,
} from './judge.ts';
import type { Lookalikes, Prospects } from './prospects.ts';
import {
  middleOfWeek,
  openWeeks,
  usedWeeks,
  USUAL_WISHES,
  weekBegins,
  weekOf,
  type TermWishes,
} from './wishes.ts';

const TAXA = ['red', 'sugar', 'birch', 'larch'];
/** Four trees in four weeks: the larch is bare in the last, the birch shows little in the first. */
const prospects = (more: Partial<Prospects> = {}): Prospects => ({
  taxa: TAXA,
  weeks: [1, 2, 3, 4],
  seen: [
    [0.9, 0.9, 0.9, 0.9],
    [0.8, 0.8, 0.8, 0.8],
    [0.3, 0.9, 0.9, 0.9],
    [0.9, 0.9, 0.9, 0.2],
  ],
  unseen: TAXA.map(() => [['leaf.teeth'], [], [], ['needle.perSpur']]),
  bare: TAXA.map((id) => [false, false, false, id === 'larch']),
  kind: ['opposite', 'opposite', 'alternate', 'tufts'],
  lookalikes: [{ a: 0, b: 1, error: 0.3 }],
  ...more,
});
const wishes = (more: Partial<TermWishes> = {}): TermWishes => ({
  ...USUAL_WISHES,
  to: 4,
  least: 1,
  most: 2,
  ...more,
});
const PLAN = { red: 1, sugar: 1, birch: 2, larch: 3 };
const remarks = (plan: Record<string, number>, wanted = wishes(), of = prospects()) =>
  judgeTerm(of, wanted, plan).remarks;

test('a plan that keeps every wish has no remark, and breaks nothing', () => {
  expect(remarks(PLAN)).toEqual([]);
  expect(breaksOf(prospects(), wishes())(PLAN)).toBe(0);
});

test.each<[string, Record<string, number>, Partial<TermWishes>, object]>([
  ['a closed week', { ...PLAN, larch: 3 }, { closed: [3] }, { kind: 'closed', week: 3, taxa: ['larch'] }],
  ['a week outside', { ...PLAN, larch: 4 }, { to: 3 }, { kind: 'outside', taxonId: 'larch', week: 4 }],
  ['too many in a week', { ...PLAN, birch: 1 }, {}, { kind: 'many', week: 1, size: 3 }],
  ['too few in a week', PLAN, { least: 2 }, { kind: 'few', week: 2, size: 1 }],
  [
    'another week than it is pinned to',
    PLAN,
    { pins: [{ taxonId: 'birch', week: 4 }] },
    { kind: 'unpinned', taxonId: 'birch', week: 2, wanted: 4 },
  ],
  [
    'a week that shows little of it',
    { ...PLAN, birch: 1, sugar: 2, red: 2 },
    {},
    { kind: 'unseen', taxonId: 'birch', week: 1 },
  ],
  [
    'a week in which it is bare',
    { ...PLAN, larch: 4 },
    {},
    { kind: 'bare', taxonId: 'larch', week: 4, unseen: ['needle.perSpur'] },
  ],
  [
    'lookalikes apart that are wanted together',
    { ...PLAN, sugar: 4 },
    {},
    { kind: 'apart', a: 'red', b: 'sugar', weeks: [1, 4] },
  ],
  [
    'lookalikes together that are wanted apart',
    PLAN,
    { lookalikes: 'apart' },
    { kind: 'together', a: 'red', b: 'sugar', week: 1 },
  ],
])('%s is remarked on', (_what, plan, more, remark) =>
  expect(remarks(plan, wishes(more))).toContainEqual(expect.objectContaining(remark)),
);

test('a tree that stands nowhere is told, and counts as nothing seen of it', () => {
  const { larch: _larch, ...without } = PLAN;
  expect(remarks(without)).toEqual([{ kind: 'nowhere', taxonId: 'larch' }]);
  expect(judgeTerm(prospects(), wishes(), without).measure.season).toBeGreaterThan(
    judgeTerm(prospects(), wishes(), PLAN).measure.season,
  );
});

test('the commoner of two lookalikes is taught no later', () => {
  const of = prospects({ lookalikes: [{ a: 0, b: 1, error: 0.3, commoner: 1 }] });
  const apart = wishes({ lookalikes: 'apart' });
  expect(remarks({ ...PLAN, sugar: 4 }, apart, of)).toEqual([
    { kind: 'before', rarer: 'red', commoner: 'sugar', weeks: [1, 4] },
  ]);
  expect(remarks({ ...PLAN, red: 4 }, apart, of)).toEqual([]);
});

test('rules are broken by sizes, pins and weeks that show nothing; how lookalikes stand is a matter of more or less', () => {
  expect(isBroken({ kind: 'many', week: 1, size: 3 })).toBe(true);
  expect(isBroken({ kind: 'unseen', taxonId: 'a', week: 1, unseen: [], share: LEAST_SEEN - 0.01 })).toBe(
    true,
  );
  expect(isBroken({ kind: 'bare', taxonId: 'a', week: 1, unseen: [], share: 0.9 })).toBe(false);
  expect(isBroken({ kind: 'apart', a: 'a', b: 'b', weeks: [1, 2] })).toBe(false);
});

test('the measure is best where everything is best, worst where everything is worst', () => {
  const best = judgeTerm(prospects(), wishes(), PLAN).measure;
  expect(best).toMatchObject({ season: 0, lookalikes: 0 });
  const worst = judgeTerm(prospects(), wishes(), { red: 4, sugar: 1, birch: 1, larch: 4 }).measure;
  expect(worst.season).toBeCloseTo(1);
  expect(worst.lookalikes).toBe(1);
  expect(worst.total).toBeGreaterThan(best.total);
});

test('what easy splits part may come early; trees of one kind later', () => {
  const early = judgeTerm(prospects(), wishes(), PLAN).measure.easy;
  const late = judgeTerm(prospects(), wishes(), { red: 1, sugar: 3, birch: 1, larch: 2 }).measure.easy;
  expect(early).toBeGreaterThan(late);
  const each = prospects({ kind: ['a', 'b', 'c', 'd'] });
  expect(judgeTerm(each, wishes(), PLAN).measure.easy).toBe(0);
});

test('what a week loses of a tree is held against its best open week', () => {
  const of = prospects();
  const open = [1, 2, 3, 4];
  expect(bestSeen(of, 3, open)).toBe(0.9);
  expect(lossOf(of, open, 3, 4)).toBeCloseTo(0.7);
  expect(lossOf(of, [4], 3, 4)).toBe(0);
  expect(lossOf(of, open, 3, undefined)).toBe(0.9);
  expect(isGoodWeek(of, open, 2, 1)).toBe(false);
  expect(isGoodWeek(of, [1], 2, 1)).toBe(true);
  expect(mostLost(of, open)).toBeCloseTo(1.3);
});

test('harder pairs of lookalikes are dearer, and all of them make one', () => {
  const pairs: Lookalikes[] = [
    { a: 0, b: 1, error: 0.3 },
    { a: 2, b: 3, error: 0.1 },
  ];
  expect(sharesOf(pairs)).toEqual([expect.closeTo(0.75), expect.closeTo(0.25)]);
});

test('weeks that are open, those that get a set, and the days they stand for', () => {
  expect(openWeeks({ from: 2, to: 5, closed: [4] })).toEqual([2, 3, 5]);
  expect(openWeeks({ from: 3, to: 2, closed: [] })).toEqual([]);
  const usual = { ...USUAL_WISHES, to: 14 };
  expect(usedWeeks(9, usual)).toEqual([1, 2]);
  expect(usedWeeks(9, { ...usual, pace: 'spread' })).toEqual([1, 8]);
  expect(usedWeeks(9, { ...usual, pins: [{ taxonId: 'x', week: 9 }] })).toEqual([1, 2, 9]);
  expect(usedWeeks(60, { ...usual, to: 6 })).toEqual([1, 2, 3, 4, 5, 6]);
  for (let week = 1; week <= 14; week += 1) {
    const begins = new Date(weekBegins('2026-08-31', week)).toISOString().slice(0, 10);
    expect(weekOf('2026-08-31', begins)).toBe(week);
  }
  expect(weekOf('2026-08-31', '2026-08-30')).toBe(0);
  expect(middleOfWeek('2026-08-31', 1)).toBe(246);
});
