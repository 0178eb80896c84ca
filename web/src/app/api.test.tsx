import { standIn, refusal } from '../testing/server.ts';
import {
  ApiError,
  call,
  isProblem,
  messageOf,
  onSessionLost,
  signInAgain,
  speakFor,
  speaksFor,
} from './api.ts';
import { USUAL } from '../testing/taught.ts';

/** What fetch was called with last. */
let last: { address: string; headers: Record<string, string>; body: unknown; signal: unknown };
function listening(answer: Response | (() => Promise<Response>)) {
  globalThis.fetch = (address, { headers, body, signal } = {}) => {
    last = { address: address as string, headers: headers as Record<string, string>, body, signal };
    return typeof answer === 'function' ? answer() : Promise.resolve(answer);
  };
}
const failed = (work: Promise<unknown>) =>
  work.then(
    () => undefined,
    (error: unknown) => error,
  );

afterEach(() => speakFor(undefined));

test('names of an address are put in, what is searched for behind it, and every call says that it is ours', async () => {
  listening(Response.json([]));
  await call('GET /api/courses/{courseId}', { params: { courseId: 'a b' } });
  expect(last).toMatchObject({
    address: '/api/courses/a%20b',
    headers: { 'x-hurrow': '1' },
    body: undefined,
  });
  await call('GET /api/library', { query: { revision: 7 } });
  expect(last.address).toBe('/api/library?revision=7');
});

test('a body goes as JSON, a picture as it is', async () => {
  listening(Response.json({}));
  await call('POST /api/session/student', { body: { courseCode: 'A', personalCode: 'B' } });
  expect(last.headers['content-type']).toBe('application/json');
  expect(JSON.parse(last.body as string)).toEqual({ courseCode: 'A', personalCode: 'B' });
  const picture = new Blob(['x'], { type: 'image/jpeg' });
  await call('POST /api/library/taxa/{taxonId}/photos', { params: { taxonId: 'a' }, body: picture } as never);
  expect(last.headers['content-type']).toBe('image/jpeg');
  expect(last.body).toBe(picture);
});

test('what a student’s page sends says whose page it is', async () => {
  listening(Response.json({}));
  await call('GET /api/sit');
  expect(last.headers).not.toHaveProperty('x-hurrow-student');
  speakFor('ava');
  expect(speaksFor()).toBe('ava');
  await call('GET /api/sit');
  expect(last.headers['x-hurrow-student']).toBe('ava');
});

test('an error of the server comes with its code, its words and what it says of it', async () => {
  listening(
    Response.json({ code: 'stale', message: 'Changed meanwhile.', details: { by: 'Ines' } }, { status: 409 }),
  );
  const error = await failed(call('GET /api/courses'));
  expect(error).toMatchObject({ code: 'stale', message: 'Changed meanwhile.', details: { by: 'Ines' } });
  expect(isProblem(error, 'stale')).toBe(true);
  expect(isProblem(error, 'offline', 'missing')).toBe(false);
  expect(isProblem(new Error('stale'), 'stale')).toBe(false);
});

test('an answer that is none, as of a proxy, is told in words that help', async () => {
  listening(new Response('<html>Bad gateway</html>', { status: 502 }));
  expect(await failed(call('GET /api/courses'))).toMatchObject({
    code: 'unexpected',
    message: 'The server did not answer as expected. Try again.',
  });
});

test('without a signal it is said that nothing is lost', async () => {
  listening(() => Promise.reject(new TypeError('Failed to fetch')));
  const error = await failed(call('GET /api/courses'));
  expect(isProblem(error, 'offline')).toBe(true);
  expect(messageOf(error)).toMatch(/^No connection to the server\. What you typed is kept/);
});

test('a call can be given up', async () => {
  listening(Response.json({}));
  await call('GET /api/courses', {}, 500);
  expect(last.signal).toBeDefined();
  await call('GET /api/courses');
  expect(last.signal).toBeUndefined();
});

test('whoever listens hears that the session is gone, but not from signing in wrongly', async () => {
  let heard = 0;
  const stop = onSessionLost(() => (heard += 1));
  listening(() =>
    Promise.resolve(Response.json({ code: 'signedOut', message: 'Sign in.' }, { status: 401 })),
  );
  await failed(call('GET /api/courses'));
  await failed(call('POST /api/session/student', { body: { courseCode: 'A', personalCode: 'B' } }));
  expect(heard).toBe(1);
  stop();
  await failed(call('GET /api/courses'));
  expect(heard).toBe(1);
});

test('what is sent while one signs in again waits for it, also where that fails', async () => {
  const server = standIn({ ...USUAL, 'POST /api/session/account': refusal('invalid', 'Wrong password.') });
  const signing = failed(signInAgain({ email: 'a@b.example', password: 'no' }));
  await call('GET /api/library/state');
  expect(server.asked.map(({ call: name }) => name)).toEqual([
    'POST /api/session/account',
    'GET /api/library/state',
  ]);
  expect(messageOf(await signing)).toBe('Wrong password.');
});

test('anything that is thrown can be shown', () => {
  expect(messageOf(new ApiError('missing', 'There is no such quiz.'))).toBe('There is no such quiz.');
  expect(messageOf('odd')).toBe('Something went wrong. Try again.');
});
