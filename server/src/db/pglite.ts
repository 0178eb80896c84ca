import { existsSync } from 'node:fs';
import { mkdir, readdir, readFile } from 'node:fs/promises';
import { join } from 'node:path';
import { PGlite, type Transaction } from '@electric-sql/pglite';
import type { Db } from './db.ts';
import { lockFolder } from './lock.ts';

/** Wraps an open PGlite or one of its transactions. */
function dbOf(handle: PGlite | Transaction, close: () => Promise<void>): Db {
  const db: Db = {
    query: async <Row>(sql: string, parameters?: unknown[]) =>
      (await handle.query<Row>(sql, parameters)).rows,
    transaction: (work) =>
      'transaction' in handle ? (handle.transaction((tx) => work(dbOf(tx, close))) as never) : work(db),
    script: async (sql) => {
      await handle.exec(sql);
    },
    close,
  };
  return db;
}

/** A store in memory, for tests and tools; starts as a copy of `packed` when one is given. */
export async function openInMemory(packed?: Blob): Promise<Db & { pack(): Promise<Blob> }> {
  const pglite = await PGlite.create(packed ? { loadDataDir: packed } : {});
  return { ...dbOf(pglite, () => pglite.close()), pack: () => pglite.dumpDataDir('none') };
}

/**
 * Opens the store in a folder that this process then owns alone. A new folder is unpacked from a ready-made empty store,
 * which saves the seconds that creating one takes. Throws a readable error if another process owns the folder.
 */
export async function openFolder(folder: string, packed?: string): Promise<Db> {
  await mkdir(folder, { recursive: true });
  const unlock = lockFolder(folder);
  const dataDir = join(folder, 'store');
  const fresh = !existsSync(dataDir) || (await readdir(dataDir)).length === 0;
  if (!fresh && !existsSync(join(dataDir, 'PG_VERSION'))) {
    unlock();
    // Unpacking an empty store here would bury what is left of a whole one, and open the set-up to anyone.
    throw new Error(
      `The store in ${dataDir} is not whole: its file PG_VERSION is missing, as after a restore that was broken off. Nothing in it was touched. ` +
        'Copy the whole folder from your backup over it; or, to begin with an empty library, move the folder away and start again.',
    );
  }
  const unpack =
    fresh && packed && existsSync(packed) ? { loadDataDir: new Blob([await readFile(packed)]) } : {};
  try {
    const pglite = await PGlite.create({ dataDir, ...unpack });
    return dbOf(pglite, async () => {
      await pglite.close();
      unlock();
    });
  } catch (error) {
    unlock();
    throw error;
  }
}
