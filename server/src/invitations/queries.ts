import type { Db } from '../db/index.ts';

/** A new link for an account; what was sent before opens nothing any more. */
export async function addInvitation(
  db: Db,
  tokenHash: string,
  accountId: string,
  expires: Date,
): Promise<void> {
  await db.query('delete from invitation where account_id = $1', [accountId]);
  await db.query('insert into invitation (token_hash, account_id, expires_at) values ($1, $2, $3)', [
    tokenHash,
    accountId,
    expires,
  ]);
}

/** Whom a link invites; undefined where it is used, replaced or too old, or the account has been closed. */
export const invited = async (db: Db, tokenHash: string) =>
  (
    await db.query<{ id: string; name: string; email: string }>(
      `select account.id, account.name, account.email
         from invitation join account on account.id = invitation.account_id
        where token_hash = $1 and expires_at > now() and account.left_at is null`,
      [tokenHash],
    )
  )[0];

/** Uses a link up. Resolves with false where somebody was quicker. */
export const useUp = async (db: Db, tokenHash: string): Promise<boolean> =>
  (await db.query('delete from invitation where token_hash = $1 returning token_hash', [tokenHash])).length >
  0;

export const dropLate = (db: Db) => db.query('delete from invitation where expires_at < now()');
