import { arcsAsText, checkCalendar, parseArcs, type Calendar } from '../season/index.ts';
import { BUILT_IN } from '../vocabulary/index.ts';
import { checkScores, parseScore, slipOf, type Score, type ScoreValue } from './index.ts';

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
  ['4,5 cm', 'leaf.length', '4.5 cm'],
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
  ['a bud of 6 cm', [['bud.length', '4–6 cm']], '0.04–0.06 cm'],
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
