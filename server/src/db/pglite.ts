import { existsSync } from 'node:fs';
import { mkdir, readdir, readFile } from 'node:fs/promises';
import { join } from 'node:path';
import { PGlite, type Transaction } from '@electric-sql/pglite';
import { counted } from '@hurrow/core/words';
import type { Db } from './db.ts';
import { Journal, type Kept } from './journal.ts';
import { lockFolder } from './lock.ts';

/** Wraps an open PGlite. */
function dbOf(pglite: PGlite, journal: Journal | undefined, close: () => Promise<void>): Db {
  const keep = async (rows: readonly Kept[]) => journal?.append(rows);
  const kept = async <Row extends Kept>() => (await journal?.rows<Row>()) ?? [];
  return {
    ...statements(pglite),
    transaction: async (work) => {
      const later: Kept[] = [];
      const result = await pglite.transaction((tx) => {
        const inside: Db = {
          ...statements(tx),
          transaction: (nested) => nested(inside),
          keep: async (rows) => void later.push(...rows),
          kept,
          close,
        };
        return work(inside);
      });
      await keep(later);
      return result as never;
    },
    keep,
    kept,
    close,
  };
}

const statements = (handle: PGlite | Transaction): Pick<Db, 'query' | 'script'> => ({
  query: async <Row>(sql: string, parameters?: unknown[]) => (await handle.query<Row>(sql, parameters)).rows,
  script: async (sql) => {
    await handle.exec(sql);
  },
});

/** A store in memory, for tests and tools; starts as a copy of `packed` when one is given. */
export async function openInMemory(packed?: Blob): Promise<Db & { pack(): Promise<Blob> }> {
  const pglite = await PGlite.create(packed ? { loadDataDir: packed } : {});
  return { ...dbOf(pglite, undefined, () => pglite.close()), pack: () => pglite.dumpDataDir('none') };
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
  let journal: Journal | undefined;
  try {
    journal = await Journal.open(join(folder, 'answers.journal'));
    if (journal.damaged > 0)
      console.warn(
        `${counted(journal.damaged, 'line')} of answers.journal cannot be read, as after a fault of the disk. What stood there is in the store alone: make a copy of the folder now.`,
      );
    const pglite = await PGlite.create({ dataDir, ...unpack });
    return dbOf(pglite, journal, async () => {
      await pglite.close();
      await journal?.close();
      unlock();
    });
  } catch (error) {
    await journal?.close();
    unlock();
    throw error;
  }
}
