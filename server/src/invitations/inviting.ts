import { createHash, randomBytes } from 'node:crypto';
import { hash } from '@node-rs/argon2';
import { endSessions, setPassword } from '../accounts/queries.ts';
import { Problem } from '../api/problem.ts';
import { say } from '../api/say.ts';
import type { Db } from '../db/index.ts';
import { turnOff } from '../second/queries.ts';
import * as queries from './queries.ts';

/** Days within which a link is to be used. */
const DAYS = 7;

const hashOf = (token: string): string => createHash('sha256').update(token).digest('hex');

/** A password that nobody knows, until a link was used. */
export const unknownPassword = (): Promise<string> => hash(randomBytes(32));

/** The secret of a new link for an account; only a hash of it is kept. */
export async function newLink(db: Db, accountId: string): Promise<string> {
  const token = randomBytes(24).toString('base64url');
  await queries.addInvitation(db, hashOf(token), accountId, new Date(Date.now() + DAYS * 86_400_000));
  return token;
}

/** A new link for an account, which nothing else opens any more. */
export async function inviteAgain(db: Db, accountId: string): Promise<string> {
  const hashed = await unknownPassword();
  return db.transaction(async (tx) => {
    await setPassword(tx, accountId, hashed);
    await turnOff(tx, accountId);
    await endSessions(tx, accountId, null);
    return newLink(tx, accountId);
  });
}

const usedUp = () =>
  new Problem(
    410,
    say`This link was used, replaced by a newer one, or is older than a week. Ask the owner of this Hurrow for a new one.`,
  );

/** Whom a link invites. Throws (410) where it opens nothing. */
export async function invitedBy(db: Db, token: string) {
  const found = await queries.invited(db, hashOf(token));
  if (!found) throw usedUp();
  return found;
}

/** Uses a link: its account has a password from now on. Throws (410) where somebody was quicker. */
export async function accept(db: Db, token: string, accountId: string, passwordHash: string): Promise<void> {
  await db.transaction(async (tx) => {
    if (!(await queries.useUp(tx, hashOf(token)))) throw usedUp();
    await setPassword(tx, accountId, passwordHash);
    await endSessions(tx, accountId, null);
  });
}
