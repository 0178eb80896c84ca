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
