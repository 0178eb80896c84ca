import { arcsAsText, checkCalendar, parseArcs, type Calendar } from '../season/index.ts';
import { BUILT_IN } from '../vocabulary/index.ts';
import {
  checkScores,
  parseScore,
  relatives,
  sizesOf,
  slipOf,
  slipsOf,
  type Score,
  type ScoreValue,
} from './index.ts';

const value = (text: string, id: string): ScoreValue => {
  const read = parseScore(text, BUILT_IN.get(id)!);
  if (!read.ok) throw new Error(read.problem);
  return read.value;
};
const score = (characterId: string, text: string): Score => ({
  characterId,
  sourceId: 'manual',
  qualifiers: {},
  value: value(text, characterId),
});

/** Slips that cannot be read at all, and the text offered instead. */
const UNREADABLE: [string, string, string][] = [
  ['28–32 lb/ft2', 'wood.density', '28–32 lb/ft³'],
  ['28 lb per square foot', 'wood.density', '28 lb/ft³'],
  ['5-9-10', 'leaf.lobes', '5–9(10)'],
  ['(4 5–9', 'leaf.lobes', '(4)5–9'],
  ['5–9 cm', 'leaf.lobes', '5–9'],
  ['2.5', 'needle.perBundle', '2–3'],
  ['4-7 inchs', 'leaf.length', '4-7 in'],
  ['1O–15 cm', 'leaf.length', '10–15 cm'],
  ['4–7 kg', 'leaf.length', '4–7 cm'],
  ['eliptic', 'leaf.shape', 'elliptic'],
  ['ovate; somtimes lanceolate', 'leaf.shape', ''],
  ['ovate; sometimes lanceolat', 'leaf.shape', 'ovate; sometimes lanceolate'],
  ['oposite', 'twig.arrangement', 'opposite'],
];

test.each(UNREADABLE.filter(([, , mended]) => mended))(
  '“%s” for %s is offered as “%s”',
  (text, id, mended) => {
    const character = BUILT_IN.get(id)!;
    expect(parseScore(text, character).ok).toBe(false);
    expect(slipOf(text, character)).toEqual({ text: mended });
    expect(parseScore(mended, character).ok).toBe(true);
  },
);

/** Slips that can be read and cannot be meant: the scores as typed, and the value offered for the first. */
const READABLE: [string, [string, string][], string | null][] = [
  ['low above high', [['leaf.length', '9–4 cm']], '4–9 cm'],
  ['a leaf of 40 m', [['leaf.length', '40 m']], '40 cm'],
  ['a bud of 6 cm', [['bud.length', '4–6 cm']], '4–6 mm'],
  ['a tree of 300 m', [['habit.height', '300 m']], '30 m'],
  ['a density of 4500', [['wood.density', '4500 kg/m³']], '450 kg/m³'],
  ['a density in lb/ft³ without its unit', [['wood.density', '28 kg/m³']], '28 lb/ft³'],
  ['a trunk in feet for inches', [['habit.dbh', '16–24 ft']], '16–24 in'],
  ['a mountain in feet', [['site.elevation', '9000–12000 m']], '9000–12000 ft'],
  ['a tree of 12 cm', [['habit.height', '8–9 cm']], '8–9 m'],
  ['the front extreme above the low', [['leaf.lobes', '(7)5–9']], '(5)7–9'],
  ['the back extreme below the high', [['leaf.lobes', '5–9(8)']], '5–8(9)'],
  ['a cup that covers 120 %', [['acorn.cupCover', '40–120 %']], '40–100 %'],
  [
    'two states that are both always',
    [['twig.arrangement', 'always opposite; always alternate']],
    'opposite; sometimes alternate',
  ],
  [
    'leaflets on a simple leaf',
    [
      ['leaf.leaflets', '5–7'],
      ['leaf.composition', 'simple'],
    ],
    null,
  ],
  [
    'a needle wider than long',
    [
      ['needle.length', '1–2 mm'],
      ['needle.width', '30–50 mm'],
    ],
    '30–50 mm',
  ],
  ['a density of 0.4 kg/m³', [['wood.density', '0.4 kg/m³']], '400 kg/m³'],
];

test.each(READABLE)('%s', (_what, typed, offered) => {
  const scores = typed.map(([id, text]) => score(id, text));
  const id = typed[0]![0];
  const found = checkScores(scores, BUILT_IN).find((problem) => problem.characterId === id);
  expect(found?.repair).toBeDefined();
  if (offered === null) return expect(found!.repair!.value).toBeNull();
  expect(approximately(found!.repair!.value!)).toEqual(approximately(value(offered, id)));
  const after = scores.map((entry, i) => (i === 0 ? { ...entry, value: found!.repair!.value! } : entry));
  expect(checkScores(after.slice(0, 1), BUILT_IN)).toEqual([]);
});

