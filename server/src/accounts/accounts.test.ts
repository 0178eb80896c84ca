import { OWNER, startHurrow, type TestHurrow } from '../testing/testHurrow.ts';

let hurrow: TestHurrow;
beforeEach(async () => {
  hurrow = await startHurrow();
});
afterEach(() => hurrow.close());

const add = (role: string, email = 'tomas@example.org') =>
  hurrow.owner.post<{ id: string; password: string }>('/api/accounts', { name: 'Tomas Ek', email, role });
const signIn = async (email: string, password: string) => {
  const caller = hurrow.caller();
  const { status } = await caller.post('/api/session/account', { email, password });
  return { caller, status };
};

test('the owner adds an assistant, whose first password opens what the role may do and no more', async () => {
  const { body } = await add('assistant');
  expect(body.password).toMatch(/^[A-Z2-9]{4}(-[A-Z2-9]{4}){2}$/);
  const { caller, status } = await signIn('tomas@example.org', body.password);
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

test('a forgotten password is replaced by the owner, and its sessions end', async () => {
  const { id, password } = (await add('instructor')).body;
  const { caller } = await signIn('tomas@example.org', password);
  const reset = await hurrow.owner.post<{ password: string }>(`/api/accounts/${id}/password`);
  expect((await caller.get('/api/library')).status).toBe(401);
  expect((await signIn('tomas@example.org', password)).status).toBe(401);
  expect((await signIn('tomas@example.org', reset.body.password)).status).toBe(200);
});

test('who has left is signed out and stays out until taken back', async () => {
  const { id, password } = (await add('instructor')).body;
  const { caller } = await signIn('tomas@example.org', password);
  await hurrow.owner.put(`/api/accounts/${id}`, { role: 'instructor', left: true });
  expect((await caller.get('/api/library')).status).toBe(401);
  expect((await signIn('tomas@example.org', password)).status).toBe(401);
  await hurrow.owner.put(`/api/accounts/${id}`, { role: 'assistant', left: false });
  expect((await signIn('tomas@example.org', password)).status).toBe(200);
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
