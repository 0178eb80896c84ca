import type { Db } from '../db/index.ts';

/** Counts a failed call. Resolves with how many there were in the seconds that began with the first, and when those end. */
export const countFailed = async (db: Db, key: string, seconds: number) =>
  (
    await db.query<{ hits: number; until: Date }>(
      `insert into failed_sign_in (key, hits, until) values ($1, 1, clock_timestamp() + make_interval(secs => $2))
       on conflict (key) do update set
         hits = case when failed_sign_in.until < clock_timestamp() then 1 else failed_sign_in.hits + 1 end,
         until = case when failed_sign_in.until < clock_timestamp() then excluded.until else failed_sign_in.until end
       returning hits, until`,
      [key, seconds],
    )
  )[0]!;

/** Takes one back: the call did not fail. */
export const takeBack = (db: Db, key: string) =>
  db.query('update failed_sign_in set hits = greatest(0, hits - 1) where key = $1', [key]);

export const forgetFailed = (db: Db, key: string) =>
  db.query('delete from failed_sign_in where key = $1', [key]);

export const dropLate = (db: Db) => db.query('delete from failed_sign_in where until < now()');
