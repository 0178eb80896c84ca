import { BUILT_IN } from '../vocabulary/index.ts';
import { profiled } from '../testing/taxa.ts';
import { commonnessAt, lookalikesAmong, prospectsOf } from './index.ts';
import { cellAt } from '../range/index.ts';

const place = { latitude: 47.6, longitude: -116.4, elevation: 780 };
const LEAVES = { leaves: [{ from: 120, to: 290 }] };
const tree = (genus: string, epithet: string, scores: Record<string, string>) => {
  const made = profiled(genus, epithet, scores);
  return { ...made, taxon: { ...made.taxon, calendar: LEAVES } };
};
const broad = (genus: string, epithet: string, more: Record<string, string>) =>
  tree(genus, epithet, {
    'foliage.kind': 'broad',
    'habit.persistence': 'deciduous',
    'leaf.composition': 'simple',
    ...more,
  });
const list = [
  broad('Acer', 'glabrum', { 'twig.arrangement': 'opposite', 'leaf.lobing': 'palmate', 'bud.scales': 'two' }),
  broad('Alnus', 'incana', {
    'twig.arrangement': 'alternate',
    'leaf.lobing': 'none',
    'leaf.teeth': 'double',
  }),
  broad('Alnus', 'viridis', {
    'twig.arrangement': 'alternate',
    'leaf.lobing': 'none',
    'leaf.teeth': 'double',
  }),
];

test('of a deciduous tree less is seen once it is bare, what is missed is named, and kinds follow the easy splits', () => {
  const found = prospectsOf(list, BUILT_IN, {
    weeks: [1, 12],
    days: [245, 325],
    reference: place,
    site: place,
  });
  expect(found.bare[1]).toEqual([false, true]);
  expect(found.seen[1]![0]).toBeGreaterThan(0.95);
  expect(found.seen[1]![1]).toBeLessThan(0.6);
  expect(found.unseen[1]![1]!.length).toBeGreaterThan(0);
  expect(found.kind).toEqual(['broad|opposite|simple', 'broad|alternate|simple', 'broad|alternate|simple']);
});
test('two of one genus that differ in nothing plain are lookalikes; the commoner is known by its range', () => {
  const [pair] = lookalikesAmong(list, BUILT_IN, {
    commonness: new Map([
      ['alnus-incana', 0.4],
      ['alnus-viridis', 1],
    ]),
  });
  expect(pair).toMatchObject({ a: 1, b: 2, commoner: 2 });
  expect(lookalikesAmong(list, BUILT_IN, {}).every(({ commoner }) => commoner === undefined)).toBe(true);
});
test('a pair that the class mixed up counts as lookalikes, however plain the difference', () => {
  const mixedUp = [{ a: 'acer-glabrum', b: 'alnus-incana' }];
  expect(lookalikesAmong(list, BUILT_IN, { mixedUp }).some(({ a, b }) => a === 0 && b === 1)).toBe(true);
});
test('how common a tree is follows its range about the place, and the elevation it grows at', () => {
  const cell = cellAt(place.latitude, place.longitude);
  const high = tree('Larix', 'lyallii', { 'site.elevation': '1800–2400 m' });
  const low = tree('Larix', 'occidentalis', { 'site.elevation': '600–1700 m' });
  const rangeOf = (id: string) =>
    id === 'picea-abies' ? undefined : { cells: { [cell]: 'native' as const } };
  const found = commonnessAt([high, low, tree('Picea', 'abies', {})], place, rangeOf);
  expect(found.get('larix-lyallii')!).toBeLessThan(found.get('larix-occidentalis')!);
  expect(found.has('picea-abies')).toBe(false);
});
