import { readdirSync } from 'node:fs';
import type { Endpoint } from './endpoint.ts';
import { addressOf } from './address.ts';

const files = readdirSync(new URL('.', import.meta.url)).filter(
  (name) => name.endsWith('.ts') && !name.endsWith('.test.ts'),
);
const isEndpoint = (value: unknown): value is Endpoint =>
  typeof value === 'object' && value !== null && 'summary' in value && 'path' in value;
const endpoints: Endpoint[] = [];
beforeAll(async () => {
  for (const name of files) {
    const module = (await import(`./${name}`)) as Record<string, unknown>;
    endpoints.push(...Object.values(module).filter(isEndpoint));
  }
});

const namesIn = (path: string) => [...path.matchAll(/\{(\w+)\}/g)].map(([, name]) => name!);
/** Those of which something does not hold, by their calls. */
const but = (holds: (entry: Endpoint) => boolean) =>
  endpoints.filter((entry) => !holds(entry)).map(({ method, path }) => `${method} ${path}`);

test('no call stands twice', () => {
  const calls = endpoints.map(({ method, path }) => `${method} ${path}`);
  expect(calls.length).toBeGreaterThan(150);
  expect(calls.filter((call, i) => calls.indexOf(call) !== i)).toEqual([]);
});

test('each says what it does in sentences, and who may call it', () => {
  expect(but(({ summary }) => /^[A-Z].*\.$/s.test(summary) && summary.length < 500)).toEqual([]);
  expect(
    but(({ allow }) => allow === 'anyone' || (allow.length > 0 && new Set(allow).size === allow.length)),
  ).toEqual([]);
});

test('every address lies under the API, and no two of its parameters bear one name', () => {
  expect(but(({ path }) => path.startsWith('/api/') && !path.endsWith('/'))).toEqual([]);
  expect(but(({ path }) => new Set(namesIn(path)).size === namesIn(path).length)).toEqual([]);
});

test('where parameters are described, they are those of the address', () => {
  expect(
    but(({ path, params }) => {
      if (!params) return true;
      const described = Object.keys((params.describe() as { keys: object }).keys);
      return described.sort().join() === namesIn(path).sort().join();
    }),
  ).toEqual([]);
});

test('what is only asked takes no body; what is deleted takes none either', () => {
  expect(
    but(({ method, body }) => (method === 'get' || method === 'delete' ? body === undefined : true)),
  ).toEqual(
    endpoints
      .filter(({ method, body }) => method === 'delete' && body)
      .map(({ method, path }) => `${method} ${path}`),
  );
  expect(endpoints.filter(({ method, body }) => method === 'get' && body)).toEqual([]);
});

test('students change only what is theirs: their sitting, notebook, practice and sorts', () => {
  const open = endpoints.filter(
    ({ method, allow }) => method !== 'get' && allow !== 'anyone' && allow.includes('student'),
  );
  expect(open.length).toBeGreaterThan(5);
  expect(
    open.map(({ path }) => path).filter((path) => !/^\/api\/(sit|session|practice|sorts|try)\b/.test(path)),
  ).toEqual([]);
});

test('whoever is nobody yet may only sign in, set up, and read the description', () => {
  const open = endpoints.filter(({ allow }) => allow === 'anyone').map(({ path }) => path);
  expect(open.filter((path) => !/^\/api\/(session|setup|openapi\.json|health)/.test(path))).toEqual([]);
});

test('where a code or password can be guessed, failures are counted by a field that the body has', () => {
  const guessable = endpoints.filter((entry) => entry.guessable);
  expect(guessable.length).toBeGreaterThan(3);
  expect(
    guessable
      .filter(({ body, guessable: by }) => {
        const keys = Object.keys((body?.describe() as { keys?: object } | undefined)?.keys ?? {});
        return by!.most > 200 || (by!.field !== '' && !keys.includes(by!.field));
      })
      .map(({ path }) => path),
  ).toEqual([]);
});

test('an address is written with its parameters and query, and what is not asked for is left out', () => {
  expect(addressOf('GET /api/courses/{courseId}/x/{id}', { params: { courseId: 'a/b', id: 'ü' } })).toEqual({
    method: 'GET',
    path: '/api/courses/a%2Fb/x/%C3%BC',
  });
  expect(addressOf('GET /api/a', { query: { on: '2026-10-15', off: undefined, n: 0 } }).path).toBe(
    '/api/a?on=2026-10-15&n=0',
  );
});
