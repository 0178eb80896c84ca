import { OWNER, plantCourse, startHurrow, type TestHurrow } from '../testing/testHurrow.ts';

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

test('guessing is slowed down', async () => {
  const caller = hurrow.caller();
  let last = 0;
  for (let i = 0; i < 45 && last !== 429; i += 1)
    last = (await caller.post('/api/session/student', { courseCode: code, personalCode: `guess${i}` }))
      .status;
  expect(last).toBe(429);
});
