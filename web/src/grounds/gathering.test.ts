import type { Collecting, Item } from '@hurrow/contract/outings';
import { kindOf, viewOfKind } from '@hurrow/core/assembly';
import { newTree, NO_FEATURES, type CollectingLine } from '@hurrow/core/grounds';
import {
  asAWalk,
  bodyOf,
  chosenSource,
  gatheredInWords,
  needsOfQuiz,
  needsOfSet,
  newItem,
  withNeed,
} from './gathering.ts';
import { expiring } from './expiring.ts';

const station = (position: number, taxonId: string, kind: string) => ({
  position,
  taxonId,
  medium: kindOf(kind)!.medium,
  view: viewOfKind(kindOf(kind)!, 288),
});
const source = (treeId: string) => ({
  treeId,
  likely: { share: 0.9, by: 'calendar' as const, ruledOut: false },
  reach: 'hand' as const,
});
const line = (id: string, ...trees: string[]): CollectingLine => ({
  need: { id, taxonId: id, kind: 'cutting', serves: '' },
  source: trees[0] ? source(trees[0]) : undefined,
  others: trees.slice(1).map(source),
  refused: [],
  why: trees[0] ? undefined : { words: 'protected' },
  instead: [],
  amount: '',
  how: [],
  keeping: { bag: '', keep: '', days: 2, spares: 2 },
  goodUntil: '2026-10-17',
  cautions: [],
});
const item = (id: string, needId: string, more: Partial<Item> = {}): Item => ({
  id,
  needId,
  treeId: 'a',
  cutAt: '2026-10-15T16:00:00Z',
  cutter: 'Ines',
  stored: '',
  goodUntil: '2026-10-17',
  spares: 1,
  confirmedBy: '',
  state: 'kept',
  note: '',
  trace: [],
  ...more,
});
const list = (more: Partial<Collecting> = {}): Collecting => ({
  id: 'l',
  version: 1,
  groundsId: 'g',
  name: 'Quiz 4',
  day: '2026-10-16',
  quizId: null,
  needs: [],
  chosen: {},
  pestHosts: false,
  items: [],
  ...more,
});
const tree = (id: string, east: number) => ({ ...newTree(id, 47.6, -116.4 + east / 75_000), id });
const trees = [tree('a', 300), tree('b', 100), tree('c', 200)];
const ground = (more: Partial<Collecting> = {}) => ({
  list: list(more),
  trees,
  features: NO_FEATURES,
  start: { latitude: 47.6, longitude: -116.4 },
});

test('a quiz needs what its stations show of cut pieces, a set a piece of each species', () => {
  expect(
    needsOfQuiz([
      station(1, 'acer', 'cutting'),
      station(2, 'pinus', 'fruit'),
      station(3, 'tsuga', 'tree'),
      station(4, 'abies', 'drawing'),
    ]),
  ).toEqual([
    { id: 'station 1', taxonId: 'acer', kind: 'cutting', serves: 'station 1' },
    { id: 'station 2', taxonId: 'pinus', kind: 'fruit', serves: 'station 2' },
  ]);
  const needs = needsOfSet(['acer'], 'leaf', 'Set 3');
  expect(withNeed(needs, 'acer', 'leaf')).toHaveLength(1);
  expect(withNeed(needs, 'acer', 'fruit').map(({ id }) => id)).toEqual(['acer leaf', 'acer fruit']);
});

test('lines come as one walks, those of which nothing is cut last; numbers stay', () => {
  const lines = asAWalk(
    [line('one', 'a'), line('two'), line('three', 'b'), line('four', 'c', 'a')],
    ground(),
  );
  expect(lines.map(({ number }) => number)).toEqual([3, 4, 1, 2]);
  expect(gatheredInWords(lines)).toBe('0 of 3 gathered; 1 cannot be cut.');
});

test('another tree is taken where it was chosen, and only one that would do', () => {
  const four = line('four', 'c', 'a');
  expect(chosenSource(four, { four: 'a' })!.treeId).toBe('a');
  expect(chosenSource(four, { four: 'elsewhere' })!.treeId).toBe('c');
});

test('what wilted is wanted again; what was cut counts, though the tree is refused since', () => {
  const items = [item('i', 'one'), item('j', 'three', { state: 'wilted' })];
  const lines = asAWalk([line('one'), line('three', 'b')], ground({ items }));
  expect(gatheredInWords(lines)).toBe('1 of 2 gathered.');
  expect(lines.find(({ need }) => need.id === 'three')).toMatchObject({ items: [], spent: [{ id: 'j' }] });
});

test('a piece that is ticked off is good as long as its kind usually is', () => {
  const [first] = asAWalk([line('one', 'a')], ground());
  const body = newItem(first!, 'Ines', new Date('2026-10-15T16:00:00Z'));
  expect(body).toMatchObject({
    treeId: 'a',
    cutter: 'Ines',
    goodUntil: '2026-10-17',
    spares: 2,
    state: 'kept',
  });
  expect(bodyOf({ ...body, id: 'i', trace: [] })).toEqual(body);
});

test('pieces that will not last until their day are warned of, until the day is over', () => {
  const soon = list({
    day: '2026-10-20',
    items: [
      item('i', 'one'),
      item('j', 'one', { goodUntil: '2026-10-25' }),
      item('k', 'one', { state: 'wilted' }),
    ],
  });
  expect(expiring([soon], '2026-10-15').map(({ item: { id }, over }) => [id, over])).toEqual([['i', false]]);
  expect(expiring([soon], '2026-10-18').map(({ over }) => over)).toEqual([true]);
  expect(expiring([soon], '2026-10-21')).toEqual([]);
});
