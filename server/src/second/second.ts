import { createHash, timingSafeEqual } from 'node:crypto';
import { Secret, TOTP } from 'otpauth';
import { readableCode } from '../courses/codes.ts';
import { Problem } from '../api/problem.ts';
import { say } from '../api/say.ts';
import type { Db } from '../db/index.ts';
import * as queries from './queries.ts';

/** Seconds that a code of the telephone is good for, and how many steps before and after are let in: clocks differ. */
const STEP = 30;
const AROUND = 1;
/** Codes for the day that the telephone is lost. */
const RECOVERY = 10;

const totpOf = (secret: string, email: string) =>
  new TOTP({ issuer: 'Hurrow', label: email, secret: Secret.fromBase32(secret), period: STEP });

const hashOf = (code: string): string =>
  createHash('sha256')
    .update(code.toUpperCase().replace(/[^A-Z0-9]/g, ''))
    .digest('hex');

/**
 * A new secret for a telephone, by RFC 6238: SHA-1, six digits, thirty seconds, which every such application takes.
 *
 * @returns the secret in base 32, and the address that its QR code holds
 */
export function newSecret(email: string): { secret: string; address: string } {
  const secret = new Secret({ size: 20 }).base32;
  return { secret, address: totpOf(secret, email).toString() };
}

/** Codes that open once each, and their hashes, which alone are kept. */
export function recoveryCodes(): { codes: string[]; hashes: string[] } {
  const codes = Array.from({ length: RECOVERY }, () => [1, 2].map(() => readableCode(5)).join('-'));
  return { codes, hashes: codes.map(hashOf) };
}

/**
 * The step that a code belongs to; undefined where it is none of now.
 *
 * @param after the step that opened last: a code that was overheard opens nothing a second time
 * @param at in milliseconds
 */
export function stepOf(
  secret: string,
  code: string,
  after: number | null,
  at: number = Date.now(),
): number | undefined {
  const token = code.replace(/\s/g, '');
  const counter = Math.floor(at / 1000 / STEP);
  for (let step = counter - AROUND; step <= counter + AROUND; step += 1) {
    const right = Buffer.from(totpOf(secret, '').generate({ timestamp: step * STEP * 1000 }));
    const given = Buffer.from(token);
    if (given.length === right.length && timingSafeEqual(given, right))
      return after === null || step > after ? step : undefined;
  }
  return undefined;
}

/** Whether a code opens an account: one of its telephone, or a recovery code, which is then used up. */
export async function opens(db: Db, accountId: string, code: string): Promise<boolean> {
  const held = await queries.secondOf(db, accountId);
  if (!held?.secret) return false;
  const step = stepOf(held.secret, code, held.step);
  // Two sign-ins at once with the same code: one of them moves the step on.
  if (step !== undefined) return queries.moveStep(db, accountId, step);
  return queries.useRecovery(db, accountId, hashOf(code));
}

/** Throws (401) where an account asks for a second factor and the code is none of it. */
export async function checkSecond(db: Db, accountId: string, code: string | undefined): Promise<void> {
  if (!(await queries.secondOf(db, accountId))?.since) return;
  if (code === undefined)
    throw new Problem(401, say`Type the code of your telephone, too.`, undefined, 'secondFactor');
  if (!(await opens(db, accountId, code)))
    throw new Problem(
      401,
      say`That code opens nothing: it is not the one of now, or it was used. Wait for the next one, or type one of your recovery codes.`,
      undefined,
      'secondFactor',
    );
}
