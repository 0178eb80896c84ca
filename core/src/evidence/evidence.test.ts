import { normalCdf } from '../random/index.ts';
import fc from 'fast-check';
import type { AdoptedScore, Frequency, Qualifiers, ScoreValue } from '../score/index.ts';
import type { Calendar } from '../season/index.ts';
import type { View } from '../view/index.ts';
import {
  flag,
  measure,
  oneOf,
  ordinal,
  anyOf,
  count,
  table,
  when,
  type Character,
} from '../vocabulary/character.ts';
import { vocabularyOf } from '../vocabulary/index.ts';
import {
  allPairs,
  chanceTakenFor,
  channelEvidence,
  characterEvidence,
  contrast,
  dissimilarity,
  DOUBTFUL_AT,
  errorBound,
  idealReaderError,
  pairEvidence,
  quickVerdict,
  readingsOf,
  remedies,
  SETTLED_AT,
  spokenFor,
  verdictOf,
  type Channel,
  type ProfiledTaxon,
} from './index.ts';

const THREE = table(`
  p | p | p | First.
  q | q | q | Second.
  r | r | r | Third.
`);
const plain = { reading: 'plain', distance: 'hand' } as const;
const VOCABULARY = vocabularyOf([
  oneOf('twig.one', 'one of three', THREE, plain),
  ordinal('twig.steps', 'in order', THREE, plain),
  anyOf('twig.any', 'any of three', THREE, plain),
  flag('twig.flag', 'flag', plain),
  measure('leaf.size', 'size', 'cm', { ...plain, group: 'size', part: 'leaves' }),
  measure('leaf.breadth', 'breadth', 'cm', { ...plain, group: 'size', part: 'leaves' }),
  count('leaf.count', 'count', { ...plain, requires: [when('twig.one', 'p', 'q')] }),
  oneOf('bark.seen', 'bark', THREE, { ...plain, distance: 'arm' }),
  flag('twig.smelt', 'smell', { ...plain, sense: 'smell' }),
]);

const VIEW: View = { organs: ['twig', 'leaf'], day: 200, nearness: 'hand', aids: ['eye'], qualifiers: {} };
const states = (...entries: [string, Frequency][]): ScoreValue => ({
  kind: 'states',
  states: entries.map(([state, frequency]) => ({ state, frequency })),
});
const always = (state: string) => states([state, 'always']);
const yes = (frequency: Frequency): ScoreValue => ({ kind: 'flag', frequency });
const range = (low: number, high: number): ScoreValue => ({ kind: 'range', low, high });

let serial = 0;
function taxon(
  values: Record<string, ScoreValue>,
  calendar: Calendar = {},
  qualifiers: Qualifiers = {},
): ProfiledTaxon {
  serial += 1;
  const scores = Object.entries(values).map(([characterId, value]): AdoptedScore => ({
    characterId,
    qualifiers,
    value,
    from: ['s'],
    statements: [],
    disagree: false,
  }));
  return {
    taxon: {
      id: `t${serial}`,
      rank: 'species',
      genus: 'G',
      epithet: `e${serial}`,
      family: 'F',
      commonNames: [],
      synonyms: [],
      calendar,
      cautions: [],
    },
    scores,
  };
}

const evidence = (a: ProfiledTaxon, b: ProfiledTaxon, id: string, view = VIEW) =>
  characterEvidence(readingsOf([a, b], VOCABULARY, view).channels.get(id) ?? [], 0, 1)?.evidence;

