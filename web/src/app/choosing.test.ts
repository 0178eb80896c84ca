import { afterKey } from './choosing.ts';

test('up and down go round the list, and begin at its ends', () => {
  const after = (keys: string[], from = -1) => keys.reduce((at, key) => afterKey(key, at, 3)?.at ?? at, from);
  expect(after(['ArrowDown'])).toBe(0);
  expect(after(['ArrowUp'])).toBe(2);
  expect(after(['ArrowDown', 'ArrowDown', 'ArrowDown', 'ArrowDown'])).toBe(0);
  expect(after(['ArrowDown', 'End', 'Home', 'ArrowUp'])).toBe(2);
});
test('Enter takes what is marked, or the first; Escape closes whatever is there', () => {
  expect(afterKey('Enter', 2, 3)).toEqual({ at: 2, does: 'take' });
  expect(afterKey('Enter', -1, 3)).toEqual({ at: 0, does: 'take' });
  expect(afterKey('Escape', 1, 0)).toEqual({ at: -1, does: 'close' });
});
test('what is typed stays the field’s own, and so do its ends while nothing is marked', () => {
  for (const key of ['a', ' ', 'Home', 'End', 'ArrowLeft', 'Tab'])
    expect(afterKey(key, -1, 3)).toBeUndefined();
  for (const key of ['Enter', 'ArrowDown']) expect(afterKey(key, -1, 0)).toBeUndefined();
});
