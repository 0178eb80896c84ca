import { profiled, viewOf } from '../testing/taxa.ts';
import { BUILT_IN } from '../vocabulary/index.ts';
import { needsInWords, stationFairness, withoutSenses } from './index.ts';

/** Two that only their smell parts, and a third that only its color does. */
const common = { 'foliage.kind': 'broad blade', 'twig.arrangement': 'alternate', 'bud.shape': 'globose' };
const bitter = profiled('Ficta', 'amara', {
  ...common,
  'twig.odor': 'bitter almond',
  'twig.color': 'only brown',
});
const plain = profiled('Ficta', 'inodora', { ...common, 'twig.odor': 'none', 'twig.color': 'only brown' });
const red = profiled('Ficta', 'rubra', { ...common, 'twig.odor': 'none', 'twig.color': 'only red' });
const list = [bitter, plain, red];
const twig = viewOf(['twig', 'bud']);
const right = (id: string) => stationFairness(list, id, BUILT_IN, twig).right;
const without = (id: string, needs: Parameters<typeof withoutSenses>[0], view = twig) =>
  withoutSenses(needs, list, id, BUILT_IN, view, right(id));

test('who does not smell is told where only the smell parts two trees, and where it does not nothing is said', () => {
  const [found] = without('ficta-amara', ['noSmell', 'noTouch', 'spelling', 'seated']);
  expect(found!.need).toBe('noSmell');
  expect(found!.right).toBeLessThan(right('ficta-amara') - 0.2);
  expect(without('ficta-rubra', ['noSmell'])).toEqual([]);
});

test('color is left out as a sense is', () => {
  expect(without('ficta-rubra', ['color'])).toMatchObject([{ need: 'color' }]);
  expect(without('ficta-amara', ['color'])).toEqual([]);
});

test('a sense that nobody uses at a station is missed by nobody', () => {
  expect(without('ficta-amara', ['noSmell'], { ...twig, aids: ['eye'] })).toEqual([]);
});

test('a plan says what is missed and names nobody; seats matter at trees alone', () => {
  const found = [{ need: 'noSmell' as const, right: 0.714 }];
  expect(needsInWords(found, ['noSmell', 'seated'], 'cutting')).toEqual([
    'Without smell 71 of 100 can tell it.',
  ]);
  expect(needsInWords([], ['seated'], 'livingTree')).toEqual([
    'Somebody goes without steps and looks from a seat: is it reached and seen so?',
  ]);
});
