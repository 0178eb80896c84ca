import { BEGIN_CALLING, called, isRight, next, rightStates, viewOfCharacter } from './calling.ts';

const specimens = [
  { taxonId: 'a', seed: 1 },
  { taxonId: 'b', seed: 2 },
];

test('one specimen is called after the other, each once', () => {
  const first = called(BEGIN_CALLING, 'single');
  expect(called(first, 'double')).toEqual(first);
  const second = next(first, specimens);
  expect(second.at).toBe(1);
  expect(next(second, specimens)).toEqual(second);
  expect(next(called(second, 'double'), specimens).at).toBe(1);
});
test('a call is right where the individual shows it, one of several where they occur together', () => {
  expect(isRight('single', 'single')).toBe(true);
  expect(isRight('papery', ['banded', 'papery'])).toBe(true);
  expect(isRight('single', undefined)).toBe(false);
  const states = ['single', 'double'].map((id) => ({ id }));
  expect(rightStates('double', { states } as never)).toEqual(['double']);
});
test('buds are shown on a bare twig, leaves in summer', () => {
  expect(viewOfCharacter({ organ: 'bud', part: 'buds' })).toMatchObject({
    organs: ['bud'],
    leaves: 'off',
    day: 20,
  });
  expect(viewOfCharacter({ organ: 'leaf', part: 'leaves' })).toMatchObject({
    organs: ['leaf'],
    leaves: 'on',
  });
});
