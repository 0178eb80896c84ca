import type { Db } from '../db/index.ts';

/** What was worked out before, by key. */
export async function workedOut<T>(db: Db, keys: readonly string[]): Promise<Map<string, T>> {
  const rows = await db.query<{ key: string; value: T }>(
    'select key, value from worked_out where key = any($1::text[])',
    [keys],
  );
  return new Map(rows.map(({ key, value }) => [key, value]));
}

/** Keeps what was worked out, for whoever asks next, in any process. Whoever was first stands. */
export async function keepWorkedOut(db: Db, values: ReadonlyMap<string, unknown>): Promise<void> {
  if (values.size === 0) return;
  await db.query(
    `insert into worked_out (key, value)
       select key, value from jsonb_to_recordset($1::jsonb) as row(key text, value jsonb)
     on conflict (key) do update set used_at = now()`,
    [[...values].map(([key, value]) => ({ key, value }))],
  );
}

/** Drops what nobody has worked out anew for half a year. */
export const dropOld = (db: Db) =>
  db.query(`delete from worked_out where used_at < now() - interval '180 days'`);
