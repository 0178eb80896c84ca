import { vi } from 'vitest';
import 'fake-indexeddb/auto';
import { IDBFactory } from 'fake-indexeddb';
import { NoteBox } from './noteBox.ts';
import { NoteStore } from './noteStore.ts';
import { blankEntry } from './noted.ts';

let sent: string[];
let answer: (line: string) => Promise<Response>;
const opened: NoteBox[] = [];

const json = (status: number, body: unknown) =>
  Promise.resolve(new Response(JSON.stringify(body), { status }));
const open = async () => {
  const box = await NoteBox.open('ava');
  opened.push(box);
  return box;
};
const body = (words: string) => ({ ...blankEntry('2026-10-01'), tag: 'T1', words });
const photo = () => new Blob(['bark'], { type: 'image/png' });

beforeEach(() => {
  sent = [];
  answer = () => json(200, {});
  Object.assign(globalThis, {
    indexedDB: new IDBFactory(),
    fetch: vi.fn((path: string, { method }: { method: string }) => {
      const line = `${method} ${path}`;
      sent.push(line);
      return answer(line);
    }),
  });
});
afterEach(() => opened.splice(0).forEach((box) => box.close()));

test('an entry is kept at every change, and is there after a reload, not finished', async () => {
  const box = await open();
  void box.keep('a', body('grey'));
  await box.keep('a', body('grey and smooth'));
  box.close();
  expect((await open()).find('a')).toMatchObject({ body: { words: 'grey and smooth' }, state: 'draft' });
  expect(sent).toEqual([]);
});

test('what is typed while a photograph is added loses neither', async () => {
  const box = await open();
  await Promise.all([
    box.keep('a', body('grey')),
    box.keep('a', body('grey'), [photo()]),
    box.keep('a', body('grey and smooth')),
  ]);
  box.close();
  const held = (await open()).find('a')!;
  expect([held.body.words, held.pictures.length]).toEqual(['grey and smooth', 1]);
});

test('a finished entry is sent with its photographs, each once', async () => {
  const box = await open();
  await box.keep('a', body('grey'), [photo(), photo()]);
  await box.finish('a');
  const [first, second] = box.find('a')!.pictures;
  expect(sent).toEqual([
    'PUT /api/sit/notebook/a',
    `POST /api/sit/notebook/a/pictures/${first!.id}`,
    `POST /api/sit/notebook/a/pictures/${second!.id}`,
  ]);
  expect(box.find('a')).toMatchObject({ state: 'kept', pictures: [{ sent: true }, { sent: true }] });
  await box.keep('a', body('grey, rough below'));
  await box.finish('a');
  expect(sent.slice(3)).toEqual(['PUT /api/sit/notebook/a']);
});

test('without a signal it waits on the phone, and goes out later', async () => {
  answer = () => Promise.reject(new TypeError('failed to fetch'));
  const box = await open();
  await box.keep('a', body('grey'));
  await box.finish('a');
  expect(box.snapshot()).toMatchObject({ offline: true, entries: [{ state: 'waiting' }] });
  answer = () => json(200, {});
  await box.send();
  expect(box.snapshot()).toMatchObject({ offline: false, entries: [{ state: 'kept' }] });
});

test('what the server refuses stays, with what it said', async () => {
  answer = () => json(422, { code: 'invalid', message: 'Choose one of those offered.' });
  const box = await open();
  await box.keep('a', body('grey'));
  await box.finish('a');
  expect(box.find('a')).toMatchObject({ state: 'refused', message: 'Choose one of those offered.' });
});

test('what is changed while it is sent is not taken for sent, and what is torn out meanwhile is gone', async () => {
  const box = await open();
  await box.keep('a', body('grey'));
  await box.keep('b', body('brown'));
  answer = async (line) => {
    if (line.endsWith('/a')) await box.keep('a', body('grey, rough below'));
    await box.drop('b');
    return json(200, {});
  };
  await box.finish('b');
  await box.finish('a');
  expect(box.find('a')).toMatchObject({ state: 'draft', body: { words: 'grey, rough below' } });
  expect(box.find('b')).toBeUndefined();
  expect(box.snapshot().offline).toBe(false);
});

test('a phone without room goes on, and says that it keeps nothing', async () => {
  const box = await open();
  vi.spyOn(NoteStore.prototype, 'put').mockRejectedValue(new DOMException('full', 'QuotaExceededError'));
  await box.keep('a', body('grey'));
  vi.restoreAllMocks();
  expect(box.snapshot()).toMatchObject({ unkept: true, entries: [{ body: { words: 'grey' } }] });
});

test('what another tab has written is there', async () => {
  const [here, there] = [await open(), await open()];
  await there.keep('a', body('grey'), [photo()]);
  while (!here.find('a')) await new Promise((resolve) => setTimeout(resolve, 5));
  await here.keep('a', body('grey and smooth'));
  expect(here.find('a')).toMatchObject({ body: { words: 'grey and smooth' }, pictures: [{ sent: false }] });
});
