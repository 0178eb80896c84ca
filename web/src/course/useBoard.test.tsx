import type { WholeCourse } from '@hurrow/contract/courses';
import type { Prospects, TermProposal } from '@hurrow/core/term';
import { hookOnPage, screen } from '../testing/page.tsx';
import { refusal, standIn, type Answers } from '../testing/server.ts';
import { course, USUAL } from '../testing/taught.ts';
import { useBoard } from './useBoard.ts';

const TAXA = ['acer-rubrum', 'acer-saccharum', 'betula-lenta'];
const WEEKS = [1, 2, 3, 4, 5, 6];
const prospects = (taxa = TAXA): Prospects => ({
  taxa,
  weeks: WEEKS,
  seen: taxa.map(() => WEEKS.map(() => 0.9)),
  unseen: taxa.map(() => WEEKS.map(() => [])),
  bare: taxa.map(() => WEEKS.map(() => false)),
  kind: taxa.map((id) => (id.startsWith('acer') ? 'opposite' : 'alternate')),
  lookalikes: [{ a: 0, b: 1, error: 0.2 }],
});
const LIST = 'PUT /api/courses/{courseId}/list';
const PROPOSE = 'POST /api/courses/{courseId}/term/proposal';

function board(more: Partial<WholeCourse> = {}, answers: Answers = {}, at = '/c/course/list') {
  const server = standIn({
    ...USUAL,
    'GET /api/courses/{courseId}/confusions': { stations: [], answers: { rows: [] } } as never,
    'POST /api/courses/{courseId}/term/prospects': ({ body }) => prospects((body as { taxa: string[] }).taxa),
    ...answers,
  });
  const held = course(more);
  const page = hookOnPage(() => useBoard(held), at);
  const standing = () => page.now().sets.map(({ week, taxa }) => [week, taxa.join(' ')]);
  return { server, page, standing };
}

beforeEach(() => localStorage.clear());

test('the sets of the course stand in their weeks, and what the term offers them is asked for once it is known', async () => {
  const { server, page, standing } = board();
  expect(standing()).toEqual([
    [1, 'acer-rubrum acer-saccharum'],
    [3, 'betula-lenta'],
  ]);
  await page.until(({ known }) => known !== undefined);
  expect(server.sent('POST /api/courses/{courseId}/term/prospects')).toEqual([{ taxa: TAXA }]);
  expect(page.now().judged).toBeDefined();
});

test('a tree is moved by keys a week on or back, within its set, out of the list, and its week is settled', async () => {
  const { page, standing } = board();
  await page.does(({ press }) => press('acer-saccharum', '.'));
  expect(standing()).toEqual([
    [1, 'acer-rubrum'],
    [2, 'acer-saccharum'],
    [3, 'betula-lenta'],
  ]);
  await page.does(({ press }) => press('acer-saccharum', ','));
  expect(standing()[0]).toEqual([1, 'acer-rubrum acer-saccharum']);
  await page.does(({ press }) => press('acer-saccharum', '<'));
  expect(standing()[0]).toEqual([1, 'acer-saccharum acer-rubrum']);
  await page.does(({ press }) => press('betula-lenta', 'p'));
  expect(page.now().wishes.pins).toEqual([{ taxonId: 'betula-lenta', week: 3 }]);
  await page.does(({ press }) => press('betula-lenta', 'p'));
  expect(page.now().wishes.pins).toEqual([]);
  await page.does(({ press }) => press('acer-rubrum', 'Delete'));
  expect(standing()[0]).toEqual([1, 'acer-saccharum']);
  await page.does(({ press }) => press('acer-saccharum', 'x'));
  expect(standing()[0]).toEqual([1, 'acer-saccharum']);
});

test('a tree dropped on a week stands there, in a set named by what is in it', async () => {
  const { page } = board();
  await page.until(({ known }) => known !== undefined);
  await page.does(({ moveTo }) => moveTo('acer-rubrum', 5));
  expect(page.now().sets.find(({ week }) => week === 5)).toMatchObject({
    title: 'Maple',
    taxa: ['acer-rubrum'],
  });
});

