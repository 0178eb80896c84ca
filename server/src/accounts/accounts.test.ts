import { OWNER, startHurrow, type TestHurrow } from '../testing/testHurrow.ts';

let hurrow: TestHurrow;
beforeEach(async () => {
  hurrow = await startHurrow();
});
afterEach(() => hurrow.close());

const CHOSEN = 'a password of my own';
/** Adds someone, who uses the link that they are given at once. */
const add = async (role: string, email = 'tomas@example.org') => {
  const answer = await hurrow.owner.post<{ id: string; invitation: string }>('/api/accounts', {
    name: 'Tomas Ek',
    email,
    role,
  });
  if (answer.status === 200) await accept(answer.body.invitation);
  return answer;
};
const accept = (token: string, password = CHOSEN) =>
  hurrow.caller().post('/api/session/invitation', { token, password });
const signIn = async (email: string, password: string) => {
  const caller = hurrow.caller();
  const { status } = await caller.post('/api/session/account', { email, password });
  return { caller, status };
};

test('the owner adds an assistant, whose password opens what the role may do and no more', async () => {
  await add('assistant');
  const { caller, status } = await signIn('tomas@example.org', CHOSEN);
  expect(status).toBe(200);
  expect((await caller.get('/api/library')).status).toBe(200);
  expect((await caller.post('/api/courses', {})).status).toBe(403);
  expect((await caller.get('/api/accounts')).status).toBe(403);
});

test('nobody is added twice, and no second owner', async () => {
  await add('instructor');
  const again = await add('assistant', 'Tomas@Example.org');
  expect([again.status, again.body.message]).toEqual([
    409,
    expect.stringContaining('has an account here already'),
  ]);
  expect((await add('owner', 'other@example.org')).status).toBe(422);
});

test('a changed password ends all other sessions; the old one opens nothing', async () => {
  const elsewhere = await signIn(OWNER.email, OWNER.password);
  const change = (now: string, next: string) => hurrow.owner.put('/api/session/password', { now, next });
  expect((await change('wrong', 'another long password')).status).toBe(422);
  expect((await change(OWNER.password, 'short')).body.message).toContain('“New password”');
  expect((await change(OWNER.password, 'another long password')).status).toBe(200);
  expect((await hurrow.owner.get('/api/library')).status).toBe(200);
  expect((await elsewhere.caller.get('/api/library')).status).toBe(401);
  expect((await signIn(OWNER.email, OWNER.password)).status).toBe(401);
  expect((await signIn(OWNER.email, 'another long password')).status).toBe(200);
});

test('a link says whom it is for, opens once, and not after a week', async () => {
  const { body } = await hurrow.owner.post<{ invitation: string }>('/api/accounts', {
    name: 'Tomas Ek',
    email: 'tomas@example.org',
    role: 'instructor',
  });
  const caller = hurrow.caller();
  expect((await caller.post('/api/session/invited', { token: body.invitation })).body).toEqual({
    name: 'Tomas Ek',
    email: 'tomas@example.org',
  });
  expect((await accept(body.invitation, 'short')).status).toBe(422);
  const used = await caller.post('/api/session/invitation', { token: body.invitation, password: CHOSEN });
  expect(used.body).toMatchObject({ who: { name: 'Tomas Ek', role: 'instructor' } });
  expect((await caller.get('/api/library')).status).toBe(200);
  expect((await accept(body.invitation)).status).toBe(410);
  const late = await hurrow.owner.post<{ invitation: string }>('/api/accounts', {
    name: 'Late',
    email: 'late@example.org',
    role: 'assistant',
  });
  await hurrow.db.query(`update invitation set expires_at = now() - interval '1 second'`);
  expect((await accept(late.body.invitation)).body.message).toMatch(/Ask the owner/);
});

test('a forgotten password is replaced by a new link, which ends sessions and the second factor', async () => {
  const { id } = (await add('instructor')).body;
  const { caller } = await signIn('tomas@example.org', CHOSEN);
  await caller.post('/api/session/second', { password: CHOSEN });
  await hurrow.db.query('update account set second_since = now() where id = $1', [id]);
  const reset = await hurrow.owner.post<{ invitation: string }>(`/api/accounts/${id}/invitation`);
  expect((await caller.get('/api/library')).status).toBe(401);
  expect((await signIn('tomas@example.org', CHOSEN)).status).toBe(401);
  await accept(reset.body.invitation, 'another password');
  expect((await signIn('tomas@example.org', 'another password')).status).toBe(200);
});

test('who has left is signed out and stays out until taken back', async () => {
  const { id } = (await add('instructor')).body;
  const { caller } = await signIn('tomas@example.org', CHOSEN);
  await hurrow.owner.put(`/api/accounts/${id}`, { role: 'instructor', left: true });
  expect((await caller.get('/api/library')).status).toBe(401);
  expect((await signIn('tomas@example.org', CHOSEN)).status).toBe(401);
  await hurrow.owner.put(`/api/accounts/${id}`, { role: 'assistant', left: false });
  expect((await signIn('tomas@example.org', CHOSEN)).status).toBe(200);
});

test('the owner’s own account can be neither closed nor made less', async () => {
  const [own] = (await hurrow.owner.get<{ id: string }[]>('/api/accounts')).body;
  const refused = await hurrow.owner.put(`/api/accounts/${own!.id}`, { role: 'assistant', left: true });
  expect(refused.status).toBe(409);
});

test('who left a machine signed in signs out everywhere else', async () => {
  const left = await signIn(OWNER.email, OWNER.password);
  await hurrow.owner.call('DELETE', '/api/session/others');
  expect((await left.caller.get('/api/courses')).status).toBe(401);
  expect((await hurrow.owner.get('/api/courses')).status).toBe(200);
});
