import { dateOfDay, parseArcs } from '../season/index.ts';
import { BUILT_IN } from '../vocabulary/index.ts';
import { parseRange, type RangeValue } from './index.ts';

/** Lengths in metres, densities in kg/m³, counts and angles as they are. */
const FORMS: [string, string, Partial<RangeValue>][] = [
  // Ranges with extremes
  ['(4)5–9(10)', 'leaf.lobes', { min: 4, low: 5, high: 9, max: 10 }],
  ['(4–)5–9(–10)', 'leaf.lobes', { min: 4, low: 5, high: 9, max: 10 }],
  ['(4-) 5-9 (-10)', 'leaf.lobes', { min: 4, low: 5, high: 9, max: 10 }],
  ['(2)3–5', 'leaf.lobes', { min: 2, low: 3, high: 5 }],
  ['3–5(7)', 'leaf.lobes', { low: 3, high: 5, max: 7 }],
  ['(1.5)2–4(5.5) cm', 'leaf.length', { min: 0.015, low: 0.02, high: 0.04, max: 0.055 }],
  ['(1)3–5(7) in', 'leaf.length', { min: 0.0254, low: 0.0762, high: 0.127, max: 0.1778 }],
  // Dashes and words between the ends
  ['5-9', 'leaf.lobes', { low: 5, high: 9 }],
  ['5 — 9', 'leaf.lobes', { low: 5, high: 9 }],
  ['5 − 9', 'leaf.lobes', { low: 5, high: 9 }],
  ['5 to 9', 'leaf.lobes', { low: 5, high: 9 }],
  ['5 or 7', 'leaf.leaflets', { low: 5, high: 7 }],
  ['5..9', 'leaf.lobes', { low: 5, high: 9 }],
  // Open ends, steps, single values
  ['3', 'needle.perBundle', { low: 3, high: 3 }],
  ['9–13, odd', 'leaf.leaflets', { low: 9, high: 13, step: 2 }],
  ['4-8 even', 'leaf.leaflets', { low: 4, high: 8, step: 2 }],
  ['10–many', 'needle.perSpur', { low: 10, open: true }],
  ['30+', 'needle.perSpur', { low: 30, open: true }],
  ['to 25 m', 'habit.height', { high: 25 }],
  ['up to 80 ft', 'habit.height', { high: 24.384 }],
  ['under 6 m', 'habit.height', { high: 6 }],
  ['about 5 cm', 'leaf.length', { typical: 0.05 }],
  ['ca. 5 cm', 'leaf.length', { typical: 0.05 }],
  ['~3 in', 'leaf.length', { typical: 0.0762 }],
  // Units
  ['4–7', 'leaf.length', { low: 0.04, high: 0.07 }],
  ['4–7 cm', 'leaf.length', { low: 0.04, high: 0.07 }],
  ['40–70 mm', 'leaf.length', { low: 0.04, high: 0.07 }],
  ['4-7 in', 'leaf.length', { low: 0.1016, high: 0.1778 }],
  ['4 in - 7 in', 'leaf.length', { low: 0.1016, high: 0.1778 }],
  ['4-7 inches', 'leaf.length', { low: 0.1016, high: 0.1778 }],
  ['4–7"', 'leaf.length', { low: 0.1016, high: 0.1778 }],
  ['4–7″', 'leaf.length', { low: 0.1016, high: 0.1778 }],
  ['60–90 ft', 'habit.height', { low: 18.288, high: 27.432 }],
  ["60–90'", 'habit.height', { low: 18.288, high: 27.432 }],
  ['60–90 feet', 'habit.height', { low: 18.288, high: 27.432 }],
  ['18–27 meters', 'habit.height', { low: 18, high: 27 }],
  ['12–24 in', 'habit.dbh', { low: 0.3048, high: 0.6096 }],
  ['3–6 millimetres', 'bud.length', { low: 0.003, high: 0.006 }],
  // Fractions and decimals
  ['1/4–1/2 in', 'bud.length', { low: 0.00635, high: 0.0127 }],
  ['¼–½ in', 'bud.length', { low: 0.00635, high: 0.0127 }],
  ['1 1/2–3 in', 'leaf.length', { low: 0.0381, high: 0.0762 }],
  ['2½–3¾"', 'leaf.length', { low: 0.0635, high: 0.09525 }],
  ['⅜ in', 'bud.length', { low: 0.009525, high: 0.009525 }],
  ['.5–.8 cm', 'fruit.length', { low: 0.005, high: 0.008 }],
  ['0.5-0.8cm', 'fruit.length', { low: 0.005, high: 0.008 }],
  // Densities, angles, shares
  ['28–32 lb/ft³', 'wood.density', { low: 448.518, high: 512.592 }],
  ['28-32 lb/ft3', 'wood.density', { low: 448.518, high: 512.592 }],
  ['0.40–0.45 g/cm³', 'wood.density', { low: 400, high: 450 }],
  ['400–450 kg/m³', 'wood.density', { low: 400, high: 450 }],
  ['30–80°', 'fruit.samaraAngle', { low: 30, high: 80 }],
  ['30 to 80 degrees', 'fruit.samaraAngle', { low: 30, high: 80 }],
  ['30–50 %', 'acorn.cupCover', { low: 30, high: 50 }],
  ['4–6 per cm', 'leaf.teethPerCm', { low: 4, high: 6 }],
  ['80–150 yrs', 'habit.lifespan', { low: 80, high: 150 }],
];

test.each(FORMS)('%s for %s', (text, id, expected) => {
  const read = parseRange(text, BUILT_IN.get(id)!);
  expect(read).toEqual({
    ok: true,
    value: {
      kind: 'range',
      ...Object.fromEntries(
        Object.entries(expected).map(([end, n]) => [end, typeof n === 'number' ? expect.closeTo(n, 6) : n]),
      ),
    },
  });
});

/** Month and day of both ends of each arc. */
const MONTHS: [string, string][] = [
  ['Apr–May', '1.4–31.5'],
  ['April to May', '1.4–31.5'],
  ['Apr. – May', '1.4–31.5'],
  ['late Jun–Aug', '21.6–31.8'],
  ['late June to August', '21.6–31.8'],
  ['mid-May – early Oct', '11.5–10.10'],
  ['10 May – 15 Oct', '10.5–15.10'],
  ['May 10 - Oct 15', '10.5–15.10'],
  ['May 10th to October 15th', '10.5–15.10'],
  ['Nov–Feb', '1.11–28.2'],
  ['from April through June', '1.4–30.6'],
  ['end of April – May', '21.4–31.5'],
  ['beginning of May', '1.5–10.5'],
  ['in September', '1.9–30.9'],
  ['Apr–May; Sep', '1.4–31.5 1.9–30.9'],
  ['Apr–May, Sep', '1.4–31.5 1.9–30.9'],
  ['all year', '1.1–31.12'],
  ['year-round', '1.1–31.12'],
];

test.each(MONTHS)('%s in the year', (text, expected) => {
  const read = parseArcs(text);
  if (!read.ok) throw new Error(read.problem);
  const written = (day: number) => {
    const date = dateOfDay(day);
    return `${date.day}.${date.month}`;
  };
  expect(read.value.map((arc) => `${written(arc.from)}–${written(arc.to)}`).join(' ')).toBe(expected);
});

test('the table holds at least sixty written forms', () =>
  expect(FORMS.length + MONTHS.length).toBeGreaterThanOrEqual(60));
