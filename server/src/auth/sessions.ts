import { createHash, randomBytes } from 'node:crypto';
import type { Request, Response } from 'express';
import type { Config } from '../config.ts';
import { remember, type Db } from '../db/index.ts';
import type { Who } from '../api/who.ts';
import * as queries from './queries.ts';

const COOKIE = 'hurrow';
const DAYS = { account: 14, student: 120 };

const hashOf = (token: string) => createHash('sha256').update(token).digest('hex');

function tokenOf(request: Request): string | undefined {
  const pair = (request.headers.cookie ?? '').split(';').find((part) => part.trim().startsWith(`${COOKIE}=`));
  return pair?.trim().slice(COOKIE.length + 1);
}

/** Hash of the token that a request carries: what its session is stored under. */
export const tokenHashOf = (request: Request): string | undefined => {
  const token = tokenOf(request);
  return token && hashOf(token);
};

/** Starts a session and sets its cookie; only a hash of the token is stored. */
export async function signIn(
  db: Db,
  config: Config,
  response: Response,
  who: { accountId?: string; studentId?: string },
): Promise<void> {
  const token = randomBytes(32).toString('base64url');
  const days = who.accountId ? DAYS.account : DAYS.student;
  const expires = new Date(Date.now() + days * 86_400_000);
  await queries.addSession(db, hashOf(token), who.accountId ?? null, who.studentId ?? null, expires);
  response.cookie(COOKIE, token, {
    httpOnly: true,
    sameSite: 'strict',
    secure: config.secure,
    path: '/',
    expires,
  });
}

export async function signOut(db: Db, request: Request, response: Response): Promise<void> {
  const token = tokenOf(request);
  if (token) await queries.removeSession(db, hashOf(token));
  response.clearCookie(COOKIE, { path: '/' });
}

/**
 * Who calls, or undefined for a missing, unknown or expired session.
 *
 * @param often for calls that a class makes all at once: who it was a moment ago is who it is
 */
export async function whoIs(db: Db, request: Request, often = false): Promise<Who | undefined> {
  const token = tokenOf(request);
  if (!token) return undefined;
  const hash = hashOf(token);
  const ask = () => queries.sessionOwner(db, hash, new Date());
  const row = await (often ? remember(db, `session ${hash}`, ask) : ask());
  if (!row) return undefined;
  return {
    role: row.role,
    name: row.name,
    ...(row.accountId ? { accountId: row.accountId } : {}),
    ...(row.studentId ? { studentId: row.studentId } : {}),
    ...(row.courseId ? { courseId: row.courseId } : {}),
  };
}
