import type { WholeGrounds } from '@hurrow/contract/grounds';
import type { Collecting, ItemBody } from '@hurrow/contract/outings';
import { newTree, NO_FEATURES } from '@hurrow/core/grounds';
import { hookOnPage } from '../testing/page.tsx';
import { refusal, standIn, type Answers } from '../testing/server.ts';
import { USUAL } from '../testing/taught.ts';
import { useField } from './useField.ts';
import { useGathering } from './useGathering.ts';

const tree = (id: string, taxonId: string, latitude: number) => ({
  ...newTree(id, latitude, -116.4),
  id,
  taxonId,
  confirmedBy: 'Ines',
  cutting: 'allowed' as never,
  stage: 'mature' as const,
  version: 1,
});
const grounds = (): WholeGrounds => ({
  id: 'g',
  name: 'Campus',
  latitude: 47.6,
  longitude: -116.4,
  elevation: 780,
  features: NO_FEATURES,
  version: 1,
  trees: [
    tree('m1', 'acer-rubrum', 47.601),
    tree('m2', 'acer-rubrum', 47.602),
    tree('b1', 'betula-lenta', 47.603),
  ],
  observations: [],
  measurements: [],
  pictures: [],
});
const list = (more: Partial<Collecting> = {}): Collecting => ({
  id: 'l',
  version: 3,
  groundsId: 'g',
  name: 'Quiz 4',
  day: '2026-10-16',
  quizId: null,
  needs: [
    { id: 'n1', taxonId: 'acer-rubrum', kind: 'bareTwig', serves: 'station 1' },
    { id: 'n2', taxonId: 'betula-lenta', kind: 'bareTwig', serves: 'station 2' },
    { id: 'n3', taxonId: 'gone-from-library', kind: 'bareTwig', serves: '' },
  ],
  chosen: {},
  pestHosts: false,
  items: [],
  ...more,
});
const ITEM = 'PUT /api/courses/{courseId}/collecting/{listId}/items/{itemId}';
const LIST = 'PUT /api/courses/{courseId}/collecting/{listId}';

function gathering(more: Answers = {}, listId = 'l') {
  const server = standIn({
    ...USUAL,
    'GET /api/courses/{courseId}/collecting': { lists: [list()] },
    'GET /api/grounds/{groundsId}': grounds(),
    'GET /api/grounds': { grounds: [] },
    [ITEM]: { done: true },
    [LIST]: { done: true } as never,
    'DELETE /api/courses/{courseId}/collecting/{listId}/items/{itemId}': { done: true },
    ...more,
  });
  return { server, page: hookOnPage(() => useGathering('course', listId)) };
}
type Page = ReturnType<typeof gathering>['page'];
const ready = (page: Page) => page.until(({ lines }) => lines !== undefined && lines.length > 0);
const lineOf = (page: Page, needId: string) => page.now().lines!.find(({ need }) => need.id === needId)!;
const itemsOf = (page: Page) => page.now().list!.items.map(({ needId, state }) => `${needId} ${state}`);

beforeEach(() => localStorage.clear());

test('each need has its line with the tree it may be cut from; a species that left the library has none', async () => {
  const { page } = gathering();
  await ready(page);
  expect(
    page
      .now()
      .lines!.map(({ need }) => need.id)
      .sort(),
  ).toEqual(['n1', 'n2']);
  expect(page.now().problem).toBeUndefined();
});

test('a piece that is cut is there at once and sent with who cut it and how long it is good', async () => {
  const { server, page } = gathering();
  await ready(page);
  const line = { ...lineOf(page, 'n1'), source: { treeId: 'm1' } } as never;
  await page.does(({ cut }) => cut(line));
  await page.until(() => server.sent(ITEM).length > 0);
  expect(server.sent(ITEM)).toMatchObject([{ needId: 'n1', treeId: 'm1', cutter: 'Ines', state: 'kept' }]);
  const { cutAt, goodUntil } = server.sent(ITEM)[0] as ItemBody;
  expect(cutAt.slice(0, 10) <= goodUntil).toBe(true);
});

test('without a signal what is cut stays on the phone, over a reload, and goes out once', async () => {
  const { server, page } = gathering();
  await ready(page);
  server.reach(false);
  const line = { ...lineOf(page, 'n1'), source: { treeId: 'm1' } } as never;
  await page.does(({ cut }) => cut(line));
  expect(itemsOf(page)).toEqual(['n1 kept']);
  await page.until(({ field }) => field.offline);
  expect(page.now().field.waiting).toHaveLength(1);
  expect(localStorage.getItem('hurrow.field.ines')).toMatch(/"needId":"n1"/);
  server.reach(true);
  await page.does(() => window.dispatchEvent(new Event('online')));
  await page.until(({ field }) => field.waiting.length === 0);
  expect(server.sent(ITEM)).toHaveLength(1);
});

