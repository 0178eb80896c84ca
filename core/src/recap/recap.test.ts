import { conditionInWords } from '../condition/index.ts';
import { profiled, viewOf } from '../testing/taxa.ts';
import { BUILT_IN } from '../vocabulary/index.ts';
import { recapOf } from './index.ts';

const view = viewOf(['twig', 'bud', 'leaf']);
const needles = (genus: string, epithet: string, more: Record<string, string>) =>
  profiled(genus, epithet, { 'foliage.kind': 'bundled needles', 'twig.color': 'only orange', ...more });
const list = [
  needles('Pinus', 'ponderosa', { 'needle.perBundle': '(2–)3', 'needle.length': '12–20 cm' }),
  needles('Pinus', 'contorta', { 'needle.perBundle': '2', 'needle.length': '3–7 cm' }),
  needles('Pinus', 'monticola', { 'needle.perBundle': '5', 'needle.length': '5–10 cm' }),
  needles('Pinus', 'flexilis', { 'needle.perBundle': '5', 'needle.length': '4–8 cm' }),
  profiled('Frangula', 'purshiana', {
    'foliage.kind': 'broad blade',
    'bud.scales': 'naked',
    'twig.armature': 'unarmed',
    'twig.color': 'only gray',
  }),
  profiled('Crataegus', 'douglasii', {
    'foliage.kind': 'broad blade',
    'bud.scales': 'several, overlapping',
    'twig.armature': 'single thorns',
    'twig.color': 'only orange',
  }),
];
const pines = ['pinus-ponderosa', 'pinus-contorta', 'pinus-monticola'];
const said = (set: string[]) =>
  Object.fromEntries(
    recapOf(list, set, BUILT_IN, view).map(({ taxonId, marks }) => [
      taxonId,
      marks.map((mark) => conditionInWords(mark, BUILT_IN, 'technical', 'metric')),
    ]),
  );

test('three pines by their needles in a bundle, not by length or color', () =>
  expect(said(pines)).toEqual({
    'pinus-ponderosa': ['needles per bundle: 3'],
    'pinus-contorta': ['needles per bundle: 2'],
    'pinus-monticola': ['needles per bundle: 5'],
  }));

test('what is shared with others of the list is named, what a tree cannot show is not shared', () => {
  const [ponderosa, , monticola] = recapOf(list, pines, BUILT_IN, view);
  expect(ponderosa).toMatchObject({ sharedInSet: [], sharedInList: [] });
  expect(monticola).toMatchObject({ sharedInSet: [], sharedInList: ['pinus-flexilis'] });
});

test('two that nothing tells apart are said to share it', () => {
  const found = recapOf(list, ['pinus-monticola', 'pinus-flexilis'], BUILT_IN, view);
  for (const { sharedInSet } of found) expect(sharedInSet).toHaveLength(1);
});

test('something to look for is said before something that is missing; naked buds are to be looked for', () =>
  expect(said(['frangula-purshiana', 'crataegus-douglasii'])).toEqual({
    'frangula-purshiana': ['bud scales: naked'],
    'crataegus-douglasii': ['armature: single thorns'],
  }));

test('a second thing is said only where the first leaves one of the set', () => {
  const birch = (epithet: string, veins: string, shape: string) =>
    profiled('Betula', epithet, {
      'foliage.kind': 'broad blade',
      'leaf.veins': veins,
      'bud.shape': shape,
    });
  const three = [
    birch('una', 'palmate', 'globose'),
    birch('altera', 'palmate', 'ovoid, pointed'),
    birch('tertia', 'arching to the tip', 'globose'),
  ];
  const [una, altera] = recapOf(
    three,
    three.map(({ taxon }) => taxon.id),
    BUILT_IN,
    view,
  );
  expect(una!.marks.map(({ characterId }) => characterId).sort()).toEqual(['bud.shape', 'leaf.veins']);
  expect(una!.sharedInSet).toEqual([]);
  expect(altera!.marks).toHaveLength(1);
});

test('two marks are said before one color that would do alone', () => {
  const of = (epithet: string, teeth: string, lobing: string, fruit: string) =>
    profiled('Una', epithet, {
      'foliage.kind': 'broad blade',
      'leaf.teeth': teeth,
      'leaf.lobing': lobing,
      'fruit.color': `only always ${fruit}`,
    });
  const list = [
    of('prima', 'doubly toothed', 'palmately lobed', 'green'),
    of('altera', 'entire', 'palmately lobed', 'red'),
    of('tertia', 'doubly toothed', 'unlobed', 'red'),
  ];
  const ids = list.map(({ taxon }) => taxon.id);
  const marks = (without: readonly string[] = []) =>
    recapOf(
      list.map(({ taxon, scores }) => ({
        taxon,
        scores: scores.filter(({ characterId }) => !without.includes(characterId)),
      })),
      ids,
      BUILT_IN,
      viewOf(['leaf', 'fruit'], 200),
    )[0]!.marks.map(({ characterId }) => characterId);
  expect(marks()).toEqual(expect.arrayContaining(['leaf.teeth', 'leaf.lobing']));
  expect(marks(['leaf.teeth'])).toEqual(['fruit.color']);
});

test('beside a relative, that is said by which manuals separate their genus', () => {
  const spruce = (epithet: string, tips: string, bark: string) =>
    profiled('Picea', epithet, {
      'foliage.kind': 'single needles',
      'needle.section': 'four-angled',
      'bud.scaleTips': tips,
      'bark.surface': `only always ${bark}`,
    });
  const list = [
    spruce('pungens', 'bent back', 'shallowly fissured'),
    spruce('engelmannii', 'pressed', 'thin scales'),
    profiled('Taxus', 'baccata', {
      'foliage.kind': 'single needles',
      'needle.section': 'flat',
      'bark.surface': 'only always thin scales',
    }),
    ...['a', 'b', 'c'].map((epithet) =>
      profiled('Tilia', epithet, {
        'foliage.kind': 'broad blade',
        'bark.surface': 'only always shallowly fissured',
      }),
    ),
  ];
  const [blue] = recapOf(
    list,
    ['picea-pungens', 'picea-engelmannii', 'taxus-baccata'],
    BUILT_IN,
    viewOf(['bark', 'twig', 'bud', 'leaf'], 300),
  );
  expect(blue!.marks.map(({ characterId }) => characterId)).toContain('bud.scaleTips');
});
