import fc from 'fast-check';
import { BUILT_IN } from '../vocabulary/index.ts';
import {
  checkScores,
  parseRange,
  parseScore,
  reconcile,
  stateWeights,
  valueInWords,
  valuesDisagree,
  type RangeValue,
  type Score,
  type ScoreValue,
} from './index.ts';

const character = (id: string) => BUILT_IN.get(id)!;
const range = (text: string, id: string): RangeValue => {
  const read = parseRange(text, character(id));
  if (!read.ok) throw new Error(read.problem);
  return read.value;
};

test.each<[string, string, Partial<RangeValue>]>([
  ['(4)5–9(10)', 'leaf.lobes', { min: 4, low: 5, high: 9, max: 10 }],
  ['(4-)5-9(-10)', 'leaf.lobes', { min: 4, low: 5, high: 9, max: 10 }],
  ['5 - 9', 'leaf.lobes', { low: 5, high: 9 }],
  ['5 or 7', 'leaf.leaflets', { low: 5, high: 7 }],
  ['9–13, odd', 'leaf.leaflets', { low: 9, high: 13, step: 2 }],
  ['10–many', 'needle.perSpur', { low: 10, open: true }],
  ['15-30+', 'needle.perSpur', { low: 15, high: 30, open: true }],
  ['3', 'needle.perBundle', { low: 3, high: 3 }],
  ['4–7 cm', 'leaf.length', { low: 0.04, high: 0.07 }],
  ['4–7', 'leaf.length', { low: 0.04, high: 0.07 }],
  ['40 to 70 mm', 'leaf.length', { low: 0.04, high: 0.07 }],
  ['4-7 in', 'leaf.length', { low: 0.1016, high: 0.1778 }],
  ['4 in – 7 in', 'leaf.length', { low: 0.1016, high: 0.1778 }],
  ['1/4–1/2 in', 'bud.length', { low: 0.00635, high: 0.0127 }],
  ['¼–½ in', 'bud.length', { low: 0.00635, high: 0.0127 }],
  ['2½–3½"', 'leaf.length', { low: 0.0635, high: 0.0889 }],
  ['2 1/2 in', 'leaf.length', { low: 0.0635, high: 0.0635 }],
  ['60–90 ft', 'habit.height', { low: 18.288, high: 27.432 }],
  ["60-90'", 'habit.height', { low: 18.288, high: 27.432 }],
  ['60 feet', 'habit.height', { low: 18.288, high: 18.288 }],
  ['to 25 m', 'habit.height', { high: 25 }],
  ['up to 25 m', 'habit.height', { high: 25 }],
  ['about 5 cm', 'leaf.length', { typical: 0.05 }],
  ['28–32 lb/ft³', 'wood.density', { low: 448.518, high: 512.592 }],
  ['0.45 g/cm3', 'wood.density', { low: 450, high: 450 }],
  ['30–80', 'fruit.samaraAngle', { low: 30, high: 80 }],
  ['30–80°', 'fruit.samaraAngle', { low: 30, high: 80 }],
  ['4–6 per cm', 'leaf.teethPerCm', { low: 4, high: 6 }],
])('%s for %s', (text, id, expected) => {
  const value = range(text, id);
  expect(value).toEqual({
    kind: 'range',
    ...Object.fromEntries(
      Object.entries(expected).map(([key, n]) => [key, typeof n === 'number' ? expect.closeTo(n, 6) : n]),
    ),
  });
});

test.each([
  ['', 'leaf.length', 'Write blade length'],
  ['long', 'leaf.length', 'has no number'],
  ['3 kg', 'leaf.length', 'is no length'],
  ['1/0 in', 'bud.length', 'zero under the line'],
  ['4–7 in (20–30 cm)', 'leaf.length', 'not the same'],
  ['1.200 m', 'site.elevation', 'thousands or thousandths'],
  ['4 × 2 cm', 'leaf.length', 'two measures, length by width'],
  ['30 lb/ft2', 'wood.density', 'lb/ft³'],
  ['2.5', 'needle.perBundle', 'whole numbers'],
  ['5–9 cm', 'leaf.lobes', 'have no unit'],
])('“%s” for %s is refused with what to do', (text, id, message) => {
  const read = parseRange(text, character(id));
  expect(read.ok).toBe(false);
  if (!read.ok) expect(read.problem).toContain(message);
});

test('whatever is typed, reading a range never throws and never yields a number that is not finite', () => {
  fc.assert(
    fc.property(fc.string(), (text) => {
      const read = parseRange(text, character('leaf.length'));
      if (read.ok)
        for (const part of Object.values(read.value))
          if (typeof part === 'number') expect(Number.isFinite(part)).toBe(true);
    }),
  );
});

test('states are read by id, term or plain words, with their frequency', () => {
  expect(parseScore('ovate; sometimes elliptic', character('leaf.shape'))).toEqual({
    ok: true,
    value: {
      kind: 'states',
      states: [
        { state: 'ovate', frequency: 'usually' },
        { state: 'elliptic', frequency: 'sometimes' },
      ],
    },
  });
  expect(parseScore('pinnate, straight to the teeth', character('leaf.veins'))).toMatchObject({
    value: { states: [{ state: 'straight', frequency: 'always' }] },
  });
  expect(parseScore('only smooth, banded with lenticels', character('bark.surface'))).toMatchObject({
    value: { exhaustive: true, states: [{ state: 'smooth' }, { state: 'banded' }] },
  });
  expect(parseScore('seldom', character('twig.zigzag'))).toEqual({
    ok: true,
    value: { kind: 'flag', frequency: 'rarely' },
  });
});

test('an unknown state names the ones there are', () => {
  const read = parseScore('ovalish', character('leaf.shape'));
  expect(read).toMatchObject({
    ok: false,
    problem: expect.stringContaining('Choose from: linear; lanceolate') as string,
  });
});

