import { say, word } from './say.ts';

test('a sentence is said in English, and can be said again: the same words have the same id, whatever stands in them', () => {
  const nine = say`There is no station ${9}.`;
  expect(nine).toMatchObject({ message: 'There is no station 9.', values: [9] });
  expect(say`There is no station ${'A'}.`.id).toBe(nine.id);
  expect(say`There is no quiz ${9}.`.id).not.toBe(nine.id);
});

test('lists and other sentences stand in it in English', () => {
  const said = say`${'Abies grandis'} stands in ${['Set 1', say`the key ${'K'}`, word('buds')]}.`;
  expect(said.message).toBe('Abies grandis stands in Set 1, the key K and buds.');
  expect(said.values[1]).toHaveLength(3);
});
