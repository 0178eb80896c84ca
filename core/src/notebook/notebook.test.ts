import { profiled, viewOf } from '../testing/taxa.ts';
import { BUILT_IN, type ShownOrgan } from '../vocabulary/index.ts';
import { EVERYDAY_LINES, EVERYDAY_WRITTEN } from './everyday.ts';
import {
  besideEachOther,
  learnable,
  readAgainst,
  readAtTree,
  readOwnWords,
  tagKey,
  taxonByTag,
  type Said,
} from './index.ts';

const SUMMER = 190;

/** What is read, as “character state”, with “not” before what is denied. */
const read = (text: string, organ: ShownOrgan, learnt: Parameters<typeof readOwnWords>[3] = []) =>
  readOwnWords(text, organ, BUILT_IN, learnt).understood.map(
    ({ characterId, state, value, denied }) => `${denied ? 'not ' : ''}${characterId} ${value ?? state}`,
  );

test('every line of the everyday words names a state of the vocabulary', () => {
  expect(EVERYDAY_LINES).toHaveLength(EVERYDAY_WRITTEN);
});

test.each<[string, ShownOrgan, string[]]>([
  [
    'gray bark, flaky like corn flakes',
    'bark',
    ['bark.color grey', 'bark.surface thinScales', 'bark.surface thinScales'],
  ],
  [
    'The needles are flat. Two white lines underneath.',
    'leaf',
    ['needle.section flat', 'needle.bands lower'],
  ],
  ['white underneath', 'leaf', ['leaf.lowerColor white']],
  ['big teeth with little teeth on them', 'leaf', ['leaf.teeth double']],
  [
    'The leaf stem is flat and it shakes in the wind',
    'leaf',
    ['leaf.petioleSection flattened', 'leaf.petioleSection flattened'],
  ],
  ['buds sticky and pointy', 'bud', ['bud.resin yes', 'bud.shape ovoidPointed']],
  ['long skinny bud, sticks out from the twig', 'bud', ['bud.shape cigar', 'bud.lie spreading']],
])('“%s” of a %s', (text, organ, states) => {
  expect(read(text, organ)).toEqual(states);
});

test('words are read of the organ that they name, else of that of the entry', () => {
  expect(read('smooth', 'bark')).toEqual(['bark.surface smooth']);
  expect(read('smooth', 'twig')).toEqual(['twig.hair none']);
  expect(read('The bark is smooth', 'leaf')).toEqual(['bark.surface smooth']);
  expect(read('leaves across from each other', 'leaf')).toEqual(['twig.arrangement opposite']);
});

test('what is absent is a state where there is one for it; what is denied stays a denial', () => {
  expect(read('no thorns, no teeth', 'leaf')).toEqual(['twig.armature none', 'leaf.teeth none']);
  expect(read('without thorns', 'twig')).toEqual(['twig.armature none']);
  expect(read('not opposite', 'twig')).toEqual(['not twig.arrangement opposite']);
  expect(read('buds not sticky', 'bud')).toEqual(['bud.resin no']);
  // A denial ends with its clause.
  expect(read('no thorns, opposite', 'twig')).toEqual(['twig.armature none', 'twig.arrangement opposite']);
});

test('counts and lengths are read as numbers, lengths in metres', () => {
  expect(read('needles in bundles of five', 'leaf')).toContain('needle.perBundle 5');
  expect(read('7 leaflets', 'leaf')).toEqual(['leaf.leaflets 7']);
  expect(read('needles 2 inches long', 'leaf')).toEqual(['needle.length 0.0508']);
  expect(read('leaf 10 cm wide', 'leaf')).toEqual(['leaf.width 0.1']);
});

test('where words may mean several states, all are offered', () => {
  const [rough] = readOwnWords('rough', 'bark').understood;
  expect([rough!.state, ...rough!.or.map(({ state }) => state)].sort()).toEqual([
    'deepFurrows',
    'shallowFissures',
    'thinScales',
  ]);
});

test('what the class has taught comes first, and what nobody knows is said with its place', () => {
  const text = 'The bark reminds me of a crocodile';
  const { understood, notUnderstood } = readOwnWords(text, 'bark');
  expect(understood).toEqual([]);
  expect(notUnderstood).toEqual([{ from: 25, to: 34, words: 'crocodile' }]);
  const taught = { phrase: 'a crocodile', characterId: 'bark.surface', state: 'squareBlocks' };
  expect(readOwnWords(text, 'bark', BUILT_IN, [taught]).understood[0]).toMatchObject({
    state: 'squareBlocks',
    learnt: true,
  });
  expect(
    readOwnWords('smooth', 'bark', BUILT_IN, [{ ...taught, phrase: 'smooth' }]).understood[0]!.state,
  ).toBe('squareBlocks');
});

const tree = profiled('Ficta', 'visa', {
  'foliage.kind': 'broad',
  'leaf.teeth': 'double; rarely single',
  'leaf.length': '4–8 cm',
  'twig.zigzag': 'always',
  'bark.surface': 'only smooth; rarely banded',
  'bark.color': 'grey',
  'leaf.autumnColor': 'only yellow',
});

const judge = (...said: Said[]) =>
  readAgainst(said, tree, BUILT_IN, viewOf(['leaf', 'twig', 'bark'], SUMMER)).map(({ verdict }) => verdict);
