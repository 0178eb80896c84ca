import { Secret, TOTP } from 'otpauth';
import { OWNER, startHurrow, type TestHurrow } from '../testing/testHurrow.ts';
import { newSecret, stepOf } from './second.ts';

describe('the second factor', () => {
  let hurrow: TestHurrow;
  beforeEach(async () => {
    hurrow = await startHurrow();
  });
  afterEach(() => hurrow.close());

  /** Turns it on for the owner; what the telephone then says, at a step from now. */
  async function turnedOn() {
    const begun = await hurrow.owner.post<{ secret: string; address: string; picture: string }>(
      '/api/session/second',
      { password: OWNER.password },
    );
    const totp = new TOTP({ secret: Secret.fromBase32(begun.body.secret) });
    const codeAt = (step: number) => totp.generate({ timestamp: Date.now() + step * 30_000 });
    const on = await hurrow.owner.put<{ recovery: string[] }>('/api/session/second', { code: codeAt(0) });
    return { begun: begun.body, codeAt, recovery: on.body.recovery };
  }
  const signIn = async (code?: string) => {
    const caller = hurrow.caller();
    const { email, password } = OWNER;
    const answer = await caller.post<{ code?: string }>('/api/session/account', {
      email,
      password,
      ...(code ? { code } : {}),
    });
    return { status: answer.status, says: answer.body.code, caller };
  };

  test('known answers of RFC 6238, appendix B, in six digits; a code opens once, and not after another', () => {
    const secret = Secret.fromLatin1('12345678901234567890').base32;
    expect(stepOf(secret, '287082', null, 59_000)).toBe(1);
    expect(stepOf(secret, '081804', null, 1_111_111_109_000)).toBe(37_037_036);
    expect(stepOf(secret, '28 70 82', null, 59_000 + 30_000)).toBe(1);
    expect(stepOf(secret, '287082', null, 59_000 + 90_000)).toBeUndefined();
    expect(stepOf(secret, '287082', 1, 59_000)).toBeUndefined();
    expect(newSecret('a@example.org').address).toMatch(/^otpauth:\/\/totp\/Hurrow:a%40example.org\?/);
  });

  test('once on, the password alone opens nothing; a code opens once', async () => {
    const { begun, codeAt } = await turnedOn();
    expect(begun.picture).toContain('<svg');
    expect(await signIn()).toMatchObject({ status: 401, says: 'secondFactor' });
    expect(await signIn('000000')).toMatchObject({ status: 401, says: 'secondFactor' });
    // The code that turned it on was used; the next one is let in a moment early.
    expect((await signIn(codeAt(0))).status).toBe(401);
    expect((await signIn(codeAt(1))).status).toBe(200);
    expect((await signIn(codeAt(1))).status).toBe(401);
  });

  test('a recovery code opens once each; how many are left is said', async () => {
    const { recovery } = await turnedOn();
    expect(new Set(recovery).size).toBe(10);
    expect((await signIn(recovery[0]!.toLowerCase())).status).toBe(200);
    expect((await signIn(recovery[0])).status).toBe(401);
    expect((await hurrow.owner.get('/api/session/second')).body).toEqual({ on: true, recovery: 9 });
  });

  test('it is begun and ended with the password alone, and not asked for before a code was confirmed', async () => {
    expect((await hurrow.owner.post('/api/session/second', { password: 'wrong' })).status).toBe(422);
    await hurrow.owner.post('/api/session/second', { password: OWNER.password });
    expect((await signIn()).status).toBe(200);
    expect((await hurrow.owner.put('/api/session/second', { code: '000000' })).body.message).toMatch(/clock/);
    await turnedOn();
    expect((await hurrow.owner.post('/api/session/second/off', { password: 'wrong' })).status).toBe(422);
    await hurrow.owner.post('/api/session/second/off', { password: OWNER.password });
    expect((await signIn()).status).toBe(200);
  });
});
