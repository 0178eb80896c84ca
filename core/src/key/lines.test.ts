import { profiled, viewOf } from '../testing/taxa.ts';
import { BUILT_IN } from '../vocabulary/index.ts';
import { buildKey, couplets, keyLines, nodeAt, type Key } from './index.ts';
import { leadInWords } from './lines.ts';

const list = [
  profiled('Acer', 'rubrum', {
    'foliage.kind': 'broad blade',
    'twig.arrangement': 'opposite',
    'leaf.lobing': 'palmately lobed',
  }),
  profiled('Cornus', 'sericea', {
    'foliage.kind': 'broad blade',
    'twig.arrangement': 'opposite',
    'leaf.lobing': 'unlobed',
  }),
  profiled('Quercus', 'alba', {
    'foliage.kind': 'broad blade',
    'twig.arrangement': 'alternate',
    'leaf.lobing': 'pinnately lobed',
  }),
  profiled('Abies', 'grandis', { 'foliage.kind': 'single needles', 'needle.length': '3–5 cm' }),
  profiled('Pinus', 'strobus', { 'foliage.kind': 'bundled needles', 'needle.perBundle': '5' }),
];
const key: Key = buildKey(list, BUILT_IN, viewOf(['twig', 'bud', 'leaf']), { order: 'book' } as never);
const lines = (layout: 'bracketed' | 'indented') => keyLines(key, layout, BUILT_IN, 'technical', 'metric');

test('both layouts have the same leads, each couplet its number and each lead its own', () => {
  const [bracketed, indented] = [lines('bracketed'), lines('indented')];
  expect(bracketed).toHaveLength(couplets(key).reduce((sum, { couplet }) => sum + couplet.leads.length, 0));
  const labels = (of: typeof bracketed) => of.map(({ label }) => label).sort();
  expect(labels(indented)).toEqual(labels(bracketed));
  expect(new Set(labels(bracketed)).size).toBe(bracketed.length);
  expect(bracketed[0]!.label).toBe('1');
  expect(bracketed[1]!.label).toBe('1′');
});

test('in a bracketed key the leads of a couplet stand together and nothing is set in', () => {
  const numbers = lines('bracketed').map(({ couplet }) => couplet);
  expect([...numbers].sort((a, b) => a - b)).toEqual(numbers);
  expect(lines('bracketed').every(({ depth }) => depth === 0)).toBe(true);
});

test('in an indented key each lead is followed by what lies below it, one step in', () => {
  const all = lines('indented');
  all.forEach(({ to, depth }, i) => {
    if (!('couplet' in to)) return;
    expect(all[i + 1]).toMatchObject({ couplet: to.couplet, depth: depth + 1 });
  });
});

test('every number that is led to is a couplet further on, and every tree is at an end', () => {
  const all = lines('bracketed');
  for (const { couplet, to } of all) if ('couplet' in to) expect(to.couplet).toBeGreaterThan(couplet);
  const ends = all.flatMap(({ to }) => ('taxa' in to ? to.taxa : []));
  expect(new Set(ends)).toEqual(new Set(list.map(({ taxon }) => taxon.id)));
});

test('the path of a line leads to its couplet', () => {
  for (const { path, condition } of lines('indented')) {
    const node = nodeAt(key, path);
    expect(node?.kind === 'couplet' && node.leads.some((lead) => lead.condition === condition)).toBe(true);
  }
});

test('a key begins with the kind of foliage, as manuals do', () =>
  expect(
    lines('bracketed')
      .slice(0, 2)
      .map(({ words }) => words),
  ).toEqual([expect.stringMatching(/needle|bundle|broad/i), expect.stringMatching(/needle|bundle|broad/i)]));

test('an instructor’s own words take the place of the conditions, which come one after the other', () => {
  const [{ couplet } = { couplet: undefined }] = couplets(key);
  const [lead, other] = couplet!.leads;
  expect(leadInWords({ ...lead!, words: 'Leaves flat' }, BUILT_IN, 'plain', 'metric')).toBe('Leaves flat');
  const two = { ...lead!, also: [other!.condition] };
  expect(leadInWords(two, BUILT_IN, 'technical', 'metric').split('; ')).toHaveLength(2);
});

