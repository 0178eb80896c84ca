import fc from 'fast-check';
import { contrastError } from '../evidence/index.ts';
import { profiled, viewOf } from '../testing/taxa.ts';
import { BUILT_IN } from '../vocabulary/index.ts';
import { choiceFairness, choicesOf, namesToChoose, stationFairness } from './index.ts';

const tree = (epithet: string, shape: string, teeth: string) =>
  profiled('Ficta', epithet, {
    'foliage.kind': 'broad',
    'leaf.composition': 'simple',
    'leaf.shape': shape,
    'leaf.teeth': teeth,
  });
const list = [
  tree('prima', 'ovate', 'single'),
  tree('secunda', 'ovate; sometimes elliptic', 'single'),
  tree('tertia', 'ovate', 'double'),
  tree('quarta', 'elliptic; sometimes ovate', 'single'),
  tree('quinta', 'fan', 'none'),
  tree('sexta', 'linear', 'none'),
];
const view = viewOf(['leaf'], 190);
const choose = (truth: string, seed: number) => choicesOf(truth, list, BUILT_IN, view, { seed });

test('the tree and the three that are least unlike it, in an order by lot that the seed repeats', () => {
  const places = new Set<number>();
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 2 ** 31 - 1 }), fc.constantFrom(...list), (seed, { taxon }) => {
      const chosen = choose(taxon.id, seed);
      expect(new Set(chosen).size).toBe(4);
      expect(choose(taxon.id, seed)).toEqual(chosen);
      places.add(chosen.indexOf(taxon.id));
      const errors = (ids: readonly string[]) =>
        ids.filter((id) => id !== taxon.id).map((id) => contrastError(list, taxon.id, id, BUILT_IN, view));
      const left = list.map((each) => each.taxon.id).filter((id) => !chosen.includes(id));
      expect(Math.min(...errors(chosen)) + 0.05).toBeGreaterThanOrEqual(Math.max(...errors(left)));
    }),
    { numRuns: 60 },
  );
  // The right one stands in every place.
  expect([...places].sort()).toEqual([0, 1, 2, 3]);
});

test('where nothing is taken for it, its relatives and what is like it are offered, not what is only little known', () => {
  const named = (genus: string, epithet: string, scores: Record<string, string>) =>
    profiled(genus, epithet, { 'foliage.kind': 'single needles', ...scores });
  const needles = [
    named('Abies', 'prima', {
      'needle.tip': 'notched',
      'needle.scar': 'round, flush',
      'needle.section': 'flat',
    }),
    named('Abies', 'altera', {
      'needle.tip': 'pricking',
      'needle.scar': 'round, flush',
      'needle.section': 'flat',
    }),
    named('Tsuga', 'una', { 'needle.tip': 'blunt', 'needle.scar': 'small peg', 'needle.section': 'flat' }),
    named('Picea', 'una', {
      'needle.tip': 'pricking',
      'needle.scar': 'woody square peg',
      'needle.section': 'four-angled',
    }),
    profiled('Thuja', 'nota', { 'foliage.kind': 'scales' }),
    profiled('Juniperus', 'nota', { 'foliage.kind': 'scales' }),
  ];
  const chosen = choicesOf('abies-prima', needles, BUILT_IN, viewOf(['leaf', 'twig']), { seed: 3 });
  expect(chosen.sort()).toEqual(['abies-altera', 'abies-prima', 'picea-una', 'tsuga-una']);
});

test('a short list offers what it has; a tree that is not on it cannot be asked for', () => {
  expect(choicesOf('ficta-prima', list.slice(0, 2), BUILT_IN, view, { seed: 1 }).sort()).toEqual([
    'ficta-prima',
    'ficta-secunda',
  ]);
  expect(() => choose('ficta-nulla', 1)).toThrow('on the taught list');
});

test('a choice is fair where the four can be told apart, however many more of the list cannot', () => {
  // Six that share everything but the margin: of all, five tie with any; of four, three do.
  const same = Array.from({ length: 5 }, (_, i) => tree(`par${i}`, 'ovate', 'single'));
  const wide = [...list, ...same];
  const free = stationFairness(wide, 'ficta-par0', BUILT_IN, view).right;
  const chosen = choiceFairness(wide, 'ficta-par0', BUILT_IN, view).right;
  expect(free).toBeLessThan(0.25);
  expect(chosen).toBeGreaterThan(free + 0.03);
  expect(chosen).toBeCloseTo(0.25, 1);
  const three = choiceFairness(list, 'ficta-quinta', BUILT_IN, view);
  expect(three.judgement).toBe('fair');
});

test('names to choose are those that the marks ask for, and one that two trees bear is offered once', () => {
  const taxa = list.map(({ taxon }) => ({ ...taxon, commonNames: [taxon.epithet] }));
  const ids = ['ficta-prima', 'ficta-secunda', 'nobody'];
  expect(namesToChoose(ids, taxa, 'genus')).toEqual([
    { name: 'Ficta', latin: true, answer: { genus: 'Ficta' } },
  ]);
  expect(namesToChoose(ids, taxa, 'common').map(({ answer }) => answer)).toEqual([
    { name: 'prima' },
    { name: 'secunda' },
  ]);
  expect(namesToChoose(ids, taxa, 'binomialFamily')[0]).toEqual({
    name: 'Ficta prima',
    latin: true,
    answer: { genus: 'Ficta', epithet: 'prima', family: 'Fictaaceae' },
  });
});
