import { profiled, viewOf } from '../testing/taxa.ts';
import type { View } from '../view/index.ts';
import { BUILT_IN } from '../vocabulary/index.ts';
import { checklistOf, offeredInWords } from './index.ts';

const LIST = [
  profiled('Aa', 'una', {
    'bud.scales': 'naked',
    'bud.hair': 'none',
    'twig.zigzag': 'always',
    'leaf.length': '4–8 cm',
    'leaf.width': '2–4 cm',
  }),
  profiled('Aa', 'bina', {
    'bud.scales': 'naked',
    'bud.hair': 'woolly',
    'twig.zigzag': 'always',
    'leaf.length': '4–8 cm',
    'leaf.width': '2–4 cm',
  }),
  profiled('Bb', 'una', {
    'bud.scales': 'two valvate',
    'bud.hair': 'none',
    'twig.zigzag': 'always',
    'leaf.length': '9–20 cm',
    'leaf.width': '5–11 cm',
  }),
];
const view: View = { ...viewOf(['bud', 'twig', 'leaf']), aids: ['eye', 'lens'] };
const listOf = (seed: number, offered?: ReadonlyMap<string, number>, shown = view) =>
  checklistOf('aa-una', LIST, BUILT_IN, shown, { seed, ...(offered ? { offered } : {}) });

test('a checklist offers what can be seen of the tree, one of near-duplicates, whether it tells or not', () => {
  const list = listOf(1);
  expect(list).toEqual(expect.arrayContaining(['bud.scales', 'bud.hair', 'twig.zigzag']));
  expect(list.filter((id) => id === 'leaf.length' || id === 'leaf.width')).toHaveLength(1);
  expect(listOf(1)).toEqual(list);
});

test('where too little can be seen, and of a tree that is not on the list, nothing is asked', () => {
  expect(listOf(1, undefined, viewOf(['bark']))).toEqual([]);
  expect(checklistOf('cc-una', LIST, BUILT_IN, view, { seed: 1 })).toEqual([]);
});

test('what is known already gives way to what is doubtful, where there is more than fits', () => {
  const many = Object.fromEntries(
    [...BUILT_IN.values()]
      .filter(({ organ, derived }) => (organ === 'leaf' || organ === 'twig' || organ === 'bud') && !derived)
      .flatMap(({ id, kind, states }) =>
        kind === 'flag' ? [[id, 'always']] : states[0] ? [[id, states[0].term]] : [],
      ) as [string, string][],
  );
  const list = [profiled('Dd', 'una', many), profiled('Dd', 'bina', many)];
  const shown: View = {
    ...viewOf(['twig', 'bud', 'leaf', 'fruit', 'bark', 'habit', 'flower']),
    aids: ['eye', 'lens', 'touch'],
  };
  const offeredWith = (doubtful: Record<string, number>) =>
    Array.from({ length: 40 }, (_, seed) =>
      checklistOf('dd-una', list, BUILT_IN, shown, { seed: seed + 1, doubtful }),
    ).flat();
  const usual = offeredWith({});
  const [known] = usual;
  const count = (ids: readonly string[]) => ids.filter((id) => id === known).length;
  expect(new Set(usual).size).toBeGreaterThan(18);
  expect(count(offeredWith({ [known!]: 0.01 }))).toBeLessThan(count(usual) / 2);
});

test('a checklist is put into the words of the course, organ by organ; what is no character any more is left out', () => {
  const ids = ['twig.zigzag', 'bud.scales', 'bud.hair', 'bud.gone'];
  const [twig, bud, ...more] = offeredInWords(ids, BUILT_IN, 'technical');
  expect(more).toEqual([]);
  expect(twig).toMatchObject({ organ: 'twig', characters: [{ id: 'twig.zigzag' }] });
  expect(bud!.characters.map(({ id }) => id)).toEqual(['bud.scales', 'bud.hair']);
  const plain = offeredInWords(['bud.scales'], BUILT_IN, 'plain')[0]!.characters[0]!;
  expect(plain.word).toBe(BUILT_IN.get('bud.scales')!.plain);
});