test('the list is saved as it stands, and its draft is gone', async () => {
  const { server, page } = board({}, { [LIST]: { ok: true } as never });
  await page.does(({ moveTo }) => moveTo('betula-lenta', 2));
  expect(localStorage).toHaveLength(1);
  await page.does(({ saveList }) => saveList());
  expect(server.sent(LIST)).toMatchObject([
    { sets: expect.arrayContaining([expect.objectContaining({ week: 2, taxa: ['betula-lenta'] })]) },
  ]);
  expect(localStorage).toHaveLength(0);
  expect(await screen.findByText('The list is saved. Each set has its lesson now.')).toBeTruthy();
});

test('a list that is refused says why and stays', async () => {
  const { page, standing } = board({}, { [LIST]: refusal('conflict', 'A quiz is open on it.') });
  await page.does(({ moveTo }) => moveTo('betula-lenta', 2));
  await page.does(({ saveList }) => saveList());
  expect(page.now().problem).toBe('A quiz is open on it.');
  expect(standing()).toContainEqual([2, 'betula-lenta']);
});

test('what was gathered comes with the address, and is part of what is saved', async () => {
  const { server, page, standing } = board(
    {},
    { [LIST]: { ok: true } as never },
    '/c/course/list?add=pinus-strobus,acer-rubrum',
  );
  expect(standing().at(-1)).toEqual([null, 'pinus-strobus']);
  await page.does(({ moveTo }) => moveTo('pinus-strobus', 4));
  expect(standing()).toContainEqual([4, 'pinus-strobus']);
  await page.does(({ saveList }) => saveList());
  expect(JSON.stringify(server.sent(LIST)[0])).toContain('pinus-strobus');
  expect(page.address()).toBe('/c/course/list');
});

test('a proposal is laid on the weeks, keeps the sets it shares most with, and can be taken back', async () => {
  const plan = { 'acer-rubrum': 1, 'acer-saccharum': 2, 'betula-lenta': 2 };
  const found = { plan, measure: { total: 0.1 }, remarks: [], broken: [], bound: 0.1 };
  const { server, page, standing } = board({}, { [PROPOSE]: found as unknown as TermProposal });
  await page.does(({ propose }) => propose());
  expect(server.sent(PROPOSE)).toMatchObject([{ taxa: TAXA, wishes: { from: 1, to: 6, closed: [] } }]);
  expect(standing()).toEqual([
    [1, 'acer-rubrum'],
    [2, 'acer-saccharum betula-lenta'],
  ]);
  expect(page.now().sets.map(({ id }) => id)).toEqual(['maples', 'birch']);
  await page.does(({ undo }) => undo());
  expect(standing()).toEqual([
    [1, 'acer-rubrum acer-saccharum'],
    [3, 'betula-lenta'],
  ]);
});

test('a week is closed and opened again with all other settings as they are, and nothing of who is in the course', async () => {
  const CHANGE = 'PUT /api/courses/{courseId}';
  const { server, page } = board({ closedWeeks: [2] }, { [CHANGE]: { ok: true } as never });
  await page.does(({ close }) => close(4));
  await page.does(({ close }) => close(2));
  expect(server.sent(CHANGE)).toMatchObject([
    { closedWeeks: [2, 4], name: 'Trees in autumn' },
    { closedWeeks: [] },
  ]);
  expect(server.sent(CHANGE)[0]).not.toHaveProperty('students');
  expect(server.sent(CHANGE)[0]).not.toHaveProperty('sets');
});

test('what is wanted of the sets is kept in this browser, apart from the list', async () => {
  const { page } = board();
  await page.does(({ setWishes, wishes }) => {
    const { closed: _closed, ...chosen } = wishes;
    setWishes({ ...chosen, lookalikes: 'apart' });
  });
  expect(page.now().draft.changed).toBe(false);
  page.leave();
  expect(board().page.now().wishes.lookalikes).toBe('apart');
});
