import { profiled, viewOf } from '../testing/taxa.ts';
import { asOpen, contrastError, derivedShare, inOneCondition, openInLeaf } from './index.ts';
import { BUILT_IN } from '../vocabulary/index.ts';

const maple = profiled('Acer', 'glabrum', {
  'habit.persistence': 'deciduous',
  'foliage.kind': 'broad blade',
  'twig.arrangement': 'opposite',
});
const cedar = {
  ...profiled('Thuja', 'plicata', {
    'habit.persistence': 'evergreen',
    'foliage.kind': 'scales',
    'twig.arrangement': 'opposite',
  }),
};
cedar.taxon.calendar = { leaves: [{ from: 1, to: 365 }] };
const list = [maple, cedar];
const [OCTOBER, JANUARY, JULY] = [290, 15, 200].map((day) => viewOf(['twig', 'leaf'], day)) as [
  ReturnType<typeof viewOf>,
  ReturnType<typeof viewOf>,
  ReturnType<typeof viewOf>,
];

test('a date leaves open only what drops its leaves about then', () => {
  expect(openInLeaf(list, OCTOBER)).toEqual(['acer-glabrum']);
  expect(openInLeaf(list, JANUARY)).toEqual([]);
  expect(openInLeaf(list, { ...OCTOBER, leaves: 'off' })).toEqual([]);
});

test('a condition that was chosen counts only where the date leaves it open', () => {
  expect(asOpen(list, { ...OCTOBER, leaves: 'on' }).leaves).toBe('on');
  expect(asOpen(list, { ...JANUARY, leaves: 'on' })).not.toHaveProperty('leaves');
});

test('one condition is the likelier one, or that of the view', () => {
  expect(inOneCondition(list, { ...OCTOBER, day: 283 }).leaves).toBe('on');
  expect(inOneCondition(list, { ...OCTOBER, day: 298 }).leaves).toBe('off');
  expect(inOneCondition(list, { ...OCTOBER, day: 298, leaves: 'on' }).leaves).toBe('on');
  expect(inOneCondition(list, JULY)).toBe(JULY);
});

test('evergreens are in leaf in either condition', () => {
  const bare = { ...OCTOBER, leaves: 'off' } as const;
  expect(list.map((tree) => derivedShare(tree, 'foliage.present', bare))).toEqual([0, 1]);
  expect(derivedShare(maple, 'leaf.shape', bare)).toBeUndefined();
});

test('a maple and a redcedar are told apart in leaf, bare, and where that is open', () => {
  for (const leaves of ['on', 'off', undefined] as const) {
    const view = { ...OCTOBER, ...(leaves ? { leaves } : {}) };
    expect(contrastError(list, 'acer-glabrum', 'thuja-plicata', BUILT_IN, view)).toBeLessThan(0.0205);
  }
});
