import { BUILT_IN, ORGANS, organsInOrder, stateOf, TEACHING_STARTS, type Character } from './index.ts';
import { table } from './character.ts';

const all: Character[] = [...BUILT_IN.values()];

test('every state has an id of its own, a term, plain words and a definition', () => {
  for (const character of all) {
    const ids = character.states.map((state) => state.id);
    expect(new Set(ids).size).toBe(ids.length);
    for (const state of character.states) {
      expect(state.plain.length).toBeGreaterThan(0);
      expect(state.definition).toMatch(/\.$/);
    }
  }
});

test('categorical and ordinal characters have at least two states, measures have a unit', () => {
  for (const character of all) {
    if (character.kind === 'categorical' || character.kind === 'ordinal')
      expect(character.states.length).toBeGreaterThan(1);
    if (character.kind === 'measure') expect(character.unit).toBeDefined();
  }
});

test('what a character depends on exists, and stands before it, so that an individual can be drawn in one pass', () => {
  const order = all.map((character) => character.id);
  for (const character of all)
    for (const { character: governor, states } of character.requires) {
      const governing = BUILT_IN.get(governor);
      expect(governing).toBeDefined();
      for (const state of states) expect(stateOf(governing!, state)).toBeDefined();
      expect(order.indexOf(governor)).toBeLessThan(order.indexOf(character.id));
    }
});

test('careful readers err less than novices', () => {
  for (const { misread } of all) {
    expect(misread.careful).toBeLessThan(misread.novice);
    expect(misread.careful).toBeGreaterThanOrEqual(0.002);
  }
});

test('a line of a state table without four columns is refused', () => {
  expect(() => table('a | b | c')).toThrow('needs id | term | plain | definition');
});

test.each(TEACHING_STARTS)('a course that begins with the %s sees every organ once', (start) => {
  const order = organsInOrder(start).map(({ organ }) => organ);
  expect([...order].sort()).toEqual(ORGANS.map(({ organ }) => organ).sort());
  expect(order[0]).toBe(start === 'leaf' ? 'habit' : start);
});
