import { vi } from 'vitest';
import 'fake-indexeddb/auto';
import { IDBFactory } from 'fake-indexeddb';
import { cleaned } from './cleaned.ts';
import { Outbox } from './outbox.ts';

interface Sent {
  responses: { id: string; stationId: string; answer: { name?: string }; sequence: number }[];
}

let store: Map<string, string>;
let sent: Sent[];
let answer: (body: Sent) => Promise<Response>;

const json = (status: number, body: unknown) =>
  Promise.resolve(new Response(JSON.stringify(body), { status }));
const taken = (body: Sent) =>
  json(200, { received: body.responses.map((response) => response.id), refused: [] });
/** Lets the store and the calls under way come to rest. */
const settled = async () => {
  for (let i = 0; i < 40; i += 1) await new Promise((resolve) => setImmediate(resolve));
};
const opened: Outbox[] = [];
const open = async (student: string) => {
  const outbox = await Outbox.open(student);
  opened.push(outbox);
  return outbox;
};
afterEach(() => opened.splice(0).forEach((outbox) => outbox.close()));

beforeEach(() => {
  store = new Map();
  sent = [];
  answer = taken;
  Object.assign(globalThis, {
    indexedDB: new IDBFactory(),
    localStorage: {
      getItem: (key: string) => store.get(key) ?? null,
      setItem: (key: string, value: string) => void store.set(key, value),
      removeItem: (key: string) => void store.delete(key),
    },
    fetch: vi.fn((_path: string, options: { body: string }) => {
      const body = JSON.parse(options.body) as Sent;
      sent.push(body);
      return answer(body);
    }),
  });
});

test('an answer is sent, acknowledged, and no longer waits', async () => {
  const outbox = await open('ava');
  void outbox.write('station-1', { name: 'birch' });
  expect(outbox.written('station-1')).toEqual({ name: 'birch' });
  await settled();
  expect(outbox.snapshot()).toMatchObject({ waiting: 0, received: 1, offline: false });
  expect(outbox.written('station-1')).toEqual({ name: 'birch' });
});

test('without a signal answers wait, survive a reload, and go out later', async () => {
  answer = () => Promise.reject(new TypeError('failed to fetch'));
  const before = await open('ava');
  void before.write('station-1', { name: 'birch' });
  await settled();
  void before.write('station-2', { name: 'alder' });
  await settled();
  expect(before.snapshot()).toMatchObject({ waiting: 2, offline: true });

  const after = await open('ava');
  expect(after.snapshot().waiting).toBe(2);
  answer = taken;
  await after.send(true);
  await settled();
  expect(after.snapshot()).toMatchObject({ waiting: 0, received: 2 });
  expect(sent[sent.length - 1]!.responses.map((response) => response.stationId)).toEqual([
    'station-1',
    'station-2',
  ]);
});

test('an answer changed before it was sent goes after the first; sequence numbers only grow', async () => {
  answer = () => Promise.reject(new TypeError('failed to fetch'));
  const outbox = await open('ava');
  void outbox.write('station-1', { name: 'birch' });
  await settled();
  void outbox.write('station-1', { name: 'alder' });
  await settled();
  answer = taken;
  await outbox.send(true);
  const last = sent[sent.length - 1]!.responses;
  expect(last.map((response) => [response.answer.name, response.sequence])).toEqual([
    ['birch', 1],
    ['alder', 2],
  ]);
});

test('two tabs share one count: the answer written last has the highest number, whichever tab wrote it', async () => {
  const [one, two] = [await open('ava'), await open('ava')];
  await one.write('station-1', { name: 'birch' });
  await two.write('station-1', { name: 'alder' });
  await one.write('station-1', { name: 'elm' });
  await settled();
  const all = sent.flatMap((body) => body.responses);
  expect(all.map(({ answer: { name }, sequence }) => [name, sequence])).toEqual([
    ['birch', 1],
    ['alder', 2],
    ['elm', 3],
  ]);
  expect(new Set(all.map((response) => (response as unknown as { device: string }).device)).size).toBe(1);
  await settled();
  expect(two.written('station-1')).toEqual({ name: 'elm' });
});

test('what one tab could not send goes out by another, once', async () => {
  answer = () => Promise.reject(new TypeError('failed to fetch'));
  const one = await open('ava');
  await one.write('station-1', { name: 'birch' });
  answer = taken;
  const two = await open('ava');
  await two.send();
  await settled();
  expect(two.snapshot()).toMatchObject({ waiting: 0, received: 1 });
  expect(one.snapshot()).toMatchObject({ waiting: 0, received: 1 });
});