describe('what clinches a name', () => {
  const maples = ['rubrum', 'saccharum', 'nigrum', 'negundo'].map((epithet, i) =>
    profiled('Acer', epithet, {
      'foliage.kind': 'broad blade',
      'twig.arrangement': 'opposite',
      'leaf.lobing': i < 2 ? 'palmately lobed' : 'unlobed',
      'leaf.teeth': i % 2 ? 'entire' : 'doubly toothed',
      'bud.scales': ['two, valvate', 'several, overlapping', 'one cap', 'naked'][i]!,
      'twig.color': ['red', 'brown', 'grey', 'green'][i]!,
      ...(epithet === 'negundo' ? {} : { 'bud.length': '3–5 mm' }),
    }),
  );
  const built = buildKey(maples, BUILT_IN, viewOf(['twig', 'bud', 'leaf']));
  const ends = (of: Key) => {
    const found: { taxa: string[]; clinch?: { characterId: string } }[] = [];
    for (const { couplet } of couplets(of))
      for (const { to } of couplet.leads) if (to.kind === 'end') found.push(to);
    return found;
  };

  test('each end of one name has its mark, which the tree shows and none of those near it', () => {
    expect(ends(built)).toHaveLength(4);
    for (const { clinch } of ends(built)) expect(clinch).toBeDefined();
  });
  test('it is no color and no size where a mark serves', () => {
    const said = ends(built).map(({ clinch }) => clinch!.characterId);
    expect(said).not.toContain('twig.color');
    expect(said).not.toContain('bud.length');
  });
  test('it is nothing that the one beside it in the key shows as well, however rare it is among the others', () => {
    const conifers = ['glauca', 'pungens', 'alba', 'balsamea', 'fraseri', 'nigra'].map((epithet, i) =>
      profiled(i < 2 ? 'Picea' : 'Abies', epithet, {
        'foliage.kind': 'single needles',
        'needle.section': i < 2 ? 'four-angled' : 'flat',
        'twig.hair': i % 2 ? 'dense' : 'glabrous',
        'needle.tip': ['pricking', 'pricking', 'blunt', 'blunt', 'notched', 'notched'][i]!,
      }),
    );
    const keyed = buildKey(conifers, BUILT_IN, viewOf(['twig', 'leaf']));
    const spruces = ends(keyed).filter(({ taxa: [id] }) => id!.startsWith('picea'));
    expect(spruces.map(({ clinch }) => clinch?.characterId)).toEqual(['twig.hair', 'twig.hair']);
  });
  test('it stands behind the name in the lines of the key, in words', () => {
    const at = keyLines(built, 'bracketed', BUILT_IN, 'technical', 'metric').flatMap(({ to }) =>
      'taxa' in to ? [to.clinch] : [],
    );
    expect(at).toHaveLength(4);
    expect(at.every((words) => words && words.length > 3)).toBe(true);
  });
  test('an end of several names has none', () => {
    const twins = [...maples, { ...maples[0]!, taxon: { ...maples[0]!.taxon, id: 'acer-twin' } }];
    const together = ends(buildKey(twins, BUILT_IN, viewOf(['twig', 'bud', 'leaf']))).filter(
      ({ taxa }) => taxa.length > 1,
    );
    expect(together.map(({ clinch }) => clinch)).toEqual([undefined]);
  });
});

test('what applies to few specimens of a tree clinches nothing of it: a maple with simple leaves has no leaflets to count', () => {
  const maple = (epithet: string, composition: string, scales: string) =>
    profiled('Acer', epithet, {
      'foliage.kind': 'broad blade',
      'leaf.composition': composition,
      'leaf.leaflets': '3',
      'bud.scales': scales,
    });
  const pair = [
    maple('glabrum', 'usually simple; sometimes three leaflets', 'two, valvate'),
    profiled('Acer', 'platanoides', {
      'foliage.kind': 'broad blade',
      'leaf.composition': 'simple',
      'bud.scales': 'several, overlapping',
    }),
  ];
  const said = JSON.stringify(buildKey(pair, BUILT_IN, viewOf(['leaf', 'twig', 'bud'])));
  expect(said).toContain('bud.scales');
  expect(said).not.toContain('leaf.leaflets');
});
