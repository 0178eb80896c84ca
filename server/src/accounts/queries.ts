import type { Account } from '@hurrow/contract/accounts';
import type { Role } from '@hurrow/contract/endpoint';
import type { Db } from '../db/index.ts';

const ACCOUNT = `id, email, name, role, left_at is not null as "left"`;

export const accounts = (db: Db) =>
  db.query<Account>(`select ${ACCOUNT} from account order by left_at is not null, created_at`);

export const account = async (db: Db, id: string) =>
  (await db.query<Account>(`select ${ACCOUNT} from account where id = $1`, [id]))[0];

export const passwordHash = async (db: Db, id: string) =>
  (
    await db.query<{ passwordHash: string }>(
      'select password_hash as "passwordHash" from account where id = $1',
      [id],
    )
  )[0]?.passwordHash;

export const setPassword = (db: Db, id: string, hash: string) =>
  db.query('update account set password_hash = $2 where id = $1', [id, hash]);

export const setRole = (db: Db, id: string, role: Role) =>
  db.query('update account set role = $2 where id = $1', [id, role]);

export const setLeft = (db: Db, id: string, at: Date | null) =>
  db.query('update account set left_at = $2 where id = $1', [id, at]);

/** Ends every session of an account but one, named by the hash of its token. */
export const endSessions = (db: Db, accountId: string, kept: string | null) =>
  db.query('delete from session where account_id = $1 and token_hash is distinct from $2', [accountId, kept]);