const of = (characterId: string, state: string, more: Partial<Said> = {}): Said => ({
  characterId,
  state,
  ...more,
});

test('an entry is read against the scores: usual, seldom, misread, and what they do not say', () => {
  expect(
    judge(
      of('leaf.teeth', 'double'),
      of('leaf.teeth', 'single'),
      of('leaf.teeth', 'none'),
      of('bud.scales', 'two'),
    ),
  ).toEqual(['agrees', 'seldom', 'misread', 'not said']);
  expect(judge(of('twig.zigzag', 'yes'), of('twig.zigzag', 'no'))).toEqual(['agrees', 'misread']);
});

test('of states that occur together only a score that names them all makes one a misreading', () => {
  expect(judge(of('bark.surface', 'papery'), of('bark.color', 'brown'))).toEqual(['misread', 'not said']);
});

test('a denial agrees where the tree never shows it, and is misread where it always does', () => {
  const denied = { denied: true };
  expect(
    judge(
      of('leaf.teeth', 'none', denied),
      of('leaf.teeth', 'double', denied),
      of('leaf.teeth', 'single', denied),
    ),
  ).toEqual(['agrees', 'misread', 'not said']);
});

test('a length is read with the slack of a reading by eye', () => {
  const long = (value: number) => of('leaf.length', '', { value });
  expect(judge(long(0.05), long(0.087), long(0.2))).toEqual(['agrees', 'nearly', 'misread']);
});

test('what cannot be seen on the day is not held against a student', () => {
  expect(judge(of('leaf.autumnColor', 'red'))).toEqual(['not to be seen']);
});

test('the next color and the next step are nearly right', () => {
  const grey = profiled('Ficta', 'cana', { 'bark.color': 'only gray-brown', 'bark.furrowDepth': 'under1' });
  const said = (id: string, state: string) =>
    readAgainst([of(id, state)], grey, BUILT_IN, viewOf(['bark'], SUMMER))[0]!.verdict;
  expect([said('bark.color', 'grey'), said('bark.color', 'white')]).toEqual(['nearly', 'misread']);
  expect([said('bark.furrowDepth', 'to3'), said('bark.furrowDepth', 'over3')]).toEqual(['nearly', 'misread']);
});

test('what a young tree shows is no misreading, since nobody noted how old it was', () => {
  const [smooth] = tree.scores.filter(({ characterId }) => characterId === 'bark.surface');
  const old = {
    kind: 'states' as const,
    exhaustive: true,
    states: [{ state: 'deepFurrows', frequency: 'always' as const }],
  };
  const aging = {
    ...tree,
    scores: [
      { ...smooth!, qualifiers: { plantAge: 'young' } },
      { ...smooth!, qualifiers: { plantAge: 'mature' }, value: old },
    ],
  };
  const [young, mature, neither] = readAtTree(
    ['smooth', 'deepFurrows', 'papery'].map((state) => of('bark.surface', state)),
    aging,
    BUILT_IN,
    SUMMER,
  );
  expect(young).toMatchObject({ verdict: 'agrees', young: true });
  expect(mature).toMatchObject({ verdict: 'agrees' });
  expect(mature!.young).toBeUndefined();
  expect(neither).toMatchObject({ verdict: 'misread', right: ['deepFurrows'] });
});

test('two entries side by side: differences first', () => {
  const beside = besideEachOther(
    [of('bark.color', 'grey'), of('leaf.teeth', 'double'), of('leaf.length', '', { value: 0.05 })],
    [
      of('leaf.teeth', 'single'),
      of('bark.color', 'grey'),
      of('bud.scales', 'two'),
      of('leaf.length', '', { value: 0.052 }),
    ],
  );
  expect(beside.map(({ characterId, how }) => `${characterId} ${how}`)).toEqual([
    'leaf.teeth other',
    'bud.scales only second',
    'bark.color same',
    'leaf.length same',
  ]);
});

test('words are learnt from what two students and more chose beside them, not from what all choose anyway', () => {
  const blocks = { characterId: 'bark.surface', state: 'squareBlocks' };
  const entry = (studentId: string, unknown: string[], state: string) => ({
    studentId,
    unknown,
    chosen: [{ ...blocks, state }],
  });
  const entries = [
    entry('a', ['crocodile'], 'squareBlocks'),
    entry('b', ['crocodiles'], 'squareBlocks'),
    entry('c', ['my dad'], 'smooth'),
    entry('d', [], 'smooth'),
  ];
  expect(learnable(entries)).toEqual([{ ...blocks, phrase: 'crocodile', entries: 2, chose: 2, students: 2 }]);
  expect(learnable(entries.map((one) => ({ ...one, chosen: [blocks] })))).toEqual([]);
});

test('a tag is one tree however it is written, but two numbers are not one', () => {
  expect(new Set(['T-14', 't14', ' T 14', 'T_14', 't.14'].map(tagKey)).size).toBe(1);
  expect(new Set(['1-4', '14', '1 4', 'T1-4', 'T14'].map(tagKey)).size).toBe(4);
  const taxonOf = taxonByTag({ 'T-14': 'ficta-alba' });
  expect(['t14', 'T-1', ''].map(taxonOf)).toEqual(['ficta-alba', undefined, undefined]);
});
