import { jest } from '@jest/globals';
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
const settled = async () => {
  for (let i = 0; i < 20; i += 1) await Promise.resolve();
  await new Promise((resolve) => setImmediate(resolve));
};

beforeEach(() => {
  store = new Map();
  sent = [];
  answer = taken;
  Object.assign(globalThis, {
    localStorage: {
      getItem: (key: string) => store.get(key) ?? null,
      setItem: (key: string, value: string) => void store.set(key, value),
    },
    fetch: jest.fn((_path: string, options: { body: string }) => {
      const body = JSON.parse(options.body) as Sent;
      sent.push(body);
      return answer(body);
    }),
  });
});

test('an answer is sent, acknowledged, and no longer waits', async () => {
  const outbox = new Outbox('ava');
  outbox.write('station-1', { name: 'birch' });
  expect(outbox.snapshot().waiting).toBe(1);
  await settled();
  expect(outbox.snapshot()).toMatchObject({ waiting: 0, received: 1, offline: false });
  expect(outbox.written('station-1')).toEqual({ name: 'birch' });
});

test('without a signal answers wait, survive a reload, and go out later', async () => {
  answer = () => Promise.reject(new TypeError('failed to fetch'));
  const before = new Outbox('ava');
  before.write('station-1', { name: 'birch' });
  await settled();
  before.write('station-2', { name: 'alder' });
  await settled();
  expect(before.snapshot()).toMatchObject({ waiting: 2, offline: true });

  const after = new Outbox('ava');
  expect(after.snapshot().waiting).toBe(2);
  answer = taken;
  await after.send();
  await settled();
  expect(after.snapshot()).toMatchObject({ waiting: 0, received: 2 });
  expect(sent[sent.length - 1]!.responses.map((response) => response.stationId)).toEqual([
    'station-1',
    'station-2',
  ]);
});

test('an answer changed before it was sent replaces the first; sequence numbers only grow', async () => {
  answer = () => Promise.reject(new TypeError('failed to fetch'));
  const outbox = new Outbox('ava');
  outbox.write('station-1', { name: 'birch' });
  await settled();
  outbox.write('station-1', { name: 'alder' });
  await settled();
  expect(outbox.snapshot().waiting).toBe(1);
  answer = taken;
  await outbox.send();
  const last = sent[sent.length - 1]!.responses;
  expect(last.map((response) => [response.answer.name, response.sequence])).toEqual([['alder', 2]]);
});

test('an answer written while another is on its way is sent after it, and neither is dropped', async () => {
  let release: () => void = () => undefined;
  const held = new Promise<void>((resolve) => (release = resolve));
  answer = async (body) => {
    await held;
    return taken(body);
  };
  const outbox = new Outbox('ava');
  outbox.write('station-1', { name: 'birch' });
  outbox.write('station-1', { name: 'alder' });
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
  const outbox = new Outbox('ava');
  outbox.write('station-1', { name: 'birch' });
  await settled();
  answer = taken;
  await outbox.send();
  expect(new Set(sent.flatMap((body) => body.responses.map((response) => response.id))).size).toBe(1);
  expect(sent).toHaveLength(2);
});

test('an answer that came too late stays on the phone with the reason, and does not hold up others', async () => {
  answer = () => json(409, { message: 'The quiz is closed.' });
  const outbox = new Outbox('ava');
  outbox.write('station-1', { name: 'birch' });
  await settled();
  expect(outbox.snapshot()).toMatchObject({ waiting: 0, refused: [{ message: 'The quiz is closed.' }] });
  answer = taken;
  outbox.write('station-2', { name: 'alder' });
  await settled();
  expect(outbox.snapshot()).toMatchObject({ waiting: 0, received: 1 });
  expect(outbox.written('station-1')).toEqual({ name: 'birch' });
});

test('two students on one phone do not see each other’s answers', async () => {
  const ava = new Outbox('ava');
  ava.write('station-1', { name: 'birch' });
  await settled();
  expect(new Outbox('ben').written('station-1')).toBeUndefined();
});

test('whoever listens hears of each change', async () => {
  const outbox = new Outbox('ava');
  const hear = jest.fn();
  const stop = outbox.subscribe(hear);
  outbox.write('station-1', { name: 'birch' });
  await settled();
  expect(hear.mock.calls.length).toBeGreaterThanOrEqual(2);
  stop();
  const heard = hear.mock.calls.length;
  outbox.write('station-1', { name: 'alder' });
  await settled();
  expect(hear.mock.calls).toHaveLength(heard);
});
