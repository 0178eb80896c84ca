import { readdirSync, readFileSync } from 'node:fs';
import type { Db } from './db.ts';

/** Migrations lie beside this file in the sources and beside the bundle when built. */
const FOLDER = new URL('./migrations/', import.meta.url);

/** Any number that stands for this and nothing else. */
const MIGRATING = 37_011;

/** Brings the store to the newest shape; each migration runs once, in a transaction of its own. */
export async function migrate(db: Db): Promise<void> {
  await db.script(
    'create table if not exists migration (name text primary key, at timestamptz not null default now())',
  );
  const ran = new Set(
    (await db.query<{ name: string }>('select name from migration')).map((row) => row.name),
  );
  const files = readdirSync(FOLDER)
    .filter((name) => name.endsWith('.sql'))
    .sort();
  for (const name of files) {
    if (ran.has(name)) continue;
    await db.transaction(async (tx) => {
      // Of several processes that start together one brings the store on; the others find it done.
      await tx.query('select pg_advisory_xact_lock($1)', [MIGRATING]);
      if ((await tx.query('select 1 from migration where name = $1', [name])).length > 0) return;
      await tx.script(readFileSync(new URL(name, FOLDER), 'utf8'));
      await tx.query('insert into migration (name) values ($1)', [name]);
    });
  }
}
