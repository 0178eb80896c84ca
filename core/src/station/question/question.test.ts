import type { MarkingPolicy } from '../../names/index.ts';
import { profiled, viewOf } from '../../testing/taxa.ts';
import { BUILT_IN } from '../../vocabulary/index.ts';
import {
  boundsAsAsked,
  easierQuestion,
  fixQuestion,
  markQuestion,
  questionFairness,
  questionsAbout,
  rightInWords,
  saidKey,
  saidTo,
  type FrozenQuestion,
  type Question,
} from './index.ts';

const fir = (epithet: string, scores: Record<string, string>, common: string) => {
  const made = profiled('Abies', epithet, {
    'foliage.kind': 'single needles',
    'needle.length': '2–4 cm',
    'twig.hair': 'glabrous',
    'bud.shape': 'globose',
    ...scores,
  });
  return { ...made, taxon: { ...made.taxon, family: 'Pinaceae', commonNames: [common] } };
};
const grand = fir('grandis', { 'bud.resin': 'yes' }, 'grand fir');
const noble = fir('procera', { 'bud.resin': 'no', 'twig.hair': 'woolly' }, 'noble fir');
const maple = profiled('Acer', 'circinatum', {
  'foliage.kind': 'broad blade',
  'twig.arrangement': 'opposite',
  'leaf.lobes': '7–9',
  'leaf.length': '3–10 cm',
});
const list = [grand, noble, { ...maple, taxon: { ...maple.taxon, commonNames: ['vine maple'] } }];
const names = list.map(({ taxon }) => taxon);
const view = viewOf(['leaf', 'twig', 'bud']);
const marking = (policy: MarkingPolicy['policy']): MarkingPolicy => ({
  policy,
  points: { name: 2, genus: 1, epithet: 1, family: 1 },
  deduction: 0.25,
});
const context = { list, vocabulary: BUILT_IN, marking: marking('binomialFamily'), units: 'metric' as const };

const fixed = (question: Question, of = grand, more: Partial<typeof context> = {}): FrozenQuestion => {
  const made = fixQuestion(question, { truth: of, view, traits: null, seed: 1 }, { ...context, ...more });
  if (!made.ok) throw new Error(made.problem);
  return made.value;
};
const mark = (
  question: FrozenQuestion,
  said: object,
  of = 0,
  policy: MarkingPolicy['policy'] = 'binomialFamily',
) => markQuestion(said, { question, truth: names[of]!, list: names, marking: marking(policy) });

test('a family is worth the whole station, spelled as families are, and names no tree', () => {
  const family = fixed({ kind: 'family' });
  expect(mark(family, { family: 'Pinaceae' })).toMatchObject({
    points: 3,
    outOf: 3,
    resolution: { how: 'unasked' },
  });
  expect(mark(family, { family: 'pine family' }).points).toBe(3);
  expect(mark(family, { family: 'Pinacae' }).points).toBe(2.75);
  expect(mark(family, { family: 'Cupressaceae' }).points).toBe(0);
  expect(mark(family, {}).parts[0]).toMatchObject({ quality: 'missing', part: 'family' });
});

test('a genus is asked in Latin, or as the kind of tree where a course goes by common names', () => {
  const genus = fixed({ kind: 'genus' });
  expect(mark(genus, { genus: 'Abies' }).points).toBe(3);
  expect(mark(genus, { genus: 'fir' }).points).toBe(0);
  expect(mark(genus, { genus: 'fir' }, 0, 'common').points).toBe(2);
  expect(mark(genus, { name: 'a fir' }, 0, 'common').points).toBe(2);
  expect(mark(genus, { genus: 'pine' }, 0, 'common').points).toBe(0);
  expect(mark(genus, { genus: 'mapel' }, 2, 'common').parts[0]).toMatchObject({ quality: 'misspelled' });
  expect(rightInWords({ question: genus, truth: names[0]! }, 'plain')).toBe('fir (Abies)');
  // A kind of tree of two words is said in two: Douglas-fir is no fir.
  const douglas = { ...names[0]!, genus: 'Pseudotsuga', commonNames: ['Douglas-fir', 'coastal Douglas-fir'] };
  const said = (text: string) =>
    markQuestion(
      { genus: text },
      { question: genus, truth: douglas, list: [douglas], marking: marking('common') },
    ).points;
  for (const text of ['Douglas-fir', 'a douglas fir', 'coastal Douglas-fir', 'Pseudotsuga'])
    expect(said(text)).toBe(2);
  expect(said('fir')).toBe(0);
});

test('a feature is chosen from its states; of the individual shown its own is right', () => {
  const state = fixed({ kind: 'state', characterId: 'twig.arrangement' }, list[2]);
  expect(state.right).toEqual(['opposite']);
  expect(mark(state, { said: 'opposite' }, 2).points).toBe(3);
  expect(mark(state, { said: 'alternate' }, 2).points).toBe(0);
  expect(saidTo(state, { said: 'alternate' })).toBe('alternate');
  expect(
    fixQuestion(
      { kind: 'state', characterId: 'bark.surface' },
      { truth: grand, view, traits: null, seed: 1 },
      context,
    ),
  ).toMatchObject({ ok: false });
});

