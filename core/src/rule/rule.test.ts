import { profiled, viewOf } from '../testing/taxa.ts';
import { BUILT_IN, saidIn } from '../vocabulary/index.ts';
import { GERMAN } from '../vocabulary/german/index.ts';
import { checkRule, mineRules, ruleInWords, type Rule } from './index.ts';

const view = viewOf(['twig', 'bud', 'leaf']);
const tree = (genus: string, epithet: string, arrangement: string, more: Record<string, string> = {}) =>
  profiled(genus, epithet, { 'twig.arrangement': arrangement, ...more });
const list = [
  tree('Acer', 'rubrum', 'opposite', { 'bud.scales': 'several, overlapping' }),
  tree('Acer', 'negundo', 'opposite', { 'bud.scales': 'several, overlapping' }),
  tree('Acer', 'nigrum', 'opposite', { 'bud.scales': 'several, overlapping' }),
  tree('Cornus', 'alternifolia', 'usually alternate; sometimes opposite', { 'bud.scales': 'two, valvate' }),
  tree('Quercus', 'alba', 'alternate', { 'bud.scales': 'several, overlapping' }),
  tree('Ulmus', 'rubra', 'alternate', { 'bud.scales': 'several, overlapping' }),
  profiled('Abies', 'grandis', {}),
];
const opposite: Rule = {
  conditions: [{ characterId: 'twig.arrangement', states: ['opposite'] }],
  then: { kind: 'genus', name: 'Acer' },
};

test('a rule is checked against the list: covered, exceptions by name with their share, what is not known, the rate', () => {
  const check = checkRule(opposite, list, BUILT_IN, view);
  expect(check.covered).toEqual(['acer-rubrum', 'acer-negundo', 'acer-nigrum']);
  expect(check.exceptions).toEqual([{ taxonId: 'cornus-alternifolia', share: expect.closeTo(3 / 11) }]);
  expect(check.unknown).toEqual(['abies-grandis']);
  expect(check.rate).toBeCloseTo(3 / (3 + 3 / 11));
});

test('a taxon that is concluded but does not meet the conditions is not reached', () => {
  const odd = tree('Acer', 'fictum', 'alternate');
  expect(checkRule(opposite, [...list, odd], BUILT_IN, view).notReached).toEqual(['acer-fictum']);
});

test('mined rules hold without exception, for three taxa at least, and exclude half of the rest', () => {
  const rules = mineRules(list, BUILT_IN, view);
  expect(rules.length).toBeGreaterThan(0);
  for (const rule of rules) {
    expect(rule.covered.length).toBeGreaterThanOrEqual(3);
    expect(checkRule(rule, list, BUILT_IN, view).exceptions).toEqual([]);
    expect(rule.excluded.length * 2).toBeGreaterThanOrEqual(list.length - rule.covered.length);
  }
  // "Opposite" alone has the dogwood as an exception; with the scales it has none.
  const maples = rules.find(({ then }) => then.kind === 'genus' && then.name === 'Acer')!;
  expect(maples.conditions.map(({ characterId }) => characterId).sort()).toEqual([
    'bud.scales',
    'twig.arrangement',
  ]);
});

test('without the dogwood one state suffices, and the longer rule is not proposed beside it', () => {
  const rules = mineRules(
    list.filter(({ taxon }) => taxon.genus !== 'Cornus'),
    BUILT_IN,
    view,
  ).filter(({ then }) => then.kind === 'genus' && then.name === 'Acer');
  expect(rules.map(({ conditions }) => conditions.length)).toEqual([1]);
});

test('in words, or in the instructor’s own', () => {
  const taxa = list.map(({ taxon }) => taxon);
  expect(ruleInWords(opposite, taxa, BUILT_IN, 'technical', 'metric')).toBe(
    'If arrangement: opposite, then the genus Acer',
  );
  expect(ruleInWords({ ...opposite, words: 'Pairs mean maple.' }, taxa, BUILT_IN, 'plain', 'metric')).toBe(
    'Pairs mean maple.',
  );
});

test('a rule of thumb is said in German', () => {
  const conditions = [
    { characterId: 'twig.arrangement', states: ['opposite'] },
    { characterId: 'leaf.lobing', states: ['palmate'] },
  ];
  expect(
    ruleInWords(
      { conditions, then: { kind: 'genus', name: 'Acer' } },
      [],
      saidIn(GERMAN, BUILT_IN),
      'technical',
      'metric',
    ),
  ).toBe('Wenn Blattstellung: gegenständig und Lappung: handförmig gelappt, dann die Gattung Acer');
});
