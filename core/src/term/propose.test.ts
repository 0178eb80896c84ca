import fc from 'fast-check';
import { highs } from '../program/index.ts';
import {
  breaksOf,
  isBroken,
  judgeTerm,
  measurer,
  middleOfWeek,
  openWeeks,
  proposeTerm,
  usedWeeks,
  weekBegins,
  weekOf,
  USUAL_WISHES,
  type Prospects,
  type TermPlan,
  type TermWishes,
} from './index.ts';

const solve = await highs();
const ids = (count: number) => Array.from({ length: count }, (_, i) => `t${i}`);

/** Prospects as they may come: any list, of which anything may be seen at any time. */
const prospects = (count: number, weeks: number): fc.Arbitrary<Prospects> =>
  fc.record({
    taxa: fc.constant(ids(count)),
    weeks: fc.constant(Array.from({ length: weeks }, (_, i) => i + 1)),
    seen: fc.array(
      fc.array(fc.double({ min: 0.3, max: 1, noNaN: true }), { minLength: weeks, maxLength: weeks }),
      {
        minLength: count,
        maxLength: count,
      },
    ),
    unseen: fc.constant(ids(count).map(() => Array.from({ length: weeks }, () => ['leaf.teeth']))),
    bare: fc.constant(ids(count).map(() => Array.from({ length: weeks }, () => false))),
    kind: fc.array(fc.constantFrom('single', 'broad|opposite', 'broad|alternate'), {
      minLength: count,
      maxLength: count,
    }),
    lookalikes: fc.uniqueArray(
      fc
        .tuple(
          fc.nat(count - 1),
          fc.nat(count - 1),
          fc.double({ min: 0.05, max: 0.5, noNaN: true }),
          fc.nat(2),
        )
        .filter(([a, b]) => a < b)
        .map(([a, b, error, who]) => ({ a, b, error, ...(who < 2 ? { commoner: who === 0 ? a : b } : {}) })),
      { maxLength: count, selector: ({ a, b }) => `${a} ${b}` },
    ),
  });

const wishes = (weeks: number): fc.Arbitrary<TermWishes> =>
  fc.record({
    from: fc.constant(1),
    to: fc.constant(weeks),
    closed: fc.uniqueArray(fc.integer({ min: 2, max: weeks }), { maxLength: 2 }),
    least: fc.constantFrom(2, 3),
    most: fc.constantFrom(4, 5),
    pace: fc.constantFrom('weekly', 'spread'),
    lookalikes: fc.constantFrom('together', 'apart'),
    pins: fc.constant([]),
  });

it('keeps sizes, open weeks, pins, seasons and twins, or names each rule that it breaks', () => {
  fc.assert(
    fc.property(prospects(14, 6), wishes(6), fc.nat(13), (found, wanted, pinned) => {
      const week = openWeeks(wanted)[0]!;
      const pins = [{ taxonId: `t${pinned}`, week }];
      const { plan, broken, measure, bound } = proposeTerm(found, { ...wanted, pins }, solve, 1);
      expect(Object.keys(plan).sort()).toEqual(ids(14).sort());
      expect(plan[`t${pinned}`]).toBe(week);
      for (const each of Object.values(plan)) expect(openWeeks(wanted)).toContain(each);
      // What the rules forbid is done only where it is said.
      const said = judgeTerm(found, { ...wanted, pins }, plan).remarks.filter(isBroken);
      expect(broken).toEqual(said);
      expect(bound).toBeLessThanOrEqual(measure.total + 1e-9);
    }),
    { numRuns: 40 },
  );
});

it('breaks no rule where none need be broken', () => {
  const easy = fc.sample(prospects(12, 4), { numRuns: 12, seed: 3 }).map((found) => ({
    ...found,
    seen: found.seen.map((each) => each.map(() => 1)),
    // Commoner by number: no circle can arise.
    lookalikes: found.lookalikes.map(({ a, b, error }) => ({ a, b, error, commoner: a })),
  }));
  for (const found of easy)
    for (const lookalikes of ['together', 'apart'] as const)
      expect(
        proposeTerm(found, { ...USUAL_WISHES, to: 4, least: 3, most: 4, lookalikes }, solve).broken,
      ).toEqual([]);
});

/** Every plan of a short list in two sets. */
const allPlans = (taxa: readonly string[]): TermPlan[] =>
  Array.from({ length: 2 ** taxa.length }, (_, choice) =>
    Object.fromEntries(taxa.map((id, t) => [id, ((choice >> t) & 1) + 1])),
  );

