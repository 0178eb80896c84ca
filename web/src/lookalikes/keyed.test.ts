import type { Key, KeyNode } from '@hurrow/core/key';
import type { Taxon } from '@hurrow/core/taxon';
import { leavesOf, nameOf, weakestOf } from './keyed.ts';

const end = (taxon: string): KeyNode => ({ kind: 'end', taxa: [taxon], share: 0.5 });
const couplet = (one: KeyNode, other: KeyNode): KeyNode => ({
  kind: 'couplet',
  share: 1,
  leads: [one, other].map((to, i) => ({
    condition: { characterId: 'bud.resin', present: i === 0 },
    also: [],
    to,
  })),
});
const key: Key = {
  view: { organs: ['twig'], day: 15, nearness: 'hand', aids: ['eye'], qualifiers: {} },
  taxa: ['a', 'b', 'c'],
  root: couplet(end('a'), couplet(end('b'), end('c'))),
};

test('the weakest couplet goes by the number that is printed', () => {
  expect(weakestOf({ key, appraisal: { weakest: { path: [1], lost: 0.04 } } })).toEqual({
    couplet: 2,
    lost: 0.04,
  });
  expect(weakestOf({ key, appraisal: { weakest: { path: [0, 0], lost: 0.04 } } })).toBeUndefined();
  expect(weakestOf({ key, appraisal: {} })).toBeUndefined();
});

test('a key says its condition only where the date leaves it open', () => {
  expect(leavesOf(key)).toBe('');
  expect(leavesOf({ view: { ...key.view, leaves: 'off' } })).toBe(', bare of leaves');
});

test('a taxon that is gone goes by its id', () => {
  expect(nameOf(undefined, 'gone')).toBe('gone');
  expect(nameOf({ commonNames: ['paper birch'] } as Taxon, 'x')).toBe('paper birch');
});