describe('evidence of one character against its closed form', () => {
  const m = 0.005;
  test('one-of: two different states, always', () => {
    // A misreading falls on what the list shows: on q for p, on p for q; no state is impossible.
    const [right, wrong, third] = [1 - m, m, 0].map((p) => 0.9995 * p + 0.0005 / 3) as [
      number,
      number,
      number,
    ];
    const e = -Math.log(2 * Math.sqrt(right * wrong) + third);
    expect(
      evidence(taxon({ 'twig.one': always('p') }), taxon({ 'twig.one': always('q') }), 'twig.one'),
    ).toBeCloseTo(e, 10);
  });
  test('flag: always against never', () => {
    expect(
      evidence(taxon({ 'twig.flag': yes('always') }), taxon({ 'twig.flag': yes('never') }), 'twig.flag'),
    ).toBeCloseTo(-Math.log(2 * Math.sqrt(m * (1 - m))), 10);
  });
  test('ordinal: the far end is further than the neighbour', () => {
    const [low, mid, high] = ['p', 'q', 'r'].map((state) => taxon({ 'twig.steps': always(state) })) as [
      ProfiledTaxon,
      ProfiledTaxon,
      ProfiledTaxon,
    ];
    expect(evidence(low, high, 'twig.steps')!).toBeGreaterThan(evidence(low, mid, 'twig.steps')!);
  });
  test('any-of: each state is a yes/no, and the two best count', () => {
    const full = (a: Frequency, b: Frequency, c: Frequency): ScoreValue =>
      states(['p', a], ['q', b], ['r', c]);
    const e = -Math.log(2 * Math.sqrt(m * (1 - m)));
    expect(
      evidence(
        taxon({ 'twig.any': full('always', 'always', 'always') }),
        taxon({ 'twig.any': full('never', 'never', 'never') }),
        'twig.any',
      ),
    ).toBeCloseTo(2 * e, 10);
  });
  test('any-of: a state that is not listed is unknown, or absent where the score is exhaustive', () => {
    const listed: ScoreValue = states(['p', 'always']);
    const other: ScoreValue = {
      ...(states(['q', 'always']) as object),
      kind: 'states',
      exhaustive: true,
    } as ScoreValue;
    expect(
      evidence(taxon({ 'twig.any': listed }), taxon({ 'twig.any': states(['q', 'always']) }), 'twig.any'),
    ).toBeUndefined();
    expect(
      evidence(taxon({ 'twig.any': listed }), taxon({ 'twig.any': other }), 'twig.any')!,
    ).toBeGreaterThan(1);
  });
  test('measure: two log-normals, when misreading is all but nothing', () => {
    const sharp: Character = { ...VOCABULARY.get('leaf.size')!, misread: { careful: 0.002, novice: 0.002 } };
    const [a, b] = [taxon({ 'leaf.size': range(0.04, 0.07) }), taxon({ 'leaf.size': range(0.05, 0.1) })];
    const channel = readingsOf([a, b], vocabularyOf([sharp]), VIEW).channels.get('leaf.size')![0]!;
    const model = (low: number, high: number) => ({
      mu: Math.log(low * high) / 2,
      v: (Math.log(high / low) / 3.29) ** 2 + 0.06 ** 2 + 0.25 ** 2,
    });
    const [x, y] = [model(0.04, 0.07), model(0.05, 0.1)];
    const closed =
      (x.mu - y.mu) ** 2 / (4 * (x.v + y.v)) + 0.5 * Math.log((x.v + y.v) / (2 * Math.sqrt(x.v * y.v)));
    expect(channelEvidence(channel, 0, 1)!).toBeCloseTo(closed, 2);
  });
  test('one-of: more states that are listed make nothing surer', () => {
    const [few, many] = [3, 12].map((count) =>
      oneOf(
        'twig.one',
        'one of many',
        Array.from({ length: count }, (_, i) => ({
          id: `s${i}`,
          term: `s${i}`,
          plain: `s${i}`,
          definition: '.',
        })),
        plain,
      ),
    );
    const of = (character: Character) =>
      characterEvidence(
        readingsOf(
          [taxon({ 'twig.one': always('s0') }), taxon({ 'twig.one': always('s1') })],
          vocabularyOf([character]),
          VIEW,
        ).channels.get('twig.one')!,
        0,
        1,
      )!.evidence;
    expect(Math.abs(of(few!) - of(many!))).toBeLessThan(0.05);
  });
  test('a rule reads lengths more sharply than the eye', () => {
    const [a, b] = [taxon({ 'leaf.size': range(0.05, 0.052) }), taxon({ 'leaf.size': range(0.056, 0.058) })];
    expect(evidence(a, b, 'leaf.size', { ...VIEW, aids: ['eye', 'rule'] })!).toBeGreaterThan(
      evidence(a, b, 'leaf.size')! * 3,
    );
  });
  test('count: two and three needles are told apart, five and five are not; steps are kept', () => {
    const counted = (low: number, high: number, step?: number) =>
      taxon({
        'twig.one': always('p'),
        'leaf.count': { kind: 'range', low, high, ...(step ? { step } : {}) },
      });
    expect(evidence(counted(2, 2), counted(3, 3), 'leaf.count')!).toBeGreaterThan(1.5);
    expect(evidence(counted(5, 5), counted(5, 5), 'leaf.count')).toBeCloseTo(0, 10);
    const odd = readingsOf([counted(9, 13, 2)], VOCABULARY, VIEW).channels.get('leaf.count')![0]!;
    const at = (n: number) => odd.rows[0]![n - odd.grid!.from]!;
    expect(at(11)).toBeGreaterThan(at(10) * 2);
  });
});

