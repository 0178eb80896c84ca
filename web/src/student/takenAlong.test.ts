import 'fake-indexeddb/auto';
import { IDBFactory } from 'fake-indexeddb';
import type { Session } from '@hurrow/contract/session';
import type { Sitting } from '@hurrow/contract/sitting';
import { alongInWords, pictured, takeAlong, type Along } from './takenAlong.ts';
import { TakenStore } from './takenStore.ts';

const sittingOf = (...drawn: string[]) =>
  ({
    open: [
      { id: 'quiz', stations: [...drawn.map((id) => ({ id, drawn: true })), { id: 'table', drawn: false }] },
    ],
  }) as unknown as Sitting;
const sessionOf = (id: string) => ({ who: { id, role: 'student' } }) as Session;
const picture = (text: string) => new Blob([text], { type: 'image/svg+xml' });

let store: TakenStore;
beforeEach(async () => {
  Object.assign(globalThis, { indexedDB: new IDBFactory() });
  store = await TakenStore.open();
});

test('pictures of open quizzes come once, and those of closed ones go', async () => {
  const asked: string[] = [];
  const told: Along[] = [];
  const fetchOne = (id: string) => {
    asked.push(id);
    return Promise.resolve(picture(id));
  };
  await takeAlong(store, sittingOf('a', 'b'), fetchOne, (along) => told.push(along));
  expect(told[0]).toEqual({ of: 2, here: 0, stuck: false });
  expect(told.at(-1)).toEqual({ of: 2, here: 2, stuck: false });
  await takeAlong(store, sittingOf('b', 'c'), fetchOne, () => undefined);
  expect(asked).toEqual(['a', 'b', 'c']);
  expect(await store.pictures()).toEqual(['b', 'c']);
  expect(pictured(sittingOf('a'))).toEqual(['a']);
});

test('where the signal goes in between, what came stays and the rest comes another time', async () => {
  let signal = true;
  const fetchOne = (id: string) => {
    if (id === 'f') signal = false;
    return signal ? Promise.resolve(picture(id)) : Promise.reject(new Error('offline'));
  };
  const ids = ['a', 'b', 'c', 'd', 'e', 'f', 'g', 'h'];
  let last: Along | undefined;
  await takeAlong(store, sittingOf(...ids), fetchOne, (along) => (last = along));
  expect(last).toMatchObject({ of: 8, stuck: true });
  const held = (await store.pictures()).length;
  expect(held).toBe(last!.here);
  expect(held).toBeLessThan(8);
  await takeAlong(
    store,
    sittingOf(...ids),
    (id) => Promise.resolve(picture(id)),
    (along) => (last = along),
  );
  expect(last).toEqual({ of: 8, here: 8, stuck: false });
});

test('who signs in on a lent phone finds nothing of the one before', async () => {
  await store.signedIn(sessionOf('ava'));
  await store.told(sittingOf('a'), 5000);
  await store.keepPicture('a', picture('a'));
  await store.signedIn(sessionOf('ava'));
  expect(await store.read()).toMatchObject({ ahead: 5000, sitting: { open: [{ id: 'quiz' }] } });
  await store.signedIn(sessionOf('ben'));
  expect(await store.read()).toEqual({ session: sessionOf('ben'), ahead: 0 });
  expect(await store.pictures()).toEqual([]);
  await store.leave();
  // Nobody is signed in: what still comes in is kept for nobody.
  await store.told(sittingOf('a'), 0);
  expect(await store.read()).toBeUndefined();
});

test.each([
  [{ of: 0, here: 0, stuck: false }, ''],
  [{ of: 3, here: 3, stuck: false }, 'Everything is on this phone: it works without a signal.'],
  [{ of: 3, here: 1, stuck: false }, '1 of 3 pictures are on this phone. Stay in the signal until all are.'],
])('how far it is, is said: %j', (along, said) => expect(alongInWords(along)).toBe(said));
