import { ROUTES } from '../app.ts';
import { plantCourse, startHurrow, type Caller, type TestHurrow } from '../testing/testHurrow.ts';

let hurrow: TestHurrow;
let callers: Record<'nobody' | 'student', Caller>;

beforeAll(async () => {
  hurrow = await startHurrow();
  const { code } = await plantCourse(hurrow.owner);
  const student = hurrow.caller();
  await student.post('/api/session/student', { courseCode: code, personalCode: 'rowan1' });
  callers = { nobody: hurrow.caller(), student };
});
afterAll(() => hurrow.close());

type Responses = { 200: { content: Record<string, { schema?: object }> } };

const somewhere = (path: string) => path.replace(/\{\w+\}/g, '00000000-0000-4000-8000-000000000000');

test.each(
  ROUTES.filter((entry) => entry.allow !== 'anyone').map(
    (entry) => [entry.method.toUpperCase(), entry.path, entry] as const,
  ),
)('%s %s is closed to everyone it is not for', async (method, path, entry) => {
  expect((await callers.nobody.call(method, somewhere(path))).status).toBe(401);
  if (!entry.allow.includes('student'))
    expect((await callers.student.call(method, somewhere(path))).status).toBe(403);
  if (!entry.allow.includes('owner'))
    expect((await hurrow.owner.call(method, somewhere(path))).status).toBe(403);
});

test.each(
  ROUTES.filter((entry) => entry.method !== 'get').map((entry) => [entry.method.toUpperCase(), entry.path]),
)('%s %s is refused when it does not come from our own pages', async (method, path) => {
  expect((await hurrow.owner.call(method, somewhere(path), {}, {})).status).toBe(403);
});

test('the description lists every route, with what it takes', async () => {
  const { body } = await callers.nobody.get<{
    openapi: string;
    paths: Record<string, Record<string, { requestBody?: object; responses: Responses }>>;
  }>('/api/openapi.json');
  expect(body.openapi).toBe('3.1.0');
  for (const entry of ROUTES) {
    const said = body.paths[entry.path]?.[entry.method]?.responses[200].content;
    if (!entry.answers && entry.path !== '/api/openapi.json' && !entry.path.endsWith('/file'))
      expect([entry.path, said?.['application/json']?.schema]).toEqual([entry.path, expect.any(Object)]);
  }
  // Every reference within the description leads somewhere.
  const whole = JSON.stringify(body);
  const { schemas } = (body as unknown as { components: { schemas: object } }).components;
  for (const [, name] of whole.matchAll(/#\/components\/schemas\/([^"]+)/g))
    expect(Object.keys(schemas)).toContain(decodeURIComponent(name!));
  expect(JSON.stringify(body.paths['/api/courses/{courseId}/quizzes']?.['post']?.requestBody)).toContain(
    'heldOn',
  );
});

test('an address that is none, and a body that is no JSON, are said clearly', async () => {
  expect(await callers.nobody.get('/api/nowhere')).toMatchObject({
    status: 404,
    body: { message: expect.stringContaining('openapi.json') as string },
  });
  const broken = await callers.nobody.call('POST', '/api/session/account', undefined, {
    'x-hurrow': '1',
    'content-type': 'application/json',
  });
  expect(broken.status).toBe(422);
});

test('pages are sent with a strict policy', async () => {
  const { headers } = await callers.nobody.get('/api/session');
  const policy = headers.get('content-security-policy')!;
  expect(policy).toContain("script-src 'self'");
  expect(policy).not.toContain('unsafe');
});