test('after failures it waits longer each time, and a new answer tries at once', async () => {
  answer = () => Promise.reject(new TypeError('failed to fetch'));
  const outbox = await open('ava');
  await outbox.write('station-1', { name: 'birch' });
  const tries = sent.length;
  await outbox.send();
  await outbox.send();
  expect(sent).toHaveLength(tries);
  await outbox.write('station-2', { name: 'alder' });
  expect(sent).toHaveLength(tries + 1);
});

test('a phone that keeps nothing says so, and sends all the same', async () => {
  Object.assign(globalThis, {
    indexedDB: {
      open: () => {
        throw new Error('not here');
      },
    },
  });
  answer = () => Promise.reject(new TypeError('failed to fetch'));
  const outbox = await open('ava');
  await outbox.write('station-1', { name: 'birch' });
  expect(outbox.snapshot()).toMatchObject({ waiting: 1, unkept: true });
  answer = taken;
  await outbox.send(true);
  expect(outbox.snapshot()).toMatchObject({ waiting: 0, received: 1, unkept: false });
});

test('what an older page kept is taken over and sent', async () => {
  const item = {
    id: 'a1',
    stationId: 'station-1',
    answer: { name: 'birch' },
    device: 'phone-1',
    sequence: 4,
    writtenAt: '',
  };
  store.set('hurrow.outbox.ava', JSON.stringify({ device: 'phone-1', waiting: [item], refused: [] }));
  const outbox = await open('ava');
  await outbox.send();
  expect(sent.flatMap((body) => body.responses.map(({ id }) => id))).toEqual(['a1']);
  await outbox.write('station-1', { name: 'alder' });
  expect(sent.at(-1)!.responses[0]!.sequence).toBe(5);
});

test('what is pasted is cleaned before it is sent', () => {
  expect(cleaned({ genus: 'Ac\u0000er', epithet: 'x'.repeat(500), seen: { 'leaf.shape': 'ovate' } })).toEqual(
    {
      genus: 'Acer',
      epithet: 'x'.repeat(200),
      seen: { 'leaf.shape': 'ovate' },
    },
  );
  expect(cleaned({ name: 'fir \ud83c' }).name).toBe('fir \uFFFD');
  // An answer that paper began is changed on the phone: what only paper can say stays with the paper.
  expect(cleaned({ genus: 'Abies', wentBy: ['bud.tip'], wentByUnread: ['the wind'] })).toEqual({
    genus: 'Abies',
    wentBy: ['bud.tip'],
  });
});

test('an answer written while another is on its way is sent after it, and neither is dropped', async () => {
  let release: () => void = () => undefined;
  const held = new Promise<void>((resolve) => (release = resolve));
  answer = async (body) => {
    await held;
    return taken(body);
  };
  const outbox = await open('ava');
  void outbox.write('station-1', { name: 'birch' });
  void outbox.write('station-1', { name: 'alder' });
  release();
  await settled();
  await settled();
  expect(sent.map((body) => body.responses.map((response) => response.answer.name))).toEqual([
    ['birch'],
    ['alder'],
  ]);
  expect(outbox.snapshot().waiting).toBe(0);
});

test('the same answer sent again keeps its id, so that the server stores it once', async () => {
  answer = () => json(503, { message: 'busy' });
  const outbox = await open('ava');
  void outbox.write('station-1', { name: 'birch' });
  await settled();
  answer = taken;
  await outbox.send(true);
  expect(new Set(sent.flatMap((body) => body.responses.map((response) => response.id))).size).toBe(1);
  expect(sent).toHaveLength(2);
});

test('an answer that came too late stays on the phone with the reason, and does not hold up others', async () => {
  answer = () => json(409, { code: 'late', message: 'The quiz is closed.' });
  const outbox = await open('ava');
  void outbox.write('station-1', { name: 'birch' });
  await settled();
  expect(outbox.snapshot()).toMatchObject({ waiting: 0, refused: [{ message: 'The quiz is closed.' }] });
  answer = taken;
  void outbox.write('station-2', { name: 'alder' });
  await settled();
  expect(outbox.snapshot()).toMatchObject({ waiting: 0, received: 1 });
  expect(outbox.written('station-1')).toEqual({ name: 'birch' });
});

test('two students on one phone do not see each other’s answers', async () => {
  const ava = await open('ava');
  void ava.write('station-1', { name: 'birch' });
  await settled();
  expect((await open('ben')).written('station-1')).toBeUndefined();
});

test('whoever listens hears of each change', async () => {
  const outbox = await open('ava');
  const hear = vi.fn();
  const stop = outbox.subscribe(hear);
  void outbox.write('station-1', { name: 'birch' });
  await settled();
  expect(hear.mock.calls.length).toBeGreaterThanOrEqual(2);
  stop();
  const heard = hear.mock.calls.length;
  void outbox.write('station-1', { name: 'alder' });
  await settled();
  expect(hear.mock.calls).toHaveLength(heard);
});
