import { vi } from 'vitest';
import type { Pile, SaidWays } from '@hurrow/core/sorting';
import { hookOnPage } from '../testing/page.tsx';
import type { TableState } from './kept.ts';
import { useTable } from './useTable.ts';

const FROM = { taxa: ['acer-rubrum', 'acer-saccharum', 'betula-lenta', 'pinus-strobus'] };
const table = (send?: (state: TableState) => Promise<unknown>, where = 'wall') =>
  hookOnPage(() => useTable(where, FROM, 288, send));
/** The first specimen lies apart from the others. */
const SORTED: Pile = { specimens: [0, 1, 2, 3], into: [{ specimens: [0] }, { specimens: [1, 2, 3] }] };
const SAID: SaidWays = { '': 1 };

beforeEach(() => {
  localStorage.clear();
  vi.useFakeTimers();
});
afterEach(() => vi.useRealTimers());

test('a table is laid out once: whoever comes back finds it as it was left, and another place has its own', async () => {
  const page = table();
  const { id } = page.now().state;
  await page.does(({ sort }) => sort(SORTED));
  page.leave();
  expect(table().now().state).toMatchObject({ id, piles: SORTED });
  expect(table(undefined, 'phone').now().state.id).not.toBe(id);
});

test('it is sent once it rests, as it lies then and not at every touch', async () => {
  const sent: TableState[] = [];
  const page = table(async (state) => sent.push(state));
  await page.does(({ sort }) => sort(SORTED));
  await page.does(() => vi.advanceTimersByTime(300));
  await page.does(({ say }) => say(SAID));
  expect(sent).toEqual([]);
  await page.does(() => vi.advanceTimersByTime(900));
  expect(sent).toMatchObject([{ piles: SORTED, said: SAID }]);
});

test('a table that is left before it rested is sent as it is left, and one without piles never', async () => {
  const sent: TableState[] = [];
  const send = async (state: TableState) => sent.push(state);
  const page = table(send);
  await page.does(({ sort }) => sort(SORTED));
  page.leave();
  expect(sent).toHaveLength(1);
  const other = table(send, 'other');
  await other.does(({ say }) => say(SAID));
  other.leave();
  expect(sent).toHaveLength(1);
});

test('other specimens are laid out on a new table; the old one goes out first', async () => {
  const sent: TableState[] = [];
  const page = table(async (state) => sent.push(state));
  const { id } = page.now().state;
  await page.does(({ sort }) => sort(SORTED));
  await page.does(({ another }) => another());
  expect(sent).toMatchObject([{ id }]);
  expect(page.now().state.id).not.toBe(id);
});

test('what cannot be sent says so, stays here, and the word is gone when the next one arrives', async () => {
  let reached = false;
  const page = table(() => (reached ? Promise.resolve() : Promise.reject(new Error('No connection.'))));
  await page.does(({ sort }) => sort(SORTED));
  await page.does(() => vi.advanceTimersByTime(900));
  expect(page.now().problem).toBe('No connection.');
  reached = true;
  await page.does(({ say }) => say({ '': 2 }));
  await page.does(() => vi.advanceTimersByTime(900));
  expect(page.now().problem).toBeUndefined();
});
