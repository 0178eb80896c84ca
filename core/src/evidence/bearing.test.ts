import { seasonShare, type Calendar } from '../season/index.ts';
import { profiled, viewOf } from '../testing/taxa.ts';
import { BUILT_IN } from '../vocabulary/index.ts';
import {
  contrast,
  contrastError,
  derivedShare,
  ratioOfReadings,
  readingsOf,
  readingsOfTrees,
  type Channel,
  type ProfiledTaxon,
} from './index.ts';
import type { View } from '../view/index.ts';

const inFruit = (tree: ProfiledTaxon, calendar: Calendar): ProfiledTaxon => ({
  ...tree,
  taxon: { ...tree.taxon, calendar: { ...tree.taxon.calendar, ...calendar } },
});
const RIPE_IN_AUTUMN: Calendar = {
  fruitGreen: [{ from: 160, to: 240 }],
  fruitRipe: [{ from: 241, to: 290 }],
};
/** Two trees that nothing but their fruit tells apart. */
const cherry = inFruit(
  profiled('Prunus', 'avium', { 'fruit.type': 'drupe', 'fruit.color': 'always red' }),
  RIPE_IN_AUTUMN,
);
const elm = inFruit(profiled('Ulmus', 'glabra', { 'fruit.type': 'single samara' }), {
  fruitGreen: [{ from: 110, to: 130 }],
  fruitRipe: [{ from: 131, to: 160 }],
});
const rowan = inFruit(
  profiled('Sorbus', 'aucuparia', { 'fruit.type': 'pome', 'fruit.color': 'always red' }),
  RIPE_IN_AUTUMN,
);
const list = [cherry, elm, rowan];
const [TREE, TWIG, FRUIT] = [
  ['habit', 'twig', 'fruit'] as const,
  ['twig', 'fruit'] as const,
  ['fruit'] as const,
].map((organs) => viewOf([...organs], 260)) as [View, View, View];
const errorOf = (a: ProfiledTaxon, b: ProfiledTaxon, view: View) =>
  contrastError(list, a.taxon.id, b.taxon.id, BUILT_IN, view);

test('the share in season is a half on the dates of the calendar, whatever part comes first', () => {
  expect(seasonShare('fruit', RIPE_IN_AUTUMN, 160)).toBeCloseTo(0.5, 1);
  expect(seasonShare('fruit', RIPE_IN_AUTUMN, 240)).toBeCloseTo(1, 1);
  expect(seasonShare('ripeFruit', RIPE_IN_AUTUMN, 200)).toBeLessThan(0.01);
  expect(seasonShare('flowers', RIPE_IN_AUTUMN, 200)).toBeUndefined();
});

test('of whole trees in season four in five bear; what was cut for its fruit, and a fruit alone, are in fruit', () => {
  const share = (view: View) => derivedShare(cherry, 'fruit.present', view);
  expect(share(TREE)).toBeCloseTo(0.8, 2);
  expect(share(TWIG)).toBe(1);
  expect(share({ ...FRUIT, day: 165 })).toBe(1);
  expect(share({ ...TREE, day: 30 })).toBe(0);
});

test('no fruit seen says little, a fruit seen says much', () => {
  const readings = readingsOfTrees(list, BUILT_IN, TREE);
  const channels = [...readings.channels.values()].flat();
  const seen = (fruit: boolean) =>
    ratioOfReadings(channels, 0, 1, ({ character }: Channel) =>
      character.id === 'fruit.present' ? (fruit ? 0 : 1) : undefined,
    );
  expect(seen(true)).toBeGreaterThan(4);
  expect(seen(false)).toBeLessThan(0);
  expect(seen(false)).toBeGreaterThan(-2);
});

test('the error is over both conditions: trees that only their fruit tells apart are open where either may bear none', () => {
  // A fifth of each bears none; a wrong name half the time if neither does.
  expect(errorOf(cherry, rowan, TREE)).toBeGreaterThan(0.1);
  expect(errorOf(cherry, rowan, TREE)).toBeLessThan(0.14);
  expect(errorOf(cherry, rowan, TWIG)).toBeLessThan(0.0205);
  // The elm has shed its fruit: every bare specimen may be either, one in five of the cherry's among them.
  expect(errorOf(cherry, elm, TREE)).toBeGreaterThan(0.08);
  expect(errorOf(cherry, elm, TREE)).toBeLessThan(0.13);
});

test('about the dates less is told than in the midst of the season', () => {
  const midst = errorOf(cherry, rowan, { ...TREE, day: 200 });
  expect(errorOf(cherry, rowan, { ...TREE, day: 162 })).toBeGreaterThan(midst + 0.1);
  expect(errorOf(cherry, rowan, { ...TREE, day: 20 })).toBeCloseTo(0.5);
});

test('whether fruit is there is said of a pair where it tells, and in words', () => {
  const found = contrast(list, cherry.taxon.id, elm.taxon.id, BUILT_IN, TREE);
  expect(found.ranked.map(({ characterId }) => characterId)).toEqual(['fruit.present']);
  expect(contrast(list, cherry.taxon.id, rowan.taxon.id, BUILT_IN, TREE).ranked[0]!.characterId).toBe(
    'fruit.type',
  );
});

test('a tree without a calendar is taken to bear as the other does', () => {
  const unknown = profiled('Pyrus', 'communis', { 'fruit.type': 'pome' });
  const both = [cherry, unknown];
  const error = contrastError(both, cherry.taxon.id, unknown.taxon.id, BUILT_IN, TREE);
  expect(error).toBeGreaterThan(0.1);
  expect(error).toBeLessThan(0.14);
});

test('what was chosen for a station or a key bears what its kind mostly bears on the day', () => {
  const { channels } = readingsOf(list, BUILT_IN, TREE);
  expect(channels.has('fruit.present')).toBe(false);
  expect(channels.get('fruit.type')![0]!.rows.map(Boolean)).toEqual([true, false, true]);
  expect(channels.get('fruit.type')![0]!).not.toHaveProperty('borne');
});
