import { BEGIN_CALLING, called, next, roundOf } from './calling.ts';

test('one specimen is called after the other, each once', () => {
  const first = called(BEGIN_CALLING, 'single');
  expect(called(first, 'double')).toEqual(first);
  expect(next(BEGIN_CALLING, 2)).toEqual(BEGIN_CALLING);
  const second = next(first, 2);
  expect(second.at).toBe(1);
  expect(next(second, 2)).toEqual(second);
  expect(next(called(second, 'double'), 2).at).toBe(1);
});
test('an address names the ten specimens; nonsense means the first ten', () => {
  const asked = (search: string) => roundOf(new URLSearchParams(search));
  expect(['?round=3', '?round=0', '?round=1.5', '?round=x', ''].map(asked)).toEqual([3, 1, 1, 1, 1]);
});