it('with lookalikes apart, is as good as the best of all plans', () => {
  const wanted: TermWishes = { ...USUAL_WISHES, to: 2, least: 3, most: 5, lookalikes: 'apart' };
  for (const found of fc.sample(prospects(8, 2), { numRuns: 12, seed: 5 })) {
    const breaks = breaksOf(found, wanted);
    const measure = measurer(found, wanted);
    const allowed = allPlans(found.taxa).filter((plan) => breaks(plan) === 0);
    const best = Math.min(...allowed.map((plan) => measure(plan).total));
    const { measure: held, bound, broken } = proposeTerm(found, wanted, solve);
    if (allowed.length === 0) {
      expect(broken.length).toBeGreaterThan(0);
      continue;
    }
    expect(held.total).toBeCloseTo(best, 3);
    expect(bound).toBeCloseTo(best, 3);
  }
});

it('with lookalikes together, never claims a bound that a plan beats, and comes near the best', () => {
  const wanted: TermWishes = { ...USUAL_WISHES, to: 2, least: 3, most: 5 };
  const off = fc.sample(prospects(8, 2), { numRuns: 12, seed: 7 }).flatMap((found) => {
    const breaks = breaksOf(found, wanted);
    const measure = measurer(found, wanted);
    const totals = allPlans(found.taxa)
      .filter((plan) => breaks(plan) === 0)
      .map((plan) => measure(plan).total);
    if (totals.length === 0) return [];
    const { measure: held, bound } = proposeTerm(found, wanted, solve);
    expect(bound).toBeLessThanOrEqual(Math.min(...totals) + 1e-3);
    return [held.total - Math.min(...totals)];
  });
  expect(Math.max(...off)).toBeLessThan(0.05);
});

it('counts as many broken rules as it names, none or some', () => {
  fc.assert(
    fc.property(
      prospects(8, 3),
      fc.array(fc.integer({ min: 1, max: 3 }), { minLength: 8, maxLength: 8 }),
      fc.constantFrom(2, 3),
      (found, weeks, least) => {
        const wanted = { ...USUAL_WISHES, to: 3, least, most: 4, pins: [{ taxonId: 't0', week: 1 }] };
        const plan = Object.fromEntries(weeks.map((week, t) => [`t${t}`, week]));
        const named = judgeTerm(found, wanted, plan).remarks.filter(isBroken).length;
        expect(breaksOf(found, wanted)(plan) > 0).toBe(named > 0);
      },
    ),
  );
});

it.each([
  [9, {}, [1, 2]],
  [42, {}, [1, 2, 3, 4, 5, 6, 7, 8, 9]],
  [42, { closed: [3] }, [1, 2, 4, 5, 6, 7, 8, 9, 10]],
  [9, { pace: 'spread' as const }, [1, 8]],
  [80, {}, [1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12, 13, 14]],
  [9, { pins: [{ taxonId: 't0', week: 12 }] }, [1, 2, 12]],
])('%i species with %j have their sets in weeks %j', (species, more, weeks) =>
  expect(usedWeeks(species, { ...USUAL_WISHES, to: 14, ...more })).toEqual(weeks),
);

it('has a plan also where the solver has no time at all, and claims nothing for it', () => {
  for (const found of fc.sample(prospects(12, 4), { numRuns: 6, seed: 11 })) {
    const wanted = { ...USUAL_WISHES, to: 4, least: 3, most: 4, pins: [{ taxonId: 't3', week: 2 }] };
    const { plan, bound } = proposeTerm(found, wanted, () => undefined);
    expect(Object.keys(plan)).toHaveLength(12);
    expect(plan['t3']).toBe(2);
    expect(bound).toBeLessThanOrEqual(measurer(found, wanted)(plan).total);
  }
});

it('says what to do where nothing can be planned', () => {
  const [found] = fc.sample(prospects(4, 2), 1);
  expect(() => proposeTerm(found!, { ...USUAL_WISHES, to: 2, closed: [1, 2] }, solve)).toThrow('Open a week');
  expect(() =>
    proposeTerm(found!, { ...USUAL_WISHES, to: 2, pins: [{ taxonId: 'none', week: 1 }] }, solve),
  ).toThrow('not planned');
});

it('looks at a week in its middle, over New Year too', () => {
  expect(middleOfWeek('2026-08-31', 1)).toBe(246);
  expect(middleOfWeek('2026-12-28', 2)).toBe(7);
});

test('a day is in its week of the course, and a week begins on its first day', () => {
  expect(weekOf('2026-08-31', '2026-08-31')).toBe(1);
  expect(weekOf('2026-08-31', '2026-09-06')).toBe(1);
  expect(weekOf('2026-08-31', '2026-09-07')).toBe(2);
  expect(weekOf('2026-08-31', '2026-08-30')).toBe(0);
  expect(new Date(weekBegins('2026-08-31', 2)).toISOString().slice(0, 10)).toBe('2026-09-07');
});
