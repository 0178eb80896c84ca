import type { Db } from '../db/index.ts';

export const secondOf = async (db: Db, accountId: string) =>
  (
    await db.query<{ secret: string | null; since: Date | null; step: number | null; recovery: number }>(
      `select second_secret as secret, second_since as since, second_step as step,
              (select count(*)::int from recovery_code where account_id = account.id) as recovery
         from account where id = $1`,
      [accountId],
    )
  )[0];

/** Keeps a secret that is not asked for yet. */
export const setSecret = (db: Db, accountId: string, secret: string) =>
  db.query('update account set second_secret = $2, second_since = null, second_step = null where id = $1', [
    accountId,
    secret,
  ]);

/** From now on the second factor is asked for. */
export const turnOn = (db: Db, accountId: string, step: number, at: Date) =>
  db.query('update account set second_since = $3, second_step = $2 where id = $1', [accountId, step, at]);

export const turnOff = async (db: Db, accountId: string) => {
  await db.query(
    'update account set second_secret = null, second_since = null, second_step = null where id = $1',
    [accountId],
  );
  await db.query('delete from recovery_code where account_id = $1', [accountId]);
};

/** Notes the step that opened. Resolves with false where it, or a later one, did so before. */
export const moveStep = async (db: Db, accountId: string, step: number): Promise<boolean> =>
  (
    await db.query(
      'update account set second_step = $2 where id = $1 and coalesce(second_step, 0) < $2 returning id',
      [accountId, step],
    )
  ).length > 0;

export const setRecovery = async (db: Db, accountId: string, hashes: readonly string[]) => {
  await db.query('delete from recovery_code where account_id = $1', [accountId]);
  await db.query('insert into recovery_code (account_id, hash) select $1, unnest($2::text[])', [
    accountId,
    hashes,
  ]);
};

export const useRecovery = async (db: Db, accountId: string, hash: string): Promise<boolean> =>
  (
    await db.query('delete from recovery_code where account_id = $1 and hash = $2 returning hash', [
      accountId,
      hash,
    ])
  ).length > 0;