const anyTaxon = fc
  .record({
    one: fc.constantFrom('p', 'q', 'r'),
    also: fc.constantFrom('p', 'q', 'r'),
    share: fc.constantFrom<Frequency>('usually', 'sometimes', 'rarely'),
    flag: fc.constantFrom<Frequency>('always', 'usually', 'sometimes', 'rarely', 'never'),
    low: fc.double({ min: 0.01, max: 0.1, noNaN: true }),
    wide: fc.double({ min: 1.05, max: 3, noNaN: true }),
  })
  .map(({ one, also, share, flag: f, low, wide }) =>
    taxon({
      'twig.one': states([one, 'usually'], ...(also === one ? [] : [[also, share] as [string, Frequency]])),
      'twig.flag': yes(f),
      'leaf.size': range(low, low * wide),
    }),
  );

test('readings sum to one and have no zeros; evidence is symmetric and never negative', () => {
  fc.assert(
    fc.property(anyTaxon, anyTaxon, (a, b) => {
      const readings = readingsOf([a, b], VOCABULARY, VIEW);
      for (const channels of readings.channels.values())
        for (const channel of channels) {
          for (const row of channel.rows) {
            expect(row!.reduce((sum, p) => sum + p, 0)).toBeCloseTo(1, 9);
            expect(Math.min(...row!)).toBeGreaterThan(0);
          }
          expect(channelEvidence(channel, 0, 1)).toBeGreaterThanOrEqual(0);
          expect(channelEvidence(channel, 0, 1)).toBeCloseTo(channelEvidence(channel, 1, 0)!, 12);
        }
    }),
  );
});

/** Every combination of readings, organ by organ; of each organ two specimens in a hundred are odd. */
function bruteForce(channels: readonly Channel[], a: number, b: number): number {
  const organs = new Map<string, [number, number][]>();
  for (const channel of channels) {
    const [p, q] = [channel.rows[a]!, channel.rows[b]!];
    const held = organs.get(channel.character.organ) ?? [[1, 1]];
    organs.set(
      channel.character.organ,
      held.flatMap(([x, y]) => [...p].map((_, s): [number, number] => [x * p[s]!, y * q[s]!])),
    );
  }
  const odd = 0.01;
  const all = [...organs.values()]
    .map((organ) =>
      organ.map(([x, y]): [number, number] => [(1 - odd) * x + odd * y, (1 - odd) * y + odd * x]),
    )
    .reduce((one, other) => one.flatMap(([x, y]) => other.map(([u, v]): [number, number] => [x * u, y * v])));
  return all.reduce((sum, [x, y]) => sum + Math.min(x, y), 0) / 2;
}

/** What joining readings of nearly the same ratio may cost: most where two taxa are all but the same. */
const joining = (exact: number) => 0.002 + 0.02 * exact;

test('the error of the ideal reader equals enumeration, and lies below its bound', () => {
  fc.assert(
    fc.property(anyTaxon, anyTaxon, (a, b) => {
      const readings = readingsOf([a, b], VOCABULARY, VIEW);
      const channels = [...readings.channels.values()].flat();
      const error = idealReaderError(channels, 0, 1);
      const exact = bruteForce(channels, 0, 1);
      expect(Math.abs(error - exact)).toBeLessThan(joining(exact));
      const held = channels.map((channel) => ({ channels: [channel] }));
      expect(error).toBeLessThanOrEqual(errorBound(held, 0, 1) + 0.002);
    }),
    { numRuns: 60 },
  );
});

