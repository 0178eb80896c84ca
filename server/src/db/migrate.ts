import { readdirSync, readFileSync } from 'node:fs';
import type { Db } from './db.ts';

/** Migrations lie beside this file in the sources and beside the bundle when built. */
const FOLDER = new URL('./migrations/', import.meta.url);

/**
 * Brings the store to the newest shape; each migration runs once, in a transaction of its own. Of several processes that start together one
 * brings the store on; the others wait and find it done.
 */
export const migrate = (db: Db): Promise<void> => db.alone('migrate', () => bringOn(db, migrations()));

/** The names of all migrations, in their order. */
export const migrations = (): string[] =>
  readdirSync(FOLDER)
    .filter((name) => name.endsWith('.sql'))
    .sort();

/** Runs those of the migrations given that have not run. */
export async function bringOn(db: Db, names: readonly string[]): Promise<void> {
  await db.script(
    'create table if not exists migration (name text primary key, at timestamptz not null default now())',
  );
  const ran = new Set(
    (await db.query<{ name: string }>('select name from migration')).map((row) => row.name),
  );
  for (const name of names) {
    if (ran.has(name)) continue;
    await db.transaction(async (tx) => {
      // A table of millions of answers may take longer than a statement has otherwise.
      await tx.script('set local statement_timeout = 0');
      await tx.script(readFileSync(new URL(name, FOLDER), 'utf8'));
      await tx.query('insert into migration (name) values ($1)', [name]);
    });
  }
}
