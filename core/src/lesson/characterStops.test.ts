import { BUILT_IN } from '../vocabulary/index.ts';
import { profiled } from '../testing/taxa.ts';
import {
  CHARACTER_GROUPS,
  characterCalls,
  characterLesson,
  characterStops,
  drawingOfStop,
  glossaryOf,
  lessonAbout,
  lessonCharacters,
  lessonGroups,
  rowsOfStates,
  shownByTrait,
  viewOfCharacter,
} from './index.ts';

const broad = (epithet: string, scores: Record<string, string>) =>
  profiled('Arbor', epithet, {
    'foliage.kind': 'broad',
    'twig.arrangement': 'alternate',
    'leaf.composition': 'simple',
    ...scores,
  });
const pine = (epithet: string, perBundle: string) =>
  profiled('Pinus', epithet, {
    'foliage.kind': 'bundled',
    'needle.perBundle': perBundle,
    'needle.length': '5–9 cm',
  });
const list = [
  broad('una', { 'leaf.teeth': 'single; sometimes double', 'leaf.toothTip': 'spreading' }),
  broad('altera', { 'leaf.teeth': 'single', 'leaf.toothTip': 'rounded' }),
  broad('tertia', { 'leaf.teeth': 'double', 'leaf.toothTip': 'spreading' }),
  broad('integra', { 'leaf.teeth': 'none' }),
  pine('alba', '5'),
  pine('dura', '2–3'),
];
const setting = { list, vocabulary: BUILT_IN, audience: 'technical' as const };
const drawing = {
  vocabulary: BUILT_IN,
  units: 'metric' as const,
  reference: { latitude: 47, longitude: -116, elevation: 700 },
  site: { latitude: 47, longitude: -116, elevation: 700 },
  day: 200,
  width: 800,
  height: 400,
};
const treesOf = (taxa: readonly string[]) => taxa.map((id) => list.find(({ taxon }) => taxon.id === id)!);

describe('groups of characters', () => {
  test('hold built-in characters, none twice in one', () => {
    for (const { id, characters } of CHARACTER_GROUPS) {
      expect({ id, unknown: characters.filter((each) => !BUILT_IN.has(each)) }).toEqual({ id, unknown: [] });
      expect(new Set(characters).size).toBe(characters.length);
    }
  });
  test('keep what a list differs in, and are none with one character left', () => {
    const groups = lessonGroups(list, BUILT_IN, 'technical');
    expect(groups.find(({ id }) => id === 'margin')!.characters).toEqual(['leaf.teeth', 'leaf.toothTip']);
    expect(groups.find(({ id }) => id === 'bundles')!.characters).toEqual([
      'foliage.kind',
      'needle.perBundle',
    ]);
    // All leaves are simple and alternate: that is no lesson with this list.
    expect(groups.map(({ id }) => id)).not.toContain('arrangement');
  });
  test('a lesson is about a group, about one character, or about nothing that is taught', () => {
    const about = (id: string) => lessonAbout(list, BUILT_IN, 'technical', id);
    expect(about('margin')!.title).toBe('The margin');
    expect(about('leaf.teeth')).toEqual({ title: 'Teeth', characters: ['leaf.teeth'] });
    expect(about('leaf.composition')).toBeUndefined();
    expect(about('arrangement')).toBeUndefined();
    expect(about('nonsense')).toBeUndefined();
  });
});

describe('counts', () => {
  test('of a few kinds are taught as states, the least first; a tree with several is an exception', () => {
    const lesson = characterLesson(list, 'needle.perBundle', BUILT_IN);
    expect(lesson.states.map(({ id, example }) => [id, example])).toEqual([
      ['2', 'pinus-dura'],
      ['3', 'pinus-dura'],
      ['5', 'pinus-alba'],
    ]);
    expect(lesson.exceptions).toEqual([{ taxonId: 'pinus-dura', usual: ['2', '3'], sometimes: [] }]);
    expect(shownByTrait(5, lesson)).toEqual(['5']);
  });
  test('of many kinds are no lesson, and none is a word of the glossary', () => {
    const many = [2, 3, 4, 5, 6, 7, 8].map((count) => pine(`p${count}`, String(count)));
    expect(lessonCharacters(many, BUILT_IN)).not.toContain('needle.perBundle');
    const words = glossaryOf(list, BUILT_IN, 'technical', 'leaf').flatMap(({ entries }) => entries);
    expect(words.map(({ character }) => character.kind)).not.toContain('count');
  });
});

