import { MAPLES, OWNER, plantCourse, startHurrow, type TestHurrow } from '../testing/testHurrow.ts';

let hurrow: TestHurrow;
let code: string;
beforeAll(async () => {
  hurrow = await startHurrow();
  ({ code } = await plantCourse(hurrow.owner));
});
afterAll(() => hurrow.close());

test('set-up works once', async () => {
  const again = await hurrow
    .caller()
    .post('/api/setup', { ...OWNER, libraryName: 'x', latitude: 0, longitude: 0, elevation: 0 });
  expect(again).toMatchObject({
    status: 409,
    body: { message: expect.stringContaining('already has an owner') as string },
  });
});

test('e-mail and password, right and wrong', async () => {
  const caller = hurrow.caller();
  expect(
    (await caller.post('/api/session/account', { email: 'INES@example.org', password: OWNER.password })).body[
      'who'
    ],
  ).toMatchObject({ role: 'owner' });
  expect(
    (await hurrow.caller().post('/api/session/account', { email: OWNER.email, password: 'wrong' })).body
      .message,
  ).toContain('do not match');
  expect(
    (await hurrow.caller().post('/api/session/account', { email: 'nobody@example.org', password: 'wrong' }))
      .body.message,
  ).toContain('do not match');
});

test('the password is not stored', async () => {
  const [row] = await hurrow.db.query<{ password_hash: string }>('select password_hash from account');
  expect(row!.password_hash).toMatch(/^\$argon2id\$/);
});

test('students: a wrong course code and a wrong personal code say which is wrong', async () => {
  const caller = hurrow.caller();
  expect(
    (await caller.post('/api/session/student', { courseCode: 'XXXXX', personalCode: 'rowan1' })).body.message,
  ).toContain('No course has the code “XXXXX”');
  expect(
    (await caller.post('/api/session/student', { courseCode: code, personalCode: 'nope' })).body.message,
  ).toContain('no personal code of Maples');
  expect(
    (await caller.post('/api/session/student', { courseCode: code.toLowerCase(), personalCode: ' rowan1 ' }))
      .status,
  ).toBe(200);
});

test('a session that the server has ended says that nothing typed is lost', async () => {
  const caller = hurrow.caller();
  await caller.post('/api/session/account', { email: OWNER.email, password: OWNER.password });
  expect((await caller.get('/api/courses')).status).toBe(200);
  await hurrow.db.query('delete from session');
  expect(await caller.get('/api/courses')).toMatchObject({
    status: 401,
    body: { message: expect.stringContaining('what you typed is still here') as string },
  });
});

test('signing out ends the session on the server', async () => {
  const caller = hurrow.caller();
  await caller.post('/api/session/account', { email: OWNER.email, password: OWNER.password });
  const before = await hurrow.db.query('select 1 from session');
  await caller.call('DELETE', '/api/session');
  expect(await hurrow.db.query('select 1 from session')).toHaveLength(before.length - 1);
});

test('nobody enters by the demo doors when this is no demo', async () => {
  expect((await hurrow.caller().post('/api/session/demo', { as: 'instructor' })).status).toBe(403);
});

describe('guessing is slowed down', () => {
  /** Fails until told to wait, or as often as said. */
  const failures = async (path: string, body: (n: number) => object, most: number) => {
    const caller = hurrow.caller();
    for (let n = 0; n < most; n += 1) if ((await caller.post(path, body(n))).status === 429) return n;
    return most;
  };

  test('at the codes of one course, and whoever has a code of another still comes in', async () => {
    const guess = (n: number) => ({ courseCode: code, personalCode: `guess${n}` });
    const tries = await failures('/api/session/student', guess, 200);
    expect(tries).toBeGreaterThan(100);
    expect(tries).toBeLessThanOrEqual(150);
    const owner = hurrow.caller();
    await owner.post('/api/session/account', { email: OWNER.email, password: OWNER.password });
    const { id } = (await owner.post<{ id: string }>('/api/courses', { ...MAPLES, name: 'Oaks' })).body;
    await owner.post(`/api/courses/${id}/students/import`, {
      csv: 'name,code\nEda Holm,EDAH33',
      dryRun: false,
    });
    const courseCode = (await owner.get<{ code: string }>(`/api/courses/${id}`)).body.code;
    const right = await hurrow.caller().post('/api/session/student', { courseCode, personalCode: 'EDAH33' });
    expect(right).toMatchObject({ status: 200 });
  });

  test('at one account, and colleagues at the same address still come in', async () => {
    const guess = (n: number) => ({ email: 'kettleby@example.org', password: `guess${n}` });
    expect(await failures('/api/session/account', guess, 40)).toBe(20);
    const { email, password } = OWNER;
    expect((await hurrow.caller().post('/api/session/account', { email, password })).status).toBe(200);
  });
});