test('a piece is changed and taken back', async () => {
  const item = {
    id: 'i',
    needId: 'n1',
    treeId: 'm1',
    state: 'kept',
    trace: [],
  } as unknown as Collecting['items'][0];
  const { server, page } = gathering({
    'GET /api/courses/{courseId}/collecting': { lists: [list({ items: [item] })] },
  });
  await ready(page);
  await page.does(({ changeItem }) => changeItem(item, { state: 'wilted' }));
  await page.until(() => server.sent(ITEM).length > 0);
  expect(server.sent(ITEM)[0]).toEqual({ needId: 'n1', treeId: 'm1', state: 'wilted' });
  await page.does(({ takeBack }) => takeBack('i'));
  await page.until(() => server.asked.some(({ call }) => call.startsWith('DELETE')));
  expect(server.asked.find(({ call }) => call.startsWith('DELETE'))!.params).toEqual({
    courseId: 'course',
    listId: 'l',
    itemId: 'i',
  });
});

test('another tree is chosen, and a need taken off, on the version that is seen; pieces are no part of that', async () => {
  const { server, page } = gathering();
  await ready(page);
  await page.does(({ choose }) => choose('n1', 'm2'));
  await page.until(() => server.sent(LIST).length === 1);
  expect(server.sent(LIST)[0]).toMatchObject({ baseVersion: 3, chosen: { n1: 'm2' } });
  expect(server.sent(LIST)[0]).not.toHaveProperty('items');
  await page.does(({ takeOff }) => takeOff('n2'));
  await page.until(() => server.sent(LIST).length === 2);
  expect(server.sent(LIST)[1]).toMatchObject({ needs: [{ id: 'n1' }, { id: 'n3' }] });
});

test('a change that somebody else came before is told, and nothing of it stands', async () => {
  const { page } = gathering({ [LIST]: refusal('stale', 'Somebody changed this list meanwhile.') });
  await ready(page);
  await page.does(({ choose }) => choose('n1', 'm2'));
  await page.until(({ refused }) => refused !== undefined);
  expect(page.now().refused).toBe('Somebody changed this list meanwhile.');
  expect(page.now().list!.chosen).toEqual({});
});

test('a list that is gone, and one that cannot be had, are told apart', async () => {
  const gone = gathering({}, 'other').page;
  await gone.until(({ problem }) => problem !== undefined);
  expect(gone.now().problem).toBe('There is no such list any more. It may have been given up.');
  const { page } = gathering({
    'GET /api/courses/{courseId}/collecting': refusal('forbidden', 'Not for you.'),
  });
  await page.until(({ problem }) => problem !== undefined);
  expect(page.now().problem).toBe('Not for you.');
});

describe('what is noted outdoors', () => {
  const observed = (id: string) => ({
    what: 'observation' as const,
    groundsId: 'g',
    id,
    body: { treeId: 'm1', day: '2026-10-15', part: 'leaves' as const, there: false, note: '' },
  });
  const OBSERVE = 'PUT /api/grounds/{groundsId}/observations/{observationId}';
  const field = (more: Answers = {}, who = 'ines') => {
    const session = USUAL['GET /api/session'] as object;
    const server = standIn({
      ...USUAL,
      'GET /api/session': { ...session, who: { id: who, name: who, role: 'owner' } } as never,
      [OBSERVE]: { done: true },
      ...more,
    });
    return { server, page: hookOnPage(useField) };
  };

  test('it is sent in its order, and what the server refuses is told and can be given up', async () => {
    const { server, page } = field({ [OBSERVE]: refusal('missing', 'There is no such tree.') });
    await page.until(({ who }) => who === 'ines');
    await page.does(({ note }) => note(observed('o1')));
    await page.until(({ waiting }) => waiting[0]?.problem !== undefined);
    expect(page.now().waiting).toMatchObject([{ problem: 'There is no such tree.' }]);
    await page.does(({ drop }) => drop('o1'));
    expect(page.now().waiting).toEqual([]);
    expect(server.sent(OBSERVE)).toHaveLength(1);
  });
  test('signed out, it waits for its owner, and is nobody else’s', async () => {
    const { page } = field({ [OBSERVE]: refusal('signedOut', 'Sign in again.') }, 'rosa');
    await page.until(({ who }) => who === 'rosa');
    await page.does(({ note }) => note(observed('o2')));
    await page.until(({ signedOut }) => signedOut);
    expect(page.now().waiting).toHaveLength(1);
    page.leave();
    const other = field({}, 'sam');
    await other.page.until(({ who }) => who === 'sam');
    expect(other.page.now().waiting).toEqual([]);
    expect(localStorage.getItem('hurrow.field.rosa')).toMatch(/"id":"o2"/);
  });
});