describe('the lesson of a group', () => {
  const stops = characterStops(setting, ['leaf.teeth', 'leaf.toothTip'], 1);
  const states = stops.find(({ kind }) => kind === 'states')!;

  test('shows the states of each, says who keeps to none, and ends with ten to call', () => {
    expect(stops.map(({ kind }) => kind).filter((kind) => kind !== 'call')).toEqual([
      'states',
      'exceptions',
      'states',
    ]);
    expect(stops.filter(({ kind }) => kind === 'call')).toHaveLength(10);
    expect(states.taxa).toEqual(['arbor-integra', 'arbor-altera', 'arbor-tertia']);
    expect(states.words).toMatch(/^Entire: edge without teeth\. /);
    expect(stops[1]!.words).toBe('Una: singly toothed, sometimes doubly toothed.');
    expect(new Set(stops.map(({ key }) => key)).size).toBe(stops.length);
  });
  test('the states are drawn side by side with their words, which a question holds back', () => {
    const drawn = drawingOfStop(states, treesOf(states.taxa), drawing, 'technical')!;
    expect(drawn.labels.map(({ text }) => text)).toEqual(['entire', 'singly toothed', 'doubly toothed']);
    const asked = drawingOfStop(states, treesOf(states.taxa), drawing, 'technical', true)!;
    expect(asked.labels).toEqual([]);
    expect([1, 3, 4, 6].map(rowsOfStates)).toEqual([1, 1, 2, 2]);
  });
  test('the two characters are called in turn, and each specimen shows what is right', () => {
    const lessons = ['leaf.teeth', 'leaf.toothTip'].map((id) => characterLesson(list, id, BUILT_IN));
    const calls = characterCalls(setting, lessons, 10, 1);
    expect(calls.map(({ characterId }) => characterId)).toEqual(
      Array.from({ length: 10 }, (_, i) => (i % 2 ? 'leaf.toothTip' : 'leaf.teeth')),
    );
    for (const { right } of calls) expect(right.length).toBeGreaterThan(0);
    expect(characterCalls(setting, lessons, 10, 2)).not.toEqual(calls);
    expect(new Set(calls.map((call) => JSON.stringify(call))).size).toBe(10);
    // What no drawing shows is not called.
    const smelling = ['citrus', 'rank'].map((odor, i) => broad(`s${i}`, { 'leaf.odor': odor }));
    const odor = characterLesson(smelling, 'leaf.odor', BUILT_IN);
    expect(odor.states).toHaveLength(2);
    const told = characterStops({ ...setting, list: smelling }, ['leaf.odor'], 1);
    expect(told.map(({ kind, shows }) => [kind, shows])).toEqual([['states', []]]);
    expect(characterCalls({ list: smelling, vocabulary: BUILT_IN }, [odor], 10, 1)).toEqual([]);
    // An entire leaf has no teeth whose tips could be called.
    const tips = calls.filter(({ characterId }) => characterId === 'leaf.toothTip');
    expect(tips.map(({ taxonId }) => taxonId)).not.toContain('arbor-integra');
  });
  test('a specimen is told by its state and its tree, and nothing is pointed at', () => {
    const call = stops.find(({ kind }) => kind === 'call')!;
    expect(call.ask).toBe('What do you see: teeth?');
    expect(call.words).toMatch(/, on (una|altera|tertia|integra)\.$/);
    expect(drawingOfStop(call, treesOf(call.taxa), drawing, 'technical')!.labels).toEqual([]);
  });
  test('many states are shown on several sheets', () => {
    const kinds = [
      'oval',
      'ovate',
      'obovate',
      'lanceolate',
      'round',
      'elliptic',
      'oblong',
      'deltoid',
      'linear',
    ];
    const known = new Set(BUILT_IN.get('leaf.shape')!.states.map(({ id }) => id));
    const trees = kinds.filter((kind) => known.has(kind)).map((kind) => broad(kind, { 'leaf.shape': kind }));
    const sheets = characterStops({ ...setting, list: trees }, ['leaf.shape'], 1).filter(
      ({ kind }) => kind === 'states',
    );
    expect(trees.length).toBeGreaterThan(6);
    expect(sheets).toHaveLength(2);
    expect(sheets[1]!.title).toBe('Leaf shape, 2 of 2');
  });
});

test('buds are shown on a bare twig, leaves in summer, cones ripe', () => {
  expect(viewOfCharacter({ organ: 'bud', part: 'buds' })).toMatchObject({
    organs: ['bud'],
    leaves: 'off',
    day: 20,
  });
  expect(viewOfCharacter({ organ: 'leaf', part: 'leaves' })).toMatchObject({
    organs: ['leaf'],
    leaves: 'on',
  });
  expect(viewOfCharacter({ organ: 'cone', part: 'fruit' }).day).toBeGreaterThan(240);
});
