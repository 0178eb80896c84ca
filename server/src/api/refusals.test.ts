import { plantCourse, startHurrow, type TestHurrow } from '../testing/testHurrow.ts';
import { isPlainText } from './plainText.ts';

let hurrow: TestHurrow;
let planted: Awaited<ReturnType<typeof plantCourse>>;
beforeAll(async () => {
  hurrow = await startHurrow();
  planted = await plantCourse(hurrow.owner);
});
afterAll(() => hurrow.close());

const deep = (levels: number): unknown => {
  let value: unknown = 'end';
  for (let i = 0; i < levels; i += 1) value = [value];
  return value;
};

test('a body is not read before it is known who sends it', async () => {
  const nobody = hurrow.caller();
  // Neither parsed nor validated: the refusal is about the caller, whatever the body is.
  const refused = await nobody.post('/api/library/import', { csv: 'x'.repeat(5_000_000), dryRun: true });
  expect(refused.status).toBe(401);
  const garbled = await nobody.call('POST', '/api/courses', undefined, {
    'x-hurrow': '1',
    'content-type': 'application/json',
  });
  expect(garbled.status).toBe(401);
});

test.each([
  ['a zero byte', { genus: 'Ac\u0000er' }],
  ['half a sign', { genus: '\ud83c' }],
  ['thousands of levels', deep(4_000)],
])('%s in a body is refused with what to do', async (_, value) => {
  const { status, body } = await hurrow.owner.post('/api/courses', { name: value });
  expect(status).toBe(422);
  expect(body.message).toMatch(/Type it again|must be a string/);
});

test.each(['0000-01-01', '275760-09-13', '1899-12-31', '2026-02-30'])(
  'the date %s is refused',
  async (startsOn) => {
    const course = (await hurrow.owner.get<object>(`/api/courses/${planted.courseId}`)).body;
    const { status, body } = await hurrow.owner.put(`/api/courses/${planted.courseId}`, {
      ...course,
      startsOn,
    });
    expect(status).toBe(422);
    expect(body.message).toContain('write it like 2026-10-15');
  },
);

test('a second set-up is refused', async () => {
  const { status } = await hurrow.caller().post('/api/setup', {
    name: 'Another',
    email: 'another@example.org',
    password: 'a long enough password',
    latitude: 1,
    longitude: 2,
    elevation: 3,
  });
  expect(status).toBe(409);
});

test('plain text is told from what cannot be stored', () => {
  expect(isPlainText({ a: ['grand fir', 3, null, { b: 'Šárka 🌲' }] })).toBe(true);
  expect(isPlainText({ 'a\u0000': 1 })).toBe(false);
  expect(isPlainText(deep(500))).toBe(true);
  expect(isPlainText(deep(50_000))).toBe(false);
});
