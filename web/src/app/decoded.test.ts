import { decoded } from './decoded.ts';

describe('a part of an address', () => {
  test('is read as it was written', () => expect(decoded('AB%2FCD')).toBe('AB/CD'));
  test('that was cut is left as it stands', () => expect(decoded('AB%2')).toBe('AB%2'));
});
