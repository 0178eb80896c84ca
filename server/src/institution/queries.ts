import { ACCOUNT, type AccountRow } from '../auth/queries.ts';
import type { Db } from '../db/index.ts';

/** The account of someone by who they are at an institution. */
export const accountVouchedFor = async (db: Db, issuer: string, subject: string) =>
  (
    await db.query<AccountRow>(
      `select ${ACCOUNT} from account join vouched on account_id = id where issuer = $1 and subject = $2`,
      [issuer, subject],
    )
  )[0];

/** Whoever was first stands. */
export const addVouched = (db: Db, issuer: string, subject: string, accountId: string) =>
  db.query('insert into vouched (issuer, subject, account_id) values ($1, $2, $3) on conflict do nothing', [
    issuer,
    subject,
    accountId,
  ]);