test('with too many combinations to go through, the convolution agrees with enumeration', () => {
  fc.assert(
    fc.property(anyTaxon, anyTaxon, fc.double({ min: 0.01, max: 0.05, noNaN: true }), (a, b, low) => {
      const wider = (each: ProfiledTaxon, from: number) =>
        taxon({
          ...Object.fromEntries(each.scores.map((score) => [score.characterId, score.value])),
          'leaf.breadth': range(from, from * 6),
        });
      const readings = readingsOf([wider(a, low), wider(b, low * 1.7)], VOCABULARY, VIEW);
      // The same channel many times over: a joint distribution that only the convolution can take.
      const channels = [
        ...readings.channels.values(),
        readings.channels.get('twig.one')!,
        readings.channels.get('leaf.breadth')!,
        readings.channels.get('twig.steps') ?? [],
      ].flat();
      fc.pre(channels.reduce((product, channel) => product * channel.rows[0]!.length, 1) > 20_000);
      const exact = bruteForce(channels, 0, 1);
      expect(Math.abs(idealReaderError(channels, 0, 1) - exact)).toBeLessThan(joining(exact));
    }),
    { numRuns: 12 },
  );
});

test('the bounds decide as the convolution does', () => {
  fc.assert(
    fc.property(anyTaxon, anyTaxon, (a, b) => {
      const pair = pairEvidence(readingsOf([a, b], VOCABULARY, VIEW), 0, 1);
      const error = idealReaderError(
        pair.flatMap((entry) => entry.channels),
        0,
        1,
      );
      const exact = verdictOf(error);
      if (Math.min(Math.abs(error - SETTLED_AT), Math.abs(error - DOUBTFUL_AT)) > 0.002)
        expect(quickVerdict(pair, 0, 1)).toBe(exact);
    }),
    { numRuns: 60 },
  );
});

test('two taxa of which nothing is known cannot be told apart', () => {
  expect(idealReaderError([], 0, 1)).toBe(0.5);
});

describe('what is visible', () => {
  const both = (value: ScoreValue, id: string) => [taxon({ [id]: value }), taxon({ [id]: value })];
  const seen = (list: ProfiledTaxon[], view: View) => [...readingsOf(list, VOCABULARY, view).channels.keys()];
  test('an organ that is not shown, a sense that is not allowed', () => {
    expect(seen(both(always('p'), 'bark.seen'), VIEW)).toEqual([]);
    expect(seen(both(always('p'), 'bark.seen'), { ...VIEW, organs: ['bark'], nearness: 'arm' })).toEqual([
      'bark.seen',
    ]);
    expect(seen(both(yes('always'), 'twig.smelt'), VIEW)).toEqual([]);
    expect(seen(both(yes('always'), 'twig.smelt'), { ...VIEW, aids: ['eye', 'smell'] })).toEqual([
      'twig.smelt',
    ]);
    expect(seen(both(always('p'), 'twig.one'), { ...VIEW, nearness: 'afar' })).toEqual([]);
  });
  test('a part that is not on the tree on the day', () => {
    const bare = { leaves: [{ from: 120, to: 280 }] };
    const list = [taxon({ 'leaf.size': range(1, 2) }, bare), taxon({ 'leaf.size': range(3, 4) }, bare)];
    expect(seen(list, VIEW)).toEqual(['leaf.size']);
    expect(seen(list, { ...VIEW, day: 15 })).toEqual([]);
  });
  test('inapplicable is neither match nor gap, unknown is a gap', () => {
    const applies = taxon({ 'twig.one': always('p'), 'leaf.count': range(3, 5) });
    const unknown = taxon({ 'twig.one': always('q') });
    const inapplicable = taxon({ 'twig.one': always('r') });
    const readings = readingsOf([applies, unknown, inapplicable], VOCABULARY, VIEW);
    expect(readings.gaps.map((gaps) => gaps.includes('leaf.count'))).toEqual([false, true, false]);
    expect(characterEvidence(readings.channels.get('leaf.count')!, 0, 2)).toBeUndefined();
  });
  test('qualifiers of the view choose the score', () => {
    const young = taxon({ 'twig.one': always('p') }, {}, { plantAge: 'young' });
    const mature = taxon({ 'twig.one': always('q') }, {}, { plantAge: 'mature' });
    const tree = { ...young, scores: [...young.scores, ...mature.scores] };
    const row = (qualifiers: Qualifiers) => [
      ...readingsOf([tree], VOCABULARY, { ...VIEW, qualifiers }).channels.get('twig.one')![0]!.rows[0]!,
    ];
    expect(row({ plantAge: 'young' })[0]).toBeGreaterThan(0.9);
    expect(row({ plantAge: 'mature' })[1]).toBeGreaterThan(0.9);
    expect(row({})[0]).toBeCloseTo(row({})[1]!, 10);
  });
});

