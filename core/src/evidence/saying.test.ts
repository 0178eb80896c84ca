import { profiled, viewOf } from '../testing/taxa.ts';
import { BUILT_IN, saidIn } from '../vocabulary/index.ts';
import { GERMAN } from '../vocabulary/german/index.ts';
import { comparedSizes, contrast, saidLines, settlingInWords, shownInWords, type Wording } from './index.ts';

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

test('by a vocabulary in German it is said in German', () => {
  const inGerman: Wording = { ...bare, vocabulary: saidIn(GERMAN, BUILT_IN) };
  expect(saidLines({ said: ['twig.needleScars', 'twig.color'] }, larch, birch, inGerman)).toMatchObject([
    { character: 'Nadelnarben am Zweig', shows: ['ja', 'nein'] },
    { character: 'Zweigfarbe', shows: ['orange', 'rotbraun'] },
  ]);
  expect(settlingInWords({ deciding: ['twig.color', 'bud.color'], said: ['twig.color'] }, inGerman)).toBe(
    'Zusammen mit Knospenfarbe entscheiden sie',
  );
  const length = inGerman.vocabulary.get('bud.length')!;
  const sizes = [0.02, 0.01].map((size) => ({ kind: 'range' as const, low: size, high: size }));
  expect(comparedSizes(sizes[0], sizes[1], length)).toEqual(['etwa doppelt so lang', 'kürzer']);
});

describe('sizes', () => {
  const pine = (epithet: string, length: string, bud = '10–20 mm') =>
    profiled('Pinus', epithet, {
      'foliage.kind': 'bundled needles',
      'needle.length': length,
      'bud.length': bud,
    });
  const shows = (a: string, b: string) =>
    saidLines({ said: ['needle.length'] }, pine('one', a), pine('other', b), wording)[0]!.shows;

  test.each([
    ['12–25 cm', '3–7 cm', ['several times as long, 12–25 cm', 'shorter, 3–7 cm']],
    ['3–7 cm', '12–25 cm', ['shorter, 3–7 cm', 'several times as long, 12–25 cm']],
    ['6–9 cm', '3–4.5 cm', ['about twice as long, 6–9 cm', 'shorter, 3–4.5 cm']],
    ['4–6 cm', '3–4 cm', ['half as long again, 4–6 cm', 'shorter, 3–4 cm']],
    ['4–6 cm', '4–5 cm', ['4–6 cm', '4–5 cm']],
  ])('%s beside %s are set against each other, the figure after it', (a, b, said) =>
    expect(shows(a, b)).toEqual(said),
  );
  test('each size has its own words: a trunk is thicker, a tree taller, a leaf wider', () => {
    const range = (low: number, high: number) => ({ kind: 'range' as const, low, high });
    const said = (id: string) => comparedSizes(range(2, 4), range(1, 2), BUILT_IN.get(id)!);
    expect(said('habit.dbh')).toEqual(['about twice as thick', 'thinner']);
    expect(said('habit.height')).toEqual(['about twice as tall', 'shorter']);
    expect(said('leaf.width')).toEqual(['about twice as wide', 'narrower']);
  });
  test('what is no size, not known, or said in two ways is left as it is', () => {
    expect(comparedSizes(undefined, { kind: 'range', low: 1 }, BUILT_IN.get('leaf.length')!)).toBeUndefined();
    expect(
      comparedSizes({ kind: 'range', low: 1 }, { kind: 'range', low: 9 }, BUILT_IN.get('site.soilPh')!),
    ).toBeUndefined();
    expect(
      comparedSizes(
        { kind: 'flag', frequency: 'always' },
        { kind: 'range', low: 9 },
        BUILT_IN.get('leaf.length')!,
      ),
    ).toBeUndefined();
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
