import { applies, BUILT_IN, notMet } from './index.ts';

const shape = BUILT_IN.get('leaf.shape')!;
const foliage = (kind: string | undefined) => (_: string, states: readonly string[]) =>
  kind === undefined ? undefined : states.includes(kind);

test('a character applies under the states that it requires', () => {
  expect(applies(shape, foliage('broad'), false)).toBe(true);
  expect(applies(shape, foliage('bundled'), true)).toBe(false);
  expect(notMet(shape, foliage('bundled'), true)).toEqual({ character: 'foliage.kind', states: ['broad'] });
});
test('where nothing is known of what governs it, the caller says what that comes to', () => {
  expect(applies(shape, foliage(undefined), true)).toBe(true);
  expect(applies(shape, foliage(undefined), false)).toBe(false);
  expect(applies(shape, foliage(undefined), (governor) => governor !== 'foliage.kind')).toBe(false);
});
test('what requires nothing always applies', () => {
  expect(applies({ requires: [] }, () => undefined, false)).toBe(true);
});