test.each([
  ['fifty needles in a bundle', 'needle.perBundle', '50'],
  ['a tree of a kilometre', 'habit.height', '4000 m'],
  ['a soil beyond any', 'site.soilPh', '12'],
])('%s is asked about without a repair', (_what, id, text) => {
  const [found] = checkScores([score(id, text)], BUILT_IN);
  expect(found?.message).toMatch(/Is it right|cannot be/);
  expect(found?.repair?.label ?? '').not.toMatch(/mean/);
});

test('a repair lies near what the relatives show; what lies far from them is asked about', () => {
  const maples = relatives([[score('leaf.width', '4–9 cm')], [score('leaf.width', '8–14 cm')]]);
  expect(maples('leaf.width')).toEqual([0.04, 0.14]);
  // One relative is no family.
  expect(relatives([[score('leaf.width', '4–9 cm')]])('leaf.width')).toBeUndefined();
  const narrow = [score('leaf.width', '2–4 mm')];
  const [found] = checkScores(narrow, BUILT_IN, maples);
  expect(found).toMatchObject({ severity: 'warning', repair: { value: { low: 0.02, high: 0.04 } } });
  expect(checkScores(narrow, BUILT_IN)).toEqual([]);
  expect(checkScores([score('leaf.width', '15–20 cm')], BUILT_IN, maples)).toEqual([]);
});

test('where two repairs are plausible, both are offered', () => {
  const [found] = checkScores([score('leaf.length', '1.5 mm')], BUILT_IN);
  expect([found?.repair?.label, found?.orElse?.label]).toEqual([
    'Did you mean 15 cm?',
    'Did you mean 1.5 cm?',
  ]);
  // Metres for centimetres, or feet for inches.
  const [trunk] = checkScores([score('habit.dbh', '48 ft')], BUILT_IN);
  expect([trunk?.repair?.label, trunk?.orElse?.label]).toEqual([
    'Did you mean 122 cm?',
    'Did you mean 14.6 cm?',
  ]);
});

test('nothing unreadable is mended into what cannot be', () => {
  expect(slipsOf('4–7 kg', BUILT_IN.get('leaf.length')!)).toEqual([{ text: '4–7 cm' }]);
  expect(slipsOf('450 stones', BUILT_IN.get('leaf.length')!)).toEqual([]);
  expect(slipsOf('1/0 in', BUILT_IN.get('leaf.length')!)).toEqual([]);
});

test('length by width is taken apart for both rows, with the unit of the one behind', () => {
  expect(sizesOf('4–7 × 2–3 cm', BUILT_IN.get('leaf.length')!)).toEqual([
    { characterId: 'leaf.length', text: '4–7 cm' },
    { characterId: 'leaf.width', text: '2–3 cm' },
  ]);
  expect(slipsOf('4-7 x 2-3 cm', BUILT_IN.get('leaf.width')!)).toEqual([{ text: '2-3 cm' }]);
});

const approximately = (given: ScoreValue) =>
  Object.fromEntries(
    Object.entries(given).map(([key, n]) => [key, typeof n === 'number' ? Number(n.toPrecision(6)) : n]),
  );

const calendar = (parts: Record<string, string>): Calendar =>
  Object.fromEntries(
    Object.entries(parts).map(([part, text]) => {
      const arcs = parseArcs(text);
      if (!arcs.ok) throw new Error(arcs.problem);
      return [part, arcs.value];
    }),
  );

test.each([
  ['leaves of the other hemisphere', { leaves: '5 Nov – 10 Apr' }, 47, 'leaves', '6 May – 9 Oct'],
  ['leaves with their ends swapped', { leaves: '15 Oct – 10 May' }, 47, 'leaves', '10 May – 15 Oct'],
  ['autumn color in March', { autumnColor: '15 Mar – 10 Apr' }, 47, 'autumnColor', '13 Sep – 9 Oct'],
  [
    'ripe fruit before the flowers',
    { flowers: '1 Jun – 30 Jun', fruitRipe: '1 May – 31 May' },
    47,
    'fruitRipe',
    '1 Jun – 30 Jun',
  ],
] as const)('%s', (_what, parts, latitude, part, offered) => {
  const found = checkCalendar(calendar(parts), latitude).find((problem) => problem.part === part);
  expect(found && arcsAsText(found.repair!.arcs)).toBe(offered);
});

test('a calendar that is right in the south is left alone there', () => {
  expect(checkCalendar(calendar({ leaves: '15 Sep – 20 Apr' }), -41)).toEqual([]);
  expect(checkCalendar(calendar({ leaves: '1 May – 15 Oct', flowers: 'Apr', fruitRipe: 'Jun' }), 47)).toEqual(
    [],
  );
});

test('at least twenty slips are caught', () =>
  expect(UNREADABLE.length + READABLE.length + 4).toBeGreaterThanOrEqual(20));
