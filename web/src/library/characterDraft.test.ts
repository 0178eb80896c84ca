import { BUILT_IN, type Character } from '@hurrow/core/vocabulary';
import { characterOf } from './characterDraft.ts';

const blank: Character = {
  ...BUILT_IN.get('leaf.shape')!,
  id: '',
  term: 'Crested ridge',
  plain: ' ',
  states: [],
};
const state = (term: string, more: object = {}) => ({ id: '', term, plain: '', definition: '', ...more });

test('what is left empty is filled from the terms, and a line without a term is no state', () => {
  const made = characterOf({
    ...blank,
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
  expect(characterOf({ ...blank, kind: 'measure', states: [state('x')] })).toMatchObject({
    unit: 'cm',
    states: [],
  });
  expect(characterOf({ ...blank, kind: 'measure', unit: 'mm' }).unit).toBe('mm');
  expect(characterOf({ ...blank, kind: 'count', unit: 'mm' })).not.toHaveProperty('unit');
});