describe('near-duplicates', () => {
  const list = [
    taxon({ 'leaf.size': range(0.02, 0.03), 'leaf.breadth': range(0.01, 0.03) }),
    taxon({ 'leaf.size': range(0.06, 0.09), 'leaf.breadth': range(0.02, 0.05) }),
  ];
  test('one character of a group speaks, the stronger', () => {
    expect([...spokenFor(readingsOf(list, VOCABULARY, VIEW))]).toEqual([['leaf.breadth', 'leaf.size']]);
    const found = contrast(list, list[0]!.taxon.id, list[1]!.taxon.id, VOCABULARY, VIEW);
    expect(found.ranked.map((entry) => entry.characterId)).toEqual(['leaf.size']);
    expect(found.seconded).toEqual([{ characterId: 'leaf.breadth', by: 'leaf.size' }]);
  });
  test('totals of all pairs leave the others out', () => {
    const readings = readingsOf(list, VOCABULARY, VIEW);
    expect(allPairs(readings)[0]).toBeCloseTo(
      characterEvidence(readings.channels.get('leaf.size')!, 0, 1)!.evidence,
      12,
    );
  });
});

describe('what is odd, open and a mark', () => {
  test('one organ is never surer than its odd specimens let it be, three are', () => {
    const [a, b] = ['p', 'q'].map((state) =>
      taxon({
        'twig.one': always(state),
        'twig.steps': always(state),
        'bark.seen': always(state),
        'leaf.size': state === 'p' ? range(0.01, 0.012) : range(0.2, 0.24),
      }),
    ) as [ProfiledTaxon, ProfiledTaxon];
    const channels = [
      ...readingsOf([a, b], VOCABULARY, { ...VIEW, organs: ['twig', 'bark', 'leaf'] }).channels.values(),
    ].flat();
    const of = (organ: string) => channels.filter(({ character }) => character.organ === organ);
    expect(idealReaderError(of('twig'), 0, 1)).toBeGreaterThan(0.0099);
    expect(idealReaderError(channels, 0, 1)).toBeLessThan(0.005);
  });
  test('what is supporting says less than what is second with the same readings', () => {
    const errorWith = (standing: 'second' | 'supporting') => {
      const character: Character = { ...VOCABULARY.get('twig.one')!, standing };
      const list = [taxon({ 'twig.one': always('p') }), taxon({ 'twig.one': always('q') })];
      return idealReaderError(
        readingsOf(list, vocabularyOf([character]), VIEW).channels.get('twig.one')!,
        0,
        1,
      );
    };
    expect(errorWith('supporting')).toBeGreaterThan(0.12);
    expect(errorWith('second')).toBeLessThan(0.03);
  });
});

