import { BUILT_IN, type Character } from '@hurrow/core/vocabulary';
import {
  asPercent,
  blank,
  characterOf,
  fromPercent,
  generaOf,
  hasStates,
  takingAway,
  usesInWords,
  withGroup,
  withState,
} from './characterDraft.ts';

const ridge: Character = {
  ...BUILT_IN.get('leaf.shape')!,
  id: '',
  term: 'Crested ridge',
  plain: ' ',
  states: [],
};
const state = (term: string, more: object = {}) => ({ id: '', term, plain: '', definition: '', ...more });

test('what is left empty is filled from the terms, and a line without a term is no state', () => {
  const made = characterOf({
    ...ridge,
    states: [state('Höckrig, rau'), state('  '), state('smooth', { plain: 'even' })],
  });
  expect(made.id).toBe('leaf.own-crested-ridge');
  expect(made.plain).toBe('Crested ridge');
  expect(made.states).toEqual([
    { id: 'ho-ckrig-rau', term: 'Höckrig, rau', plain: 'Höckrig, rau', definition: 'Höckrig, rau' },
    { id: 'smooth', term: 'smooth', plain: 'even', definition: 'smooth' },
  ]);
});
test('ids that are there stay, however the words change', () => {
  const held = BUILT_IN.get('leaf.shape')!;
  const renamed = characterOf({
    ...held,
    term: 'outline',
    states: held.states.map((one) => ({ ...one, term: `${one.term}!` })),
  });
  expect(renamed.id).toBe('leaf.shape');
  expect(renamed.states.map(({ id }) => id)).toEqual(held.states.map(({ id }) => id));
});
test('only a measure has a unit, and only what has states keeps them', () => {
  expect(characterOf({ ...ridge, kind: 'measure', states: [state('x')] })).toMatchObject({
    unit: 'cm',
    states: [],
  });
  expect(characterOf({ ...ridge, kind: 'measure', unit: 'mm' }).unit).toBe('mm');
  expect(characterOf({ ...ridge, kind: 'count', unit: 'mm' })).not.toHaveProperty('unit');
});

test('a new character is of its organ, second, and read with care', () => {
  expect(blank('leaf')).toMatchObject({ organ: 'leaf', part: 'leaves', standing: 'second' });
  expect(blank('bark').part).toBe('always');
  expect(hasStates(blank('bark'))).toBe(true);
  expect(hasStates({ ...blank('bark'), kind: 'flag' })).toBe(false);
});

test('a state is written in its place, and added behind the last', () => {
  const draft = withState(blank('leaf'), 1, 'term', 'crested');
  expect(draft.states.map(({ term }) => term)).toEqual(['', 'crested']);
  expect(withState(draft, 2, 'plain', 'wavy').states).toHaveLength(3);
});

test('genera are read as they are typed, and saved without what is empty', () => {
  expect(generaOf('tilia, Picea')).toEqual(['Tilia', 'Picea']);
  expect(generaOf('Tilia,')).toEqual(['Tilia', '']);
  expect(generaOf('')).toEqual([]);
  const draft = { ...blank('leaf'), term: 'Edge', raisedWithin: ['Tilia', ''] };
  expect(characterOf(draft).raisedWithin).toEqual(['Tilia']);
  expect(characterOf({ ...draft, raisedWithin: [''] }).raisedWithin).toEqual([]);
  expect(characterOf(blank('leaf'))).not.toHaveProperty('raisedWithin');
});

test('percent are shares, and an empty field is none', () => {
  expect([asPercent(0.015), fromPercent('1.5'), fromPercent('')]).toEqual(['1.5', 0.015, 0]);
});

test('a group is left by emptying its name', () => {
  expect(withGroup(withGroup(blank('leaf'), 'size'), '')).not.toHaveProperty('group');
  expect(withGroup(blank('leaf'), 'size').group).toBe('size');
});

test('what rests on a character is said, and what taking it away does', () => {
  expect(usesInWords(undefined)).toBe('');
  expect(usesInWords({ scores: 0, taxa: [] })).toBe('Not scored for any taxon yet.');
  expect(usesInWords({ scores: 3, taxa: ['a', 'b'] })).toMatch(/^3 scores of 2 taxa rest on it/);
  expect([
    takingAway(true, undefined),
    takingAway(false, { scores: 1, taxa: ['a'] }),
    takingAway(false, undefined),
  ]).toEqual(['Back to the built-in form', 'Take away, with 1 score', 'Take away']);
});
