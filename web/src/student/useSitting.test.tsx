import type { Session } from '@hurrow/contract/session';
import type { Sitting } from '@hurrow/contract/sitting';
import { speakFor } from '../app/api.ts';
import { sessionQuery } from '../app/session.ts';
import { hookOnPage } from '../testing/page.tsx';
import { refusal, standIn } from '../testing/server.ts';
import { takenStore } from './takenStore.ts';
import { useAlong, usePicture, useSitting } from './useSitting.ts';

const session = (id = 'ava', role: 'student' | 'owner' = 'student'): Session => ({
  setupNeeded: false,
  demo: false,
  today: '2026-10-15',
  who: { id, name: id, role, course: 'course' },
  institution: null,
});
const stations = ['s1', 's2', 's3'].map((id, i) => ({ id, position: i + 1, drawn: id !== 's3' }));
const sitting = (now = Date.now()) =>
  ({ now, open: [{ id: 'quiz', title: 'Twigs', stations }], closed: [] }) as unknown as Sitting;
const signIn = (who = session()) =>
  (sessionQuery.queryFn as unknown as () => Promise<Session>)().then(() => who);

beforeEach(async () => {
  await (await takenStore())!.leave();
  speakFor(undefined);
});

test('what the server tells is taken along, with how far its clock is ahead', async () => {
  const ahead = Date.now() + 3_600_000;
  standIn({ 'GET /api/session': session(), 'GET /api/sit': sitting(ahead) });
  await signIn();
  const page = hookOnPage(useSitting);
  await page.until(({ data }) => data);
  expect(page.now().data).toMatchObject({ fromPhone: false, sitting: { open: [{ id: 'quiz' }] } });
  expect(page.now().data!.ahead / 3_600_000).toBeCloseTo(1, 1);
  expect(await (await takenStore())!.read()).toMatchObject({ sitting: { open: [{ id: 'quiz' }] } });
});

test('without a signal, or signed out, the phone shows what it has along', async () => {
  const server = standIn({ 'GET /api/session': session(), 'GET /api/sit': sitting() });
  await signIn();
  const first = hookOnPage(useSitting);
  await first.until(({ data }) => data);
  first.leave();
  server.reach(false);
  const page = hookOnPage(useSitting);
  await page.until(({ data }) => data);
  expect(page.now().data).toMatchObject({ fromPhone: true, sitting: { open: [{ title: 'Twigs' }] } });
  server.reach(true);
  server.answer('GET /api/sit', refusal('signedOut', 'Sign in again.'));
  await page.does(({ refetch }) => refetch());
  expect(page.now().data!.fromPhone).toBe(true);
});

test('what is along of somebody else is not shown, and another student who signs in finds nothing of it', async () => {
  const server = standIn({ 'GET /api/session': session(), 'GET /api/sit': sitting() });
  await signIn();
  const first = hookOnPage(useSitting);
  await first.until(({ data }) => data);
  first.leave();
  speakFor('ben');
  server.reach(false);
  const page = hookOnPage(useSitting);
  await page.until(({ isError }) => isError);
  expect(page.now().data).toBeUndefined();
  server.reach(true);
  server.answer('GET /api/session', session('ben'));
  await signIn(session('ben'));
  expect((await (await takenStore())!.read())!.sitting).toBeUndefined();
});

test('staff who sign in on a phone leave nothing of a student on it', async () => {
  const store = (await takenStore())!;
  standIn({ 'GET /api/session': session() });
  await signIn();
  await store.keepPicture('s1', new Blob(['<svg/>']));
  standIn({ 'GET /api/session': session('ines', 'owner') });
  await signIn();
  expect(await store.read()).toBeUndefined();
  expect(await store.pictures()).toEqual([]);
});

test('without a signal the phone knows whom it has along; an unknown one is told that there is no connection', async () => {
  const server = standIn({ 'GET /api/session': session() });
  await signIn();
  server.reach(false);
  const told = await (sessionQuery.queryFn as unknown as () => Promise<Session>)();
  expect(told.who).toMatchObject({ id: 'ava' });
  await (await takenStore())!.leave();
  await expect((sessionQuery.queryFn as unknown as () => Promise<Session>)()).rejects.toThrow(
    /No connection/,
  );
});

/** Pictures as the server answers for them. */
function pictures(answer: (id: string) => Response) {
  const asked: string[] = [];
  const before = globalThis.fetch;
  globalThis.fetch = async (address, options) => {
    const id = /stations\/(\w+)\/drawing/.exec(address as string)?.[1];
    if (!id) return before(address, options);
    asked.push(id);
    return answer(id);
  };
  return asked;
}
const svg = () => new Response('<svg/>', { headers: { 'content-type': 'image/svg+xml' } });

test('pictures of open quizzes are brought onto the phone once, and it is said how far that is', async () => {
  standIn({ 'GET /api/session': session() });
  await signIn();
  const asked = pictures(svg);
  const told = { sitting: sitting(), ahead: 0, fromPhone: false };
  const page = hookOnPage(() => useAlong(told));
  await page.until((along) => along?.here === 2);
  expect(page.now()).toEqual({ of: 2, here: 2, stuck: false });
  expect(asked.sort()).toEqual(['s1', 's2']);
  page.leave();
  const again = hookOnPage(() => useAlong(told));
  await again.until((along) => along?.here === 2);
  expect(asked).toHaveLength(2);
});

test('a picture that cannot be had is told, and the others stay', async () => {
  pictures((id) => (id === 's1' ? new Response('no', { status: 500 }) : svg()));
  const told = { sitting: sitting(), ahead: 0, fromPhone: false };
  const page = hookOnPage(() => useAlong(told));
  await page.until((along) => along?.stuck);
  expect(page.now()).toMatchObject({ of: 2, stuck: true });
});

test('a picture comes from the phone where it is along, else from the server, and is not asked for unwanted', async () => {
  await (await takenStore())!.keepPicture('s1', new Blob(['<svg/>']));
  URL.createObjectURL = () => 'blob:here';
  const held = hookOnPage(() => usePicture('s1', true));
  await held.until((url) => url !== undefined);
  expect(held.now()).toBe('blob:here');
  const other = hookOnPage(() => usePicture('s9', true));
  await other.until((url) => url !== undefined);
  expect(other.now()).toBe('/api/sit/stations/s9/drawing.svg');
  const unwanted = hookOnPage(() => usePicture('s2', false));
  await unwanted.does(() => new Promise((later) => setTimeout(later, 20)));
  expect(unwanted.now()).toBeUndefined();
});
