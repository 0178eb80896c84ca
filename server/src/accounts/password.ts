import { verify } from '@node-rs/argon2';
import { badInput } from '../api/problem.ts';
import { say } from '../api/say.ts';
import type { Db } from '../db/index.ts';
import * as queries from './queries.ts';

/** Throws (422) where a password is not that of an account. */
export async function checkPassword(db: Db, accountId: string, password: string): Promise<void> {
  if (!(await verify((await queries.passwordHash(db, accountId))!, password)))
    throw badInput(say`That is not your password. Check it and try again.`);
}