describe('deciding characters', () => {
  test('one sure character is enough; the cheapest set is chosen', () => {
    const [a, b] = [
      taxon({ 'twig.one': always('p'), 'twig.flag': yes('always') }),
      taxon({ 'twig.one': always('q'), 'twig.flag': yes('never') }),
    ];
    const found = contrast([a, b], a.taxon.id, b.taxon.id, VOCABULARY, VIEW);
    expect(found.verdict).toBe('settled');
    expect(found.deciding).toHaveLength(1);
    expect(found.decidingError).toBeLessThanOrEqual(SETTLED_AT);
  });
  test('two weak ones together', () => {
    const weak = (f: Frequency, low: number) =>
      taxon({
        'twig.flag': yes(f),
        'twig.one': states([f === 'usually' ? 'p' : 'q', 'usually'], ['r', 'rarely']),
        'leaf.size': range(low, low * 1.2),
      });
    const [a, b] = [weak('usually', 0.03), weak('rarely', 0.08)];
    const found = contrast([a, b], a.taxon.id, b.taxon.id, VOCABULARY, VIEW);
    expect(found.deciding.length).toBeGreaterThan(1);
    expect(found.decidingError).toBeLessThanOrEqual(SETTLED_AT);
  });
  test('taxa that agree in everything are not settled, and no set is named', () => {
    const [a, b] = [taxon({ 'twig.one': always('p') }), taxon({ 'twig.one': always('p') })];
    const found = contrast([a, b], a.taxon.id, b.taxon.id, VOCABULARY, VIEW);
    expect(found).toMatchObject({ verdict: 'not settled', deciding: [], ranked: [], agreeing: ['twig.one'] });
  });
  test('a character scored for one only is a gap, not evidence', () => {
    const [a, b] = [
      taxon({ 'twig.one': always('p'), 'twig.flag': yes('always') }),
      taxon({ 'twig.one': always('p') }),
    ];
    expect(contrast([a, b], a.taxon.id, b.taxon.id, VOCABULARY, VIEW).gaps).toEqual([
      { characterId: 'twig.flag', missing: 'b' },
    ]);
  });
  test('remedies name the organ or the aid that would settle it', () => {
    const [a, b] = [
      taxon({ 'bark.seen': always('p'), 'twig.smelt': yes('always') }),
      taxon({ 'bark.seen': always('q'), 'twig.smelt': yes('never') }),
    ];
    const found = remedies([a, b], a.taxon.id, b.taxon.id, VOCABULARY, VIEW);
    expect(found.map(({ kind, label }) => `${kind} ${label}`).sort()).toEqual(['aid smell', 'organ bark']);
  });
  test('a taxon outside the list is an error of the caller', () => {
    expect(() => contrast([taxon({})], 'x', 'y', VOCABULARY, VIEW)).toThrow('must be in its list');
  });
});

test('a specimen that shows the rare state is likelier taken for the other', () => {
  const [a, b] = [
    taxon({ 'twig.one': states(['p', 'usually'], ['q', 'rarely']) }),
    taxon({ 'twig.one': always('q') }),
  ];
  const channels = readingsOf([a, b], VOCABULARY, VIEW).channels.get('twig.one')!;
  const showing = (state: number) => (channel: Channel) =>
    channel.rows[0]!.map((_, s) => (s === state ? 0.99 : 0.005));
  expect(chanceTakenFor(channels, 0, 1, showing(1))).toBeGreaterThan(0.9);
  expect(chanceTakenFor(channels, 0, 1, showing(0))).toBeLessThan(0.1);
});

test('the normal distribution function at table values', () => {
  expect(normalCdf(0)).toBeCloseTo(0.5, 6);
  expect(normalCdf(1.645)).toBeCloseTo(0.95, 4);
  expect(normalCdf(-1.96)).toBeCloseTo(0.025, 4);
});

test('dissimilarity is the mean over what is known for both, and does not grow with how much that is', () => {
  const a = taxon({ 'twig.one': always('p'), 'twig.flag': yes('always') });
  const b = taxon({ 'twig.one': always('p'), 'twig.flag': yes('never'), 'twig.steps': always('p') });
  const c = taxon({ 'twig.steps': always('r') });
  const readings = readingsOf([a, b, c], VOCABULARY, VIEW);
  // Equal in one character, 1 − e^(−e) = 1 − 2√(m(1−m)) apart in the other.
  expect(dissimilarity(readings, 0, 1)).toBeCloseTo((1 - 2 * Math.sqrt(0.005 * 0.995)) / 2, 6);
  expect(dissimilarity(readings, 0, 0)).toBeCloseTo(0);
  expect(dissimilarity(readings, 0, 2)).toBe(1);
});
