import { readLibrary } from '@hurrow/core/library';
import { BUILT_IN } from '@hurrow/core/vocabulary';
import { hookOnPage } from '../testing/page.tsx';
import { refusal, standIn } from '../testing/server.ts';
import { library, USUAL } from '../testing/taught.ts';
import { useColumn } from './useColumn.ts';

const held = library();
const { profiles } = readLibrary(held);
const SAVE = 'POST /api/library/scores';

const columns = () => hookOnPage(() => useColumn(held, profiles, BUILT_IN));
async function begun() {
  const page = columns();
  await page.does(({ begin }) => begin('bud.length'));
  return page;
}

beforeEach(() => localStorage.clear());

test('nothing is edited until a character is chosen; then it is of the most trusted source, as it says now', async () => {
  standIn(USUAL);
  const page = columns();
  expect(page.now().character).toBeUndefined();
  await page.does(({ begin }) => begin('bud.length'));
  expect(page.now()).toMatchObject({ source: 'manual', character: { id: 'bud.length' }, typed: {} });
  expect(page.now().heldBy('acer-rubrum')?.value).toMatchObject({ low: 0.003 });
  expect(page.now().heldBy('betula-lenta')).toBeUndefined();
  await page.does(({ ofSource }) => ofSource('notes'));
  expect(page.now().heldBy('acer-rubrum')).toBeUndefined();
});

test('what is typed down the list is sent at once, and only what was typed', async () => {
  const server = standIn({ ...USUAL, [SAVE]: { revision: 8 } as never });
  const page = await begun();
  await page.does(({ type }) => type('betula-lenta', '6–10 mm'));
  await page.does(({ type }) => type('acer-rubrum', ''));
  await page.does(({ save }) => save());
  expect(server.sent(SAVE)).toMatchObject([
    {
      baseRevision: 7,
      summary: 'bud length of 2 taxa',
      changes: expect.arrayContaining([
        expect.objectContaining({ taxonId: 'betula-lenta', sourceId: 'manual' }),
        expect.objectContaining({ taxonId: 'acer-rubrum', value: null }),
      ]),
    },
  ]);
  expect(page.now().character).toBeUndefined();
  expect(localStorage).toHaveLength(0);
});

test('a value that cannot be read is told by the name of its tree, and nothing is sent', async () => {
  const server = standIn(USUAL);
  const page = await begun();
  await page.does(({ type }) => type('betula-lenta', 'long'));
  await page.does(({ save }) => save());
  expect(page.now().problem).toMatch(/sweet birch|Betula lenta/);
  expect(server.asked).toEqual([]);
  expect(page.now().typed).toEqual({ 'betula-lenta': 'long' });
});

test('a column that is refused stays as it was typed, over a reload too', async () => {
  standIn({ ...USUAL, [SAVE]: refusal('stale', 'Somebody changed it meanwhile.') });
  const page = await begun();
  await page.does(({ type }) => type('betula-lenta', '6–10 mm'));
  await page.does(({ save }) => save());
  expect(page.now().problem).toBe('Somebody changed it meanwhile.');
  page.leave();
  const again = columns();
  expect(again.now()).toMatchObject({
    character: { id: 'bud.length' },
    typed: { 'betula-lenta': '6–10 mm' },
  });
  expect(again.now().broughtBack).toBeDefined();
});

test('what is typed while the column is saved stays open, and stands on the new revision', async () => {
  const server = standIn({ ...USUAL, [SAVE]: { revision: 8 } as never });
  const page = await begun();
  await page.does(({ type }) => type('betula-lenta', '6–10 mm'));
  await page.does(async ({ save, type }) => {
    save();
    type('acer-saccharum', '6–9 mm');
    await new Promise((later) => setTimeout(later, 20));
  });
  await page.until(({ typed }) => !('betula-lenta' in typed));
  expect(page.now().typed).toEqual({ 'acer-saccharum': '6–9 mm' });
  await page.does(({ save }) => save());
  expect(server.sent(SAVE)[1]).toMatchObject({ baseRevision: 8 });
});

test('nothing typed is nothing to save: the column is closed', async () => {
  const server = standIn(USUAL);
  const page = await begun();
  await page.does(({ save }) => save());
  expect(page.now().character).toBeUndefined();
  expect(server.asked).toEqual([]);
});
