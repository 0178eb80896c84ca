import { BUILT_IN, ENGLISH, saidIn, stateOf, wordIn, type Character } from '../index.ts';
import { readTongue } from '../tongue.ts';
import { GERMAN } from './index.ts';

const german = saidIn(GERMAN, BUILT_IN);
const all = [...BUILT_IN.values()];

/** Where something stands in what is said, but for what a language may have more of. */
const leavesOf = (of: object): string[] =>
  Object.entries(of)
    .filter(([key]) => !['qualifiers', 'units', 'looks'].includes(key))
    .flatMap(([key, value]: [string, unknown]) =>
      typeof value === 'object' && value !== null ? leavesOf(value).map((leaf) => `${key}.${leaf}`) : [key],
    );

test.each(all.map(({ id }) => id))('%s and each of its states have words in German', (id) => {
  expect(GERMAN.characters.has(id)).toBe(true);
  const [written, said] = [BUILT_IN.get(id)!, german.get(id)!];
  written.states.forEach((state, i) => {
    expect(`${id} ${state.id}: ${said.states[i]!.definition}`).toMatch(/\.$/);
    expect(said.states[i]!.definition).not.toBe(state.definition);
  });
  const terms = said.states.map(({ term }) => term);
  expect(new Set(terms).size).toBe(terms.length);
});

test('no words are there for what is not', () => {
  for (const id of GERMAN.characters.keys()) expect(BUILT_IN.has(id)).toBe(true);
  for (const key of GERMAN.states.keys()) {
    const [id, state] = key.split(' ') as [string, string];
    expect(`${key}: ${stateOf(BUILT_IN.get(id)!, state) !== undefined}`).toBe(`${key}: true`);
  }
  const shared = new Set(all.flatMap(({ states }) => states.map(({ id, term }) => `${id}/${term}`)));
  for (const key of GERMAN.shared.keys()) expect(shared).toContain(key);
});

test('what is said between the words has the same pieces, with the same places to fill', () => {
  expect(leavesOf(GERMAN.saying).sort()).toEqual(leavesOf(ENGLISH).sort());
  const places = (of: object): string[] =>
    JSON.stringify(of)
      .match(/#|\{\w+\}/g)!
      .sort();
  expect(places(GERMAN.saying)).toEqual(places(ENGLISH));
});

test('what a library has put otherwise, and its own characters, stay as they are written', () => {
  const scales = BUILT_IN.get('bud.scales')!;
  const changed: Character = {
    ...scales,
    plain: 'coats of the bud',
    states: [...scales.states, { id: 'own', term: 'velvet', plain: 'velvet', definition: 'Our own.' }],
  };
  const own: Character = { ...scales, id: 'bud.own-glow', term: 'glow', plain: 'glow' };
  const said = saidIn(GERMAN, new Map([changed, own].map((each) => [each.id, each])));
  expect(said.get('bud.scales')).toMatchObject({ term: 'Knospenschuppen', plain: 'coats of the bud' });
  expect(said.get('bud.scales')!.states.map(({ term }) => term)).toEqual([
    'nackt',
    'eine Kappe',
    'zwei, klappig',
    'mehrere, dachziegelig',
    'velvet',
  ]);
  expect(said.get('bud.own-glow')).toBe(own);
});

test('a word that was said in English is said in German by what it is said of', () => {
  expect(wordIn(GERMAN, 'bud scales', 'bud.scales')).toBe('Knospenschuppen');
  expect(wordIn(GERMAN, 'scales on the bud', 'bud.scales')).toBe('Schuppen der Knospe');
  expect(wordIn(GERMAN, 'gray', 'bud.color', 'grey')).toBe('grau');
  expect(wordIn(GERMAN, 'Without scales; the young leaves are exposed.', 'bud.scales', 'none')).toBe(
    'Ohne Schuppen; die jungen Blätter liegen frei.',
  );
  expect(wordIn(GERMAN, 'coats of the bud', 'bud.scales')).toBe('coats of the bud');
  expect(wordIn(GERMAN, 'glow', 'bud.own-glow', 'bright')).toBe('glow');
});

test('a line with a column too few is refused', () => {
  expect(() => readTongue('bud.scales | Knospenschuppen', '', ENGLISH)).toThrow('need 3 columns');
  expect(() => readTongue('', 'none/none | keiner | kein Geruch', ENGLISH)).toThrow('need 4 columns');
});
