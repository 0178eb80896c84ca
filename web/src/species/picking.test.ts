import { FREQUENCIES } from '@hurrow/core/score';
import { BUILT_IN } from '@hurrow/core/vocabulary';
import { afterPress, frequencyIn, PICKS, placeOfKey, rowBeside } from './picking.ts';

const shape = BUILT_IN.get('leaf.shape')!;
const bark = [...BUILT_IN.values()].find(({ anyOf }) => anyOf)!;
const zigzag = BUILT_IN.get('twig.zigzag')!;
const press = (character: typeof shape, ids: string[]) =>
  ids.reduce((value, id) => afterPress(character, value, id), null as ReturnType<typeof afterPress>);

test('a state goes from always down to rarely and out; the others stay as they are', () => {
  const after = (times: number) =>
    frequencyIn(press(shape, ['elliptic', ...Array<string>(times).fill('ovate')]), 'ovate');
  expect([1, 2, 3, 4, 5].map(after)).toEqual(['always', 'usually', 'sometimes', 'rarely', undefined]);
  const value = press(shape, ['elliptic', 'ovate', 'ovate']);
  expect(frequencyIn(value, 'elliptic')).toBe('always');
  expect(press(shape, Array<string>(5).fill('ovate'))).toBeNull();
});
test('only where states may occur together is one said never to be there', () => {
  const id = bark.states[0]!.id;
  expect(FREQUENCIES.map((_, i) => frequencyIn(press(bark, Array<string>(i + 1).fill(id)), id))).toEqual([
    ...FREQUENCIES,
  ]);
});
test('what a source says beside the states stays with them', () => {
  const value = {
    kind: 'states' as const,
    states: [{ state: 'ovate', frequency: 'always' as const }],
    exhaustive: true,
  };
  expect(afterPress(shape, value, 'elliptic')).toMatchObject({ exhaustive: true });
});
test('a yes or no has one answer, and a second press takes it back', () => {
  expect(press(zigzag, ['always'])).toEqual({ kind: 'flag', frequency: 'always' });
  expect(press(zigzag, ['always', 'never'])).toEqual({ kind: 'flag', frequency: 'never' });
  expect(press(zigzag, ['always', 'always'])).toBeNull();
});
test('a key picks by its place, whatever its case; others are left to the page', () => {
  expect([...PICKS].map((key) => placeOfKey(key))).toEqual([...PICKS].map((_, i) => i));
  expect(placeOfKey('A')).toBe(placeOfKey('a'));
  for (const key of ['ArrowDown', 'Enter', ' ', 'q', '?']) expect(placeOfKey(key)).toBe(-1);
});
test('the row after the last and before the first is none', () => {
  const rows = ['a', 'b', 'c'];
  expect(rowBeside(rows, 'a', 1)).toBe(1);
  expect(rowBeside(rows, 'c', 1)).toBe(-1);
  expect(rowBeside(rows, 'a', -1)).toBe(-1);
});
