import type { KeptTree } from '@hurrow/contract/grounds';
import type { ProfiledTaxon } from '@hurrow/core/evidence';
import { newTree, NO_FEATURES } from '@hurrow/core/grounds';
import { boundsOf, nameOnMap } from './mapLook.ts';
import { lookOfTree, mapTrees, treesFound } from './mapTrees.ts';

const taxon = (id: string, isProtected = false) =>
  ({
    taxon: {
      id,
      rank: 'species',
      genus: 'Pinus',
      epithet: id,
      family: 'Pinaceae',
      commonNames: [`${id} pine`],
      synonyms: [],
      calendar: {},
      cautions: isProtected ? [{ kind: 'protected', part: 'whole tree', effect: '', care: '' }] : [],
    },
    scores: [],
  }) as ProfiledTaxon;
const list = [taxon('alba'), taxon('sacra', true)];
const profileOf = (id: string) => list.find((each) => each.taxon.id === id);
const tree = (tag: string, more: Partial<KeptTree> = {}): KeptTree => ({
  ...newTree(tag, 47.6, -116.4),
  id: tag,
  version: 1,
  ...more,
});
const DAY = '2026-10-15';

test('a tree is drawn by what may be done to it on the day', () => {
  const look = (more: Partial<KeptTree>) =>
    lookOfTree(tree('T', { taxonId: 'alba', cutting: 'yes', ...more }), profileOf, DAY);
  expect(look({})).toBe('cut');
  expect(look({ until: '2026-10-15' })).toBe('cut');
  expect(look({ until: '2026-10-14' })).toBe('ask');
  expect(look({ cutting: 'ask' })).toBe('ask');
  expect(look({ cutting: 'no' })).toBe('look');
  expect(look({ taxonId: 'sacra' })).toBe('look');
  expect(look({ taxonId: null })).toBe('unnamed');
  expect(mapTrees([tree('T-1', { taxonId: 'alba' })], profileOf, DAY)[0]).toMatchObject({
    title: 'T-1, alba pine',
    look: 'ask',
  });
});

test('trees are found by tag, names and what is wanting', () => {
  const trees = [
    tree('T-1', { taxonId: 'alba', cutting: 'yes', confirmedBy: 'Ines', girths: [1], height: 9 }),
    tree('T-2', { taxonId: 'sacra', note: 'by the gate' }),
    tree('U-3'),
  ];
  const found = (words: string, more = {}) =>
    treesFound(trees, { words, ...more }, profileOf, DAY).map(({ tag }) => tag);
  expect(found('')).toEqual(['T-1', 'T-2', 'U-3']);
  expect(found('pinus ALBA')).toEqual(['T-1']);
  expect(found('gate')).toEqual(['T-2']);
  expect(found('not named')).toEqual(['U-3']);
  expect(found('', { only: 'cut' })).toEqual(['T-1']);
  expect(found('', { only: 'unconfirmed' })).toEqual(['T-2', 'U-3']);
  expect(found('', { only: 'unmeasured' })).toEqual(['T-2', 'U-3']);
  expect(found('', { taxonId: 'alba' })).toEqual(['T-1']);
});

test('the map holds its trees; without trees what is drawn', () => {
  expect(boundsOf([], NO_FEATURES)).toBeUndefined();
  expect(
    boundsOf(
      [
        { latitude: 1, longitude: 5 },
        { latitude: 3, longitude: 2 },
      ],
      NO_FEATURES,
    ),
  ).toEqual([
    [1, 2],
    [3, 5],
  ]);
  expect(nameOnMap({ kind: 'hazard', name: 'Gully', hazard: 'steep ground' })).toBe('Gully: steep ground');
  expect(nameOnMap({ kind: 'water', name: '' })).toBe('water');
});
