import { hookOnPage } from '../testing/page.tsx';
import { useDraft } from './useDraft.ts';

/** A record that others may change while it is edited here. */
function editing(record: { held: string[]; revision: number }) {
  const page = hookOnPage(() => useDraft('sources', 'Sources', record.held, record.revision));
  const changed = async (held: string[], revision: number) => {
    record.held = held;
    record.revision = revision;
    await page.again();
  };
  return { page, changed };
}

beforeEach(() => localStorage.clear());

test('while nothing is changed here, the draft follows the record', async () => {
  const { page, changed } = editing({ held: ['a'], revision: 1 });
  expect(page.now()).toMatchObject({ draft: ['a'], changed: false, base: 1 });
  await changed(['a', 'b'], 2);
  expect(page.now()).toMatchObject({ draft: ['a', 'b'], changed: false, base: 2 });
});

test('once something is changed it stays, on the revision that it was begun on', async () => {
  const { page, changed } = editing({ held: ['a'], revision: 1 });
  await page.does(({ setDraft }) => setDraft((before) => [...before, 'mine']));
  await changed(['theirs'], 2);
  expect(page.now()).toMatchObject({ draft: ['a', 'mine'], changed: true, base: 1 });
});

test('a change that is made after the record moved on is made to the record as it is now', async () => {
  const { page, changed } = editing({ held: ['a'], revision: 1 });
  await changed(['a', 'b'], 2);
  await page.does(({ setDraft }) => setDraft((before) => [...before, 'mine']));
  expect(page.now()).toMatchObject({ draft: ['a', 'b', 'mine'], base: 2 });
});

test('saved, it stands on the new revision; what was typed meanwhile is still to be saved', async () => {
  const { page } = editing({ held: ['a'], revision: 1 });
  await page.does(({ setDraft }) => setDraft(['a', 'mine']));
  const { settle } = page.now();
  await page.does(({ setDraft }) => setDraft(['a', 'mine', 'more']));
  await page.does(() => expect(settle(2)).toBe(false));
  expect(page.now()).toMatchObject({ draft: ['a', 'mine', 'more'], changed: true, base: 2 });
  await page.does(({ settle: again }) => expect(again(3)).toBe(true));
  expect(page.now().changed).toBe(false);
  expect(localStorage).toHaveLength(0);
});

test('given up, the record stands as it is now', async () => {
  const { page, changed } = editing({ held: ['a'], revision: 1 });
  await page.does(({ setDraft }) => setDraft(['mine']));
  await changed(['theirs'], 2);
  await page.does(({ reset }) => reset());
  expect(page.now()).toMatchObject({ draft: ['theirs'], changed: false, base: 2 });
});

test('what was changed is there after a reload, and says since when', async () => {
  const { page } = editing({ held: ['a'], revision: 1 });
  await page.does(({ setDraft }) => setDraft(['mine']));
  page.leave();
  const { page: again } = editing({ held: ['theirs'], revision: 2 });
  expect(again.now()).toMatchObject({ draft: ['mine'], changed: true, base: 1 });
  expect(again.now().broughtBack).toBeDefined();
});
