import type { WholeGrounds } from '@hurrow/contract/grounds';
import type { Walk } from '@hurrow/contract/outings';
import { newTree, NO_FEATURES, planWalk, type GroundTree } from '@hurrow/core/grounds';
import {
  endsOfWalks,
  lineOf,
  moved,
  newWalk,
  placeOfEnd,
  timed,
  treesForSet,
  usualStart,
  walkAims,
  walkInWords,
  walksByDay,
  wishesOfWalk,
} from './walking.ts';

const tree = (id: string, east: number, more: Partial<GroundTree> = {}): GroundTree => ({
  ...newTree(id, 47.6, -116.4 + east / 75_000),
  id,
  taxonId: 'acer',
  confirmedBy: 'Ines',
  ...more,
});
const trees = [tree('a', 300), tree('b', 100), tree('c', 200, { taxonId: 'betula' })];
const whole = {
  id: 'g',
  name: 'Loop',
  latitude: 47.6,
  longitude: -116.4,
  elevation: 780,
  features: NO_FEATURES,
  version: 1,
  trees: trees.map((each) => ({ ...each, version: 1 })),
  observations: [],
  measurements: [],
  pictures: [],
} satisfies WholeGrounds;

test('a walk begins at the meeting point, else at the place of the grounds', () => {
  expect(usualStart(whole)).toEqual({ latitude: 47.6, longitude: -116.4 });
  const meeting = {
    type: 'Feature' as const,
    properties: { kind: 'meeting' as const, name: 'Door' },
    geometry: { type: 'Point' as const, coordinates: [-116.41, 47.61] },
  };
  expect(usualStart({ ...whole, features: { type: 'FeatureCollection', features: [meeting] } })).toEqual({
    latitude: 47.61,
    longitude: -116.41,
  });
});

test('a walk begins and ends at a meeting point, or in the middle of the grounds', () => {
  const door = {
    type: 'Feature' as const,
    properties: { kind: 'meeting' as const, name: 'Door' },
    geometry: { type: 'Point' as const, coordinates: [-116.41, 47.61] },
  };
  const ends = endsOfWalks({ ...whole, features: { type: 'FeatureCollection', features: [door] } });
  expect(ends.map(({ title }) => title)).toEqual(['Door', 'middle of Loop']);
  expect(placeOfEnd(ends, { latitude: 47.6, longitude: -116.4 })).toBe(1);
  expect(placeOfEnd(ends, { latitude: 1, longitude: 2 })).toBe(-1);
});

test('a walk is for a lesson, a quiz or a pair that is mixed up', () => {
  const sets = [
    { id: 's', title: 'Maples', taxa: ['acer'] },
    { id: 'e', title: 'Empty', taxa: [] },
  ];
  const aims = walkAims(
    sets,
    { title: 'Quiz 4', taxa: ['acer', 'betula', 'acer'] },
    [{ a: 'acer', b: 'betula' }],
    (id) => id,
  );
  expect(aims.map(({ title, taxa }) => [title, taxa.length])).toEqual([
    ['Maples', 1],
    ['the quiz “Quiz 4”', 2],
    ['acer and betula, which they mix up', 2],
  ]);
  expect(walkAims([], undefined, [], String)).toEqual([]);
});

test('its time goes with day and clock, and its lists are the usual ones, nothing ticked', () => {
  const walk = newWalk(whole, 'Lab 6', '2026-10-16', ['a']);
  expect(walk.checklists[0]!.points.every(({ done }) => !done)).toBe(true);
  const later = timed(walk, { begins: '16:30' });
  expect(later.beginsAt - walk.beginsAt).toBe(150 * 60_000);
  expect(timed(later, { day: '2026-10-17' }).beginsAt - later.beginsAt).toBe(24 * 3600_000);
  expect(wishesOfWalk(walk, true)).toMatchObject({ asGiven: true, treeIds: ['a'] });
});

test('a set is shown by one tree of each species: confirmed, in reach, near', () => {
  const far = (one: GroundTree) => Math.round((one.longitude + 116.4) * 75_000);
  const set = { taxa: ['acer', 'betula', 'nowhere'] };
  expect(treesForSet(set, trees, far)).toEqual(['b', 'c']);
  const unsure = trees.map((each) => (each.id === 'b' ? { ...each, confirmedBy: '' } : each));
  expect(treesForSet(set, unsure, far)).toEqual(['a', 'c']);
});

test('stops are moved, and not beyond the ends', () => {
  expect(moved(['a', 'b', 'c'], 1, -1)).toEqual(['b', 'a', 'c']);
  expect(moved(['a', 'b'], 1, 1)).toEqual(['a', 'b']);
});

test('a walk in words, and its line from the start to the end', () => {
  const walk = newWalk(whole, 'Lab 6', '2026-10-16', ['a', 'b']);
  const planned = planWalk(trees, NO_FEATURES, [], wishesOfWalk(walk, false));
  expect(walkInWords(planned)).toMatch(
    /^2 stops, 7\d0 m, about \d+ minutes; no shorter order is possible\.$/,
  );
  expect(lineOf(planned)).toHaveLength(6);
  expect(lineOf({ ...planned, stops: [] })).toEqual([]);
});

test('the walk that comes next is on top', () => {
  const on = (day: string) => ({ id: day, day }) as Walk;
  expect(
    walksByDay(['2026-10-01', '2026-10-20', '2026-10-16', '2026-09-01'].map(on), '2026-10-15').map(
      ({ day }) => day,
    ),
  ).toEqual(['2026-10-16', '2026-10-20', '2026-10-01', '2026-09-01']);
});
