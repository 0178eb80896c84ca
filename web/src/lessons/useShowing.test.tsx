import type { LessonStop } from '@hurrow/core/lesson';
import { fireEvent, hookOnPage, waitFor } from '../testing/page.tsx';
import { useShowing } from './useShowing.ts';

const stops = ['name', 'point', 'call', 'point'].map((kind) => ({ kind })) as unknown as LessonStop[];
const windowOf = (isShowing: boolean, id = 'maples') => hookOnPage(() => useShowing(id, stops, isShowing));
const press = (key: string, on: Element = document.body, more = {}) =>
  fireEvent.keyDown(on, { key, ...more });

test('keys and a clicker go on and back, blank the sheet and bring it back; other keys and shortcuts do nothing', async () => {
  const page = windowOf(true);
  await page.does(() => press('ArrowRight'));
  await page.does(() => press('PageDown'));
  expect(page.now().shown).toMatchObject({ at: 2, told: false });
  await page.does(() => press(' '));
  expect(page.now().shown).toMatchObject({ at: 2, told: true });
  await page.does(() => press('ArrowLeft'));
  expect(page.now().shown).toMatchObject({ at: 1, told: true });
  await page.does(() => press('b'));
  expect(page.now().shown.blank).toBe(true);
  await page.does(() => press('ArrowRight'));
  expect(page.now().shown).toMatchObject({ at: 1, blank: false });
  await page.does(() => press('x'));
  await page.does(() => press('ArrowRight', document.body, { ctrlKey: true }));
  expect(page.now().shown.at).toBe(1);
  await page.does(() => press('End'));
  expect(page.now().shown.at).toBe(3);
});

test('a button that has the focus is pressed by Enter and Space, and nothing moves', async () => {
  const page = windowOf(true);
  const button = document.body.appendChild(document.createElement('button'));
  await page.does(() => press('Enter', button));
  await page.does(() => press(' ', button));
  expect(page.now().shown.at).toBe(0);
  await page.does(() => press('ArrowRight', button));
  expect(page.now().shown.at).toBe(1);
  button.remove();
});

test('two windows of one lesson show the same, one opened later too; another lesson goes its own way', async () => {
  const desk = windowOf(false);
  const wall = windowOf(true);
  const other = windowOf(true, 'birches');
  await desk.does(({ go }) => go({ to: 2 }));
  await waitFor(() => expect(wall.now().shown.at).toBe(2));
  const late = windowOf(false);
  await waitFor(() => expect(late.now().shown.at).toBe(2));
  await wall.does(({ go }) => go('last'));
  await waitFor(() => expect(desk.now().shown.at).toBe(3));
  expect(other.now().shown.at).toBe(0);
});
