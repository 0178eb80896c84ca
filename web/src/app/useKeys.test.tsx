import { vi } from 'vitest';
import { fireEvent, hookOnPage } from '../testing/page.tsx';
import { KEYS, useKeys } from './keys.ts';

function keyboard() {
  const done: string[] = [];
  const said = (what: string) => () => void done.push(what);
  const page = hookOnPage(() =>
    useKeys({ '/': said('find'), 'g s': said('species'), s: said('plain s'), '?': said('list') }),
  );
  return { done, page };
}
const press = (key: string, on: Element = document.body, more = {}) =>
  fireEvent.keyDown(on, { key, ...more });
afterEach(() => vi.useRealTimers());

test('a key does what it stands for, and the browser leaves it alone', () => {
  const { done } = keyboard();
  expect(press('/')).toBe(false);
  expect(press('x')).toBe(true);
  expect(done).toEqual(['find']);
});

test('g and another key go together, if the other comes soon', () => {
  vi.useFakeTimers();
  const { done } = keyboard();
  press('g');
  press('s');
  press('g');
  vi.advanceTimersByTime(2000);
  press('s');
  press('g');
  press('x');
  press('s');
  expect(done).toEqual(['species', 'plain s', 'plain s']);
});

test('whoever types is left alone, and so are shortcuts of the browser', () => {
  const { done } = keyboard();
  for (const tag of ['input', 'textarea', 'select']) {
    const field = document.body.appendChild(document.createElement(tag));
    press('/', field);
    field.remove();
  }
  press('/', document.body, { ctrlKey: true });
  press('/', document.body, { metaKey: true });
  expect(done).toEqual([]);
});

test('a page that is left hears nothing any more', () => {
  const { done, page } = keyboard();
  page.leave();
  press('/');
  expect(done).toEqual([]);
});

test('every key is in the list that is shown once', () => {
  const keys = KEYS.map(([key]) => key);
  expect(new Set(keys).size).toBe(keys.length);
  expect(keys).toContain('?');
});
