import { createHash, randomBytes } from 'node:crypto';
import type { Db } from '../db/index.ts';

/** Days within which a link is to be used. */
const DAYS = 7;

const hashOf = (token: string): string => createHash('sha256').update(token).digest('hex');

/** A new link's secret for an account; what was sent before opens nothing any more. */
export async function invite(db: Db, accountId: string): Promise<string> {
  const token = randomBytes(24).toString('base64url');
  await db.query('delete from invitation where account_id = $1', [accountId]);
  await db.query('insert into invitation (token_hash, account_id, expires_at) values ($1, $2, $3)', [
    hashOf(token),
    accountId,
    new Date(Date.now() + DAYS * 86_400_000),
  ]);
  return token;
}

/** Whom a link invites; undefined where it is used, replaced or too old, or the account has been closed. */
export const invited = async (db: Db, token: string) =>
  (
    await db.query<{ id: string; name: string; email: string }>(
      `select account.id, account.name, account.email
         from invitation join account on account.id = invitation.account_id
        where token_hash = $1 and expires_at > now() and account.left_at is null`,
      [hashOf(token)],
    )
  )[0];

/** Uses a link up. Resolves with false where somebody was quicker. */
export const useUp = async (db: Db, token: string): Promise<boolean> =>
  (await db.query('delete from invitation where token_hash = $1 returning token_hash', [hashOf(token)]))
    .length > 0;
