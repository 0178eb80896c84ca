import { randomBytes } from 'node:crypto';
import { hash } from '@node-rs/argon2';
import { invite } from '../auth/invitations.ts';
import { turnOff } from '../auth/secondQueries.ts';
import type { Db } from '../db/index.ts';
import * as queries from './queries.ts';

/** A password that nobody knows, until a link was used. */
export const unknownPassword = (): Promise<string> => hash(randomBytes(32));

/** A new link for an account, which nothing else opens any more. */
export async function inviteAgain(db: Db, accountId: string): Promise<string> {
  const hashed = await unknownPassword();
  return db.transaction(async (tx) => {
    await queries.setPassword(tx, accountId, hashed);
    await turnOff(tx, accountId);
    await queries.endSessions(tx, accountId, null);
    return invite(tx, accountId);
  });
}
