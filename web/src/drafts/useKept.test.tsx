import { hookOnPage, screen } from '../testing/page.tsx';
import { useDrafts } from './DraftsProvider.tsx';
import { useKept } from './useKept.ts';

interface Form {
  title: string;
  lines: string[];
}
const EMPTY: Form = { title: '', lines: [] };
const form = (key = 'plan/1', begin = EMPTY) =>
  hookOnPage(() => ({ kept: useKept(key, 'Plan of Quiz 1', begin), drafts: useDrafts() }));
const titlesOf = (page: ReturnType<typeof form>) =>
  page
    .now()
    .drafts.list()
    .map(({ key, title }) => `${key}: ${title}`);

beforeEach(() => localStorage.clear());

test('nothing is kept until something is typed, and what is typed outlives the page', async () => {
  const page = form();
  expect(page.now().kept).toMatchObject({ value: EMPTY, changed: false, broughtBack: undefined });
  expect(localStorage).toHaveLength(0);
  await page.does(({ kept }) => kept.set({ ...EMPTY, title: 'Twigs' }));
  expect(titlesOf(page)).toEqual(['plan/1: Plan of Quiz 1']);
  page.leave();

  const again = form();
  expect(again.now().kept).toMatchObject({ value: { title: 'Twigs' }, changed: true });
  expect(Date.now() - Date.parse(again.now().kept.broughtBack!)).toBeLessThan(60_000);
  expect(form('plan/2').now().kept.value).toEqual(EMPTY);
});

test('whoever leaves with changes is told that they are kept', async () => {
  const page = form();
  await page.does(({ kept }) => kept.set({ ...EMPTY, title: 'Twigs' }));
  page.leave();
  expect(
    await screen.findByText('“Plan of Quiz 1” is not saved. It is kept as a draft, see Drafts at the top.'),
  ).toBeTruthy();
});

test('what is changed back to what it was is no change, and is not kept', async () => {
  const page = form();
  await page.does(({ kept }) => kept.set({ ...EMPTY, title: 'Twigs' }));
  await page.does(({ kept }) => kept.set(EMPTY));
  expect(page.now().kept.changed).toBe(false);
  expect(localStorage).toHaveLength(0);
  page.leave();
  expect(screen.queryByText(/is kept as a draft/)).toBeNull();
});

test('several changes before the next painting build on each other', async () => {
  const page = form();
  await page.does(({ kept }) => {
    for (const line of ['a', 'b', 'c']) kept.set((before) => ({ ...before, lines: [...before.lines, line] }));
    expect(kept.latest().lines).toEqual(['a', 'b', 'c']);
  });
  expect(page.now().kept.value.lines).toEqual(['a', 'b', 'c']);
});

test('once all of it is saved the draft is gone', async () => {
  const page = form();
  await page.does(({ kept }) => kept.set({ ...EMPTY, title: 'Twigs' }));
  await page.does(({ kept }) => expect(kept.settle({ ...EMPTY, title: 'Twigs' })).toBe(true));
  expect(page.now().kept).toMatchObject({ value: { title: 'Twigs' }, changed: false });
  expect(titlesOf(page)).toEqual([]);
});

test('what was typed while it was being saved stays a draft', async () => {
  const page = form();
  await page.does(({ kept }) => kept.set({ ...EMPTY, title: 'Twigs' }));
  const sent = page.now().kept.value;
  await page.does(({ kept }) => kept.set({ ...EMPTY, title: 'Twigs and buds' }));
  await page.does(({ kept }) => expect(kept.settle(sent)).toBe(false));
  expect(page.now().kept).toMatchObject({ value: { title: 'Twigs and buds' }, changed: true });
  page.leave();
  expect(form().now().kept.value.title).toBe('Twigs and buds');
});

test('a new thing that was saved goes on under its own name, where it is edited', async () => {
  const page = form('plan/new');
  await page.does(({ kept }) => kept.set({ ...EMPTY, title: 'Twigs' }));
  const sent = page.now().kept.value;
  await page.does(({ kept }) => kept.set({ title: 'Twigs', lines: ['more'] }));
  await page.does(({ kept }) => kept.settle(sent, { as: { key: 'plan/9', where: '/plans/9' } }));
  expect(page.now().drafts.list()).toMatchObject([{ key: 'plan/9', where: '/plans/9' }]);
  expect(form('plan/new').now().kept.value).toEqual(EMPTY);
  expect(form('plan/9').now().kept.value.lines).toEqual(['more']);
});

test('what is given up is forgotten, and the form begins anew or with what it is told', async () => {
  const page = form();
  await page.does(({ kept }) => kept.set({ ...EMPTY, title: 'Twigs' }));
  await page.does(({ kept }) => kept.forget());
  expect(page.now().kept).toMatchObject({ value: EMPTY, changed: false });
  await page.does(({ kept }) => kept.set({ ...EMPTY, title: 'Buds' }));
  await page.does(({ kept }) => kept.replace({ ...EMPTY, title: 'Bark' }));
  expect(page.now().kept).toMatchObject({ value: { title: 'Bark' }, changed: false });
  expect(page.now().kept.latest().title).toBe('Bark');
  expect(titlesOf(page)).toEqual([]);
});

test('a browser that has no room says so, and the page goes on', async () => {
  const page = form();
  const { setItem } = Storage.prototype;
  Storage.prototype.setItem = () => {
    throw new Error('QuotaExceededError');
  };
  try {
    await page.does(({ kept }) => kept.set({ ...EMPTY, title: 'Twigs' }));
  } finally {
    Storage.prototype.setItem = setItem;
  }
  expect(page.now().kept.value.title).toBe('Twigs');
  expect(await screen.findByText(/has no room left to keep drafts/)).toBeTruthy();
});
