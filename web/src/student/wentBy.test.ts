import * as core from '@hurrow/core/station';
import { GUESS, isFull, ticked, WHOLE_LOOK } from './wentBy.ts';

test('the phone stores what the core reads', () => {
  expect([WHOLE_LOOK, GUESS]).toEqual([core.WHOLE_LOOK, core.GUESS]);
  const three = ['a', 'b', 'c'].slice(0, core.MOST_TOLD);
  expect(isFull(three, 'd')).toBe(true);
});

test('three can be ticked; one more tap changes nothing, a second tap takes back', () => {
  const three = ['a', 'b', 'c'].reduce<string[]>(ticked, []);
  expect(three).toEqual(['a', 'b', 'c']);
  expect(ticked(three, 'd')).toEqual(three);
  expect(isFull(three, 'b')).toBe(false);
  expect(ticked(three, 'b')).toEqual(['a', 'c']);
});

test('a guess stands alone, and gives way to anything else', () => {
  expect(ticked(['a', 'b'], GUESS)).toEqual([GUESS]);
  expect(ticked([GUESS], 'a')).toEqual(['a']);
  expect(isFull(['a', 'b', 'c'], GUESS)).toBe(false);
});