test('weights are 1 alone and 8 : 3 : 0.4 among several', () => {
  const weights = stateWeights({
    kind: 'states',
    states: [
      { state: 'a', frequency: 'usually' },
      { state: 'b', frequency: 'sometimes' },
      { state: 'c', frequency: 'rarely' },
    ],
  });
  expect([...weights.values()]).toEqual([8 / 11.4, 3 / 11.4, 0.4 / 11.4]);
  expect(stateWeights({ kind: 'states', states: [{ state: 'a', frequency: 'rarely' }] }).get('a')).toBe(1);
});

const score = (value: ScoreValue, characterId = 'leaf.length', sourceId = 'own'): Score => ({
  characterId,
  sourceId,
  qualifiers: {},
  value,
});

describe('checks', () => {
  test('low above high is an error that offers to swap', () => {
    const [problem] = checkScores([score({ kind: 'range', low: 0.09, high: 0.04 })], BUILT_IN);
    expect(problem).toMatchObject({ severity: 'error', repair: { value: { low: 0.04, high: 0.09 } } });
    expect(problem!.message).toContain('Swap them?');
  });
  test('a leaf of 40 m is offered as 40 cm', () => {
    const [problem] = checkScores([score({ kind: 'range', low: 40, high: 40 })], BUILT_IN);
    expect(problem).toMatchObject({
      severity: 'warning',
      repair: { label: 'Did you mean 40 cm?', value: { high: 0.4 } },
    });
  });
  test('opposite and alternate, both always, contradict each other', () => {
    const both: ScoreValue = {
      kind: 'states',
      states: [
        { state: 'opposite', frequency: 'always' },
        { state: 'alternate', frequency: 'always' },
      ],
    };
    const [problem] = checkScores([score(both, 'twig.arrangement')], BUILT_IN);
    expect(problem).toMatchObject({
      severity: 'error',
      repair: { value: { states: [{ frequency: 'usually' }, { frequency: 'sometimes' }] } },
    });
  });
  test('a leaflet count on a simple leaf does not apply', () => {
    const simple = score(
      { kind: 'states', states: [{ state: 'simple', frequency: 'always' }] },
      'leaf.composition',
    );
    const [problem] = checkScores(
      [simple, score({ kind: 'range', low: 5, high: 7 }, 'leaf.leaflets')],
      BUILT_IN,
    );
    expect(problem!.message).toContain('applies only where');
  });
  test('a value of the wrong kind and an unknown character are refused', () => {
    expect(checkScores([score({ kind: 'flag', frequency: 'always' })], BUILT_IN)[0]!.severity).toBe('error');
    expect(
      checkScores([score({ kind: 'flag', frequency: 'always' }, 'leaf.sparkle')], BUILT_IN)[0]!.message,
    ).toContain('no character');
  });
});

describe('reconciling sources', () => {
  const [manual, notes] = [
    score({ kind: 'range', low: 0.025, high: 0.04 }, 'needle.length', 'manual'),
    score({ kind: 'range', low: 0.015, high: 0.03 }, 'needle.length', 'notes'),
  ];
  test('the preferred source is adopted and the disagreement kept', () => {
    const [adopted] = reconcile([notes, manual], BUILT_IN, { rule: 'preferred', order: ['manual', 'notes'] });
    expect(adopted).toMatchObject({ value: { low: 0.025 }, from: ['manual'], disagree: true });
    expect(adopted!.statements).toHaveLength(2);
  });
  test('the envelope holds both', () => {
    const [adopted] = reconcile([notes, manual], BUILT_IN, { rule: 'envelope', order: ['manual', 'notes'] });
    expect(adopted!.value).toEqual({ kind: 'range', low: 0.015, high: 0.04 });
  });
  test('a pick by hand outweighs the rule', () => {
    const picks = { 'needle.length': { sourceId: 'notes', reason: 'measured here' } };
    expect(
      reconcile([notes, manual], BUILT_IN, { rule: 'preferred', order: ['manual'], picks })[0]!.from,
    ).toEqual(['notes']);
  });
  test('half of the shorter range in common is no disagreement', () => {
    const a: ScoreValue = { kind: 'range', low: 2, high: 4 };
    expect(valuesDisagree(a, { kind: 'range', low: 3, high: 7 })).toBe(false);
    expect(valuesDisagree(a, { kind: 'range', low: 3.2, high: 7 })).toBe(true);
  });
});

test('values in words follow audience and units', () => {
  const length = range('(2)3–5(6) cm', 'leaf.length');
  expect(valueInWords(length, character('leaf.length'))).toBe('(2) 3–5 (6) cm');
  expect(valueInWords(range('1/4–1/2 in', 'bud.length'), character('bud.length'), 'plain', 'imperial')).toBe(
    '¼–½ in',
  );
  expect(
    valueInWords(range('30–60 ft', 'habit.height'), character('habit.height'), 'technical', 'imperial'),
  ).toBe('30–60 ft');
  const states = parseScore('notched; sometimes blunt', character('needle.tip'));
  if (states.ok)
    expect(valueInWords(states.value, character('needle.tip'), 'plain')).toBe('tiny notch, sometimes blunt');
});

test.each(['\n', '\r\n', '\u2028', '\u0085\n'])('lines of one cell are states of their own (%j)', (line) => {
  const shape = BUILT_IN.get('leaf.shape')!;
  const read = (text: string) => parseScore(text, shape);
  expect(read(`ovate${line}sometimes elliptic`)).toEqual(read('ovate; sometimes elliptic'));
  expect(read(`usually ${line}`)).toMatchObject({ ok: false });
  expect(read(`ovate${line}no such thing`)).toMatchObject({ ok: false });
});