test('what settles two trees is chosen among what they share, and what decides is right', () => {
  const settles = fixed({ kind: 'settles', from: 'abies-procera' });
  expect(settles.right).toHaveLength(1);
  expect(['bud.resin', 'twig.hair']).toContain(settles.right[0]);
  expect(settles.offered.length).toBeGreaterThanOrEqual(3);
  expect(settles.asked.term).toMatch(/^It is Abies (grandis or Abies procera|procera or Abies grandis)\./);
  expect(
    fixed({ kind: 'settles', from: 'abies-procera' }, grand, { marking: marking('common') }).asked.plain,
  ).toContain('noble fir');
  expect(mark(settles, { said: settles.right[0] }).points).toBe(3);
  expect(mark(settles, { said: 'bud.shape' }).points).toBe(0);
  for (const from of ['abies-grandis', 'acer-nowhere'])
    expect(
      fixQuestion({ kind: 'settles', from }, { truth: grand, view, traits: null, seed: 1 }, context),
    ).toMatchObject({ ok: false });
});

test('a number is right within its share of what is there, in whatever unit it is written', () => {
  const length = fixed({ kind: 'number', characterId: 'needle.length', within: 0.25 });
  expect(length.number).toMatchObject({ from: expect.closeTo(0.015), to: expect.closeTo(0.05) });
  for (const said of ['3', '3 cm', '30 mm', '1.2 in', 'about 4 cm', '2-3 cm'])
    expect(mark(length, { said }).points).toBe(3);
  for (const said of ['6 cm', '0,9 cm', '3 m', 'long', '4–9 cm'])
    expect(mark(length, { said }).points).toBe(0);
  expect(mark(length, { said: 'long' }).parts[0]!.remark).toContain('no number');
  const lobes = fixed({ kind: 'number', characterId: 'leaf.lobes' }, list[2]);
  expect(lobes.asked.term).toBe('How many lobes?');
  expect(boundsAsAsked(lobes.number!)).toEqual([7, 9]);
  expect(boundsAsAsked(length.number!)).toEqual([expect.closeTo(1.5), expect.closeTo(5)]);
  expect(mark(lobes, { said: '7' }, 2).points).toBe(3);
  expect(mark(lobes, { said: '5' }, 2).points).toBe(0);
});

test('of a drawn individual its own number is right', () => {
  const traits = {
    seed: 1,
    values: { 'leaf.lobes': 7 },
    leafy: true,
    buds: true,
    autumn: false,
    flowers: false,
    fruit: false,
  };
  const made = fixQuestion(
    { kind: 'number', characterId: 'leaf.lobes' },
    { truth: list[2]!, view, traits, seed: 1 },
    context,
  );
  expect(made).toMatchObject({ ok: true, value: { number: { from: 7, to: 7 } } });
});

test('imperial courses measure in inches', () => {
  const length = fixed({ kind: 'number', characterId: 'needle.length' }, grand, {
    units: 'imperial',
  } as never);
  expect(length.asked.term).toBe('Measure the needle length, in inches.');
  const [from, to] = boundsAsAsked(length.number!);
  expect([from, to]).toEqual([expect.closeTo(0.63, 2), expect.closeTo(1.89, 2)]);
  expect(mark(length, { said: '1.2' }).points).toBe(3);
});

test('what can be asked is what is to be seen', () => {
  const can = questionsAbout(list[2]!, view, BUILT_IN);
  expect(can.number).toEqual(['leaf.length', 'leaf.lobes'].filter((id) => can.number.includes(id)));
  expect(can.number).toContain('leaf.lobes');
  expect(can.state).toContain('twig.arrangement');
  expect(questionsAbout(list[2]!, viewOf(['bark']), BUILT_IN)).toEqual({ state: [], number: [] });
});

test('points given by hand stand, and equal answers are those to one question', () => {
  const state = fixed({ kind: 'state', characterId: 'twig.arrangement' }, list[2]);
  const marked = { question: state, truth: names[2]!, list: names, marking: marking('binomialFamily') };
  expect(markQuestion({ said: 'alternate' }, marked, { taxonId: null, points: { said: 1 } }).points).toBe(1);
  expect(markQuestion({ said: 'alternate' }, marked, { taxonId: null, points: { said: 9 } }).points).toBe(3);
  expect(saidKey(state, { said: 'opposite' })).toBe('state twig.arrangement: opposite');
  expect(saidKey(fixed({ kind: 'family' }), { family: ' Pinaceae ' })).toBe('family : pinaceae');
});

test('two firs that only resin parts are one genus to nearly every reader, and often the wrong species', () => {
  const fair = (question: Question, aids: 'eye'[] = ['eye']) =>
    questionFairness(question, list, 'abies-grandis', BUILT_IN, { ...viewOf(['leaf']), aids });
  expect(fair({ kind: 'genus' })).toBeGreaterThan(0.95);
  expect(fair({ kind: 'family' })).toBeGreaterThan(0.95);
  expect(fair({ kind: 'state', characterId: 'foliage.kind' })).toBeGreaterThan(0.9);
  expect(easierQuestion(list, 'abies-grandis', BUILT_IN, viewOf(['leaf']))).toMatchObject({
    question: { kind: 'genus' },
  });
  expect(easierQuestion([grand, noble], 'abies-grandis', BUILT_IN, viewOf(['bark']))).toBeDefined();
  expect(fair({ kind: 'settles', from: 'abies-procera' })).toBeLessThan(0.9);
  expect(fair({ kind: 'settles', from: 'nobody' })).toBe(0);
  expect(fair({ kind: 'number', characterId: 'needle.length' })).toBeGreaterThan(0.9);
});
