import { profiled, viewOf } from '../testing/taxa.ts';
import { BUILT_IN } from '../vocabulary/index.ts';
import { contrast, saidLines, settlingInWords, shownInWords, type Wording } from './index.ts';

const wording: Wording = {
  view: viewOf(['twig', 'bud', 'leaf']),
  vocabulary: BUILT_IN,
  audience: 'technical',
  units: 'metric',
};
const bare: Wording = { ...wording, view: { ...wording.view, day: 15 } };
const larch = profiled('Larix', 'occidentalis', {
  'habit.persistence': 'deciduous',
  'foliage.kind': 'needles in tufts on spurs',
  'twig.color': 'only orange',
});
const birch = profiled('Betula', 'papyrifera', {
  'habit.persistence': 'deciduous',
  'foliage.kind': 'broad blade',
  'twig.color': 'only red-brown',
});
const scars = BUILT_IN.get('twig.needleScars')!;
const leaves = BUILT_IN.get('foliage.present')!;

test('what is worked out is said as yes and no, about the dates as some', () => {
  expect([larch, birch].map((tree) => shownInWords(tree, scars, bare))).toEqual(['yes', 'no']);
  expect(shownInWords(larch, leaves, wording)).toBe('yes');
  expect(shownInWords(larch, leaves, bare)).toBe('no');
  expect(shownInWords(larch, leaves, { ...wording, view: { ...wording.view, day: 290 } })).toBe('some');
  expect(shownInWords({ ...larch, scores: [] }, scars, bare)).toBe('');
});

test('a larch and a birch in January: look at the scars, with what either shows', () => {
  const found = contrast([larch, birch], larch.taxon.id, birch.taxon.id, BUILT_IN, bare.view);
  expect(saidLines(found, larch, birch, bare)[0]).toEqual({
    lead: 'Look at the',
    character: 'needle scars on the twig',
    shows: ['yes', 'no'],
  });
});

test.each([
  [[], ['bud.shape'], undefined],
  [['bud.shape'], ['bud.shape', 'bud.scales'], 'The first settles it alone'],
  [['bud.shape', 'bud.scales'], ['bud.shape', 'bud.scales', 'twig.hair'], 'The first two settle it together'],
  [['bud.shape', 'bud.scales'], ['bud.shape', 'bud.scales'], 'Together they settle it'],
  [
    ['bud.shape', 'bud.scales', 'twig.hair', 'twig.color'],
    ['bud.shape', 'bud.scales', 'twig.hair'],
    'Together with twig color they settle it',
  ],
])('%j of which %j are said: %s', (deciding, said, words) =>
  expect(settlingInWords({ deciding, said }, wording)).toBe(words),
);
