import { vi } from 'vitest';
import 'fake-indexeddb/auto';
import { IDBFactory } from 'fake-indexeddb';
import type { ReviewBody } from '@hurrow/contract/practice';
import { beingKept } from './beingKept.ts';
import { ReviewBox } from './reviewBox.ts';

let sent: ReviewBody[][];
let reach: 'there' | 'gone' | 'closed';
let known: { id: string }[];
const json = (status: number, body: unknown) =>
  Promise.resolve(new Response(JSON.stringify(body), { status }));
const opened: ReviewBox[] = [];
const open = async (studentId = 's1') => {
  const box = await ReviewBox.open(studentId);
  opened.push(box);
  return box;
};
const review = (at: number) => ({
  cardId: 'a leaf',
  way: 'name' as const,
  rating: 3 as const,
  named: null,
  tookMs: 9000,
  at: new Date(at).toISOString(),
});

beforeEach(() => {
  sent = [];
  reach = 'there';
  known = [];
  Object.assign(globalThis, { indexedDB: new IDBFactory() });
  globalThis.fetch = vi.fn((path: unknown, init: RequestInit = {}) => {
    if (reach === 'gone') return Promise.reject(new TypeError('no network'));
    if (String(path).endsWith('/reviews')) {
      const { reviews } = JSON.parse(String(init.body)) as { reviews: ReviewBody[] };
      sent.push(reviews);
      known.push(...reviews);
      return json(200, { received: reviews.map(({ id }) => id) });
    }
    if (reach === 'closed') return json(403, { code: 'forbidden', message: 'not opened' });
    return json(200, { now: Date.now() + 5000, reviews: known, cards: [] });
  }) as typeof fetch;
});
afterEach(() => opened.splice(0).forEach((box) => box.close()));

test('a thousand answers without a signal are kept, sent once it is there, once and in order', async () => {
  const box = await open();
  await box.refresh();
  reach = 'gone';
  for (let i = 0; i < 1000; i += 1) await box.add(review(i * 1000));
  await box.send();
  expect(box.snapshot()).toMatchObject({ waiting: 1000, offline: true });
  box.close();
  opened.splice(0);
  // The phone was restarted meanwhile.
  const again = await open();
  expect(again.snapshot().waiting).toBe(1000);
  expect(again.snapshot().pack).toBeDefined();
  reach = 'there';
  await Promise.all([again.send(), again.send()]);
  const all = sent.flat();
  expect(all.map(({ sequence }) => sequence)).toEqual(Array.from({ length: 1000 }, (_, i) => i + 1));
  expect(new Set(all.map(({ id }) => id)).size).toBe(1000);
  expect(again.snapshot()).toMatchObject({ waiting: 0, offline: false });
  await again.refresh();
  expect(again.answers()).toHaveLength(1000);
});

test('the server’s clock is taken for now, and what is closed says so', async () => {
  const box = await open();
  await box.refresh();
  expect(box.now() - Date.now()).toBeGreaterThan(4000);
  reach = 'closed';
  await box.refresh();
  expect(box.snapshot().problem).toBe('not opened');
});

test('another student on the same phone finds nothing of it, and loses nothing', async () => {
  const first = await open('s1');
  reach = 'gone';
  await first.add(review(1));
  const second = await open('s2');
  expect(second.snapshot()).toMatchObject({ waiting: 0, pack: undefined });
  expect((await open('s1')).snapshot().waiting).toBe(1);
});

test('an answer that the page was left over is taken up when practice is opened again, once', async () => {
  const kept = new Map<string, string>();
  const storage = {
    setItem: (key: string, text: string) => void kept.set(key, text),
    getItem: (key: string) => kept.get(key) ?? null,
    removeItem: (key: string) => void kept.delete(key),
  };
  const ownKeys = () => [...kept.keys()];
  const getOwnPropertyDescriptor = () => ({ enumerable: true, configurable: true });
  const before = Object.getOwnPropertyDescriptor(globalThis, 'localStorage');
  Object.defineProperty(globalThis, 'localStorage', {
    configurable: true,
    value: new Proxy(storage, { ownKeys, getOwnPropertyDescriptor }),
  });
  try {
    beingKept('s1', { ...review(1000), id: 'left' });
    beingKept('s2', { ...review(1000), id: 'of another' });
    const box = await open();
    expect(box.snapshot().waiting).toBe(1);
    expect([...kept.keys()]).toEqual([expect.stringContaining('of another')]);
    await box.add(review(2000));
    expect(kept.size).toBe(1);
    await box.send();
    expect(sent.flat().map(({ id }) => id === 'left')).toEqual([true, false]);
    // Noted still, though the store had it: nothing is written twice.
    beingKept('s1', { ...review(1000), id: 'left' });
    const again = await open();
    expect(again.answers().filter(({ id }) => id === 'left')).toHaveLength(1);
    expect(again.snapshot().waiting).toBe(0);
    expect(kept.size).toBe(1);
  } finally {
    if (before) Object.defineProperty(globalThis, 'localStorage', before);
    else Reflect.deleteProperty(globalThis, 'localStorage');
  }
});

test('what there is to practice, where it could not be had, is asked for again until it is there, and then no more', async () => {
  reach = 'gone';
  const box = await open();
  await box.refresh();
  await box.again();
  expect(box.snapshot()).toMatchObject({ pack: undefined, offline: true });
  reach = 'there';
  const before = vi.mocked(globalThis.fetch).mock.calls.length;
  await Promise.all([box.again(), box.again()]);
  expect(box.snapshot()).toMatchObject({ pack: { cards: [] }, offline: false });
  const asked = vi.mocked(globalThis.fetch).mock.calls.length;
  expect(asked).toBe(before + 1);
  await box.again();
  expect(vi.mocked(globalThis.fetch).mock.calls).toHaveLength(asked);
});
