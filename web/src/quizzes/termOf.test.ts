import { BUILT_IN } from '@hurrow/core/vocabulary';
import { termOf } from './termOf.ts';

test('a character is chosen by its part and term; one that is gone is still named', () => {
  expect(termOf('needle.bands', BUILT_IN)).toBe('leaves: white bands');
  expect(termOf('gone.own', BUILT_IN)).toBe('gone.own');
});
