import { BUILT_IN } from '../vocabulary/index.ts';
import {
  listInWords,
  MEDIA,
  MEDIUM_VIEWS,
  onDay,
  perceivable,
  viewInWords,
  viewKey,
  type View,
} from './index.ts';

const view = (more: Partial<View>): View => ({
  organs: ['twig', 'bud', 'leaf'],
  day: 200,
  nearness: 'hand',
  aids: ['eye'],
  qualifiers: {},
  ...more,
});
const sees = (id: string, more: Partial<View>) => perceivable(BUILT_IN.get(id)!, view(more));

test('a lens, a nose, a hand and a knife are each needed for what needs them', () => {
  expect(sees('bud.hair', {})).toBe(false);
  expect(sees('bud.hair', { aids: ['eye', 'lens'] })).toBe(true);
  expect(sees('leaf.odor', { aids: ['eye', 'touch'] })).toBe(false);
  expect(sees('leaf.odor', { aids: ['eye', 'smell'] })).toBe(true);
  expect(sees('leaf.petioleSection', {})).toBe(false);
  expect(sees('twig.pith', { aids: ['eye', 'cut'] })).toBe(true);
  expect(sees('twig.pith', { aids: ['eye', 'lens'] })).toBe(false);
});

test('from afar one sees the crown, with binoculars its cones, in the hand all of the twig', () => {
  const tree: Partial<View> = { organs: ['habit', 'fruit', 'leaf'], nearness: 'afar' };
  expect(sees('habit.crownForm', tree)).toBe(true);
  expect(sees('cone.attitude', tree)).toBe(false);
  expect(sees('cone.attitude', { ...tree, aids: ['eye', 'binoculars'] })).toBe(true);
  expect(sees('leaf.shape', tree)).toBe(false);
});

test('cones and acorns are shown with the fruit, needles with the leaves', () => {
  expect(sees('acorn.cupCover', { organs: ['fruit'] })).toBe(true);
  expect(sees('needle.bands', { organs: ['leaf'] })).toBe(true);
  expect(sees('needle.bands', { organs: ['twig'] })).toBe(false);
});

test('that a twig has leaves is no finding on a leaf', () => {
  expect(sees('foliage.present', { organs: ['leaf'] })).toBe(false);
  expect(sees('foliage.present', { organs: ['leaf', 'twig'] })).toBe(true);
});

test('every medium shows something by eye', () => {
  for (const medium of MEDIA) {
    expect(MEDIUM_VIEWS[medium].aids).toContain('eye');
    expect(MEDIUM_VIEWS[medium].organs.length).toBeGreaterThan(0);
  }
});

test('views that show the same have one key, whatever the order and the day', () => {
  expect(viewKey(view({ organs: ['leaf', 'twig'], day: 10 }))).toBe(
    viewKey(view({ organs: ['twig', 'leaf'], day: 300 })),
  );
  expect(viewKey(view({ aids: ['eye', 'lens'] }))).not.toBe(viewKey(view({})));
});

test('in words', () => {
  expect(viewInWords(view({ aids: ['eye', 'touch'] }))).toBe('twig, buds and leaves in hand; eye and touch');
  expect(viewInWords(view({ organs: ['habit', 'bark', 'site'], aids: ['eye'] }))).toBe(
    'form and place from a few steps back, bark in hand; eye',
  );
  expect([listInWords([]), listInWords(['a']), listInWords(['a', 'b', 'c'])]).toEqual([
    '',
    'a',
    'a, b and c',
  ]);
});

test('what is said of the leaves holds for its own day', () => {
  const leafy = view({ leaves: 'on' });
  expect(viewInWords(leafy)).toContain('in leaf');
  expect(onDay(leafy, 15)).toEqual(view({ day: 15 }));
});
