import { existsSync, rmSync, writeFileSync } from 'node:fs';
import { copyFile, mkdir, rename, rm } from 'node:fs/promises';
import { dirname, join } from 'node:path';
import { PGlite } from '@electric-sql/pglite';
import { counted } from '@hurrow/core/words';
import type { Db, StoreFiles } from './db.ts';
import { durable } from './durableFiles.ts';
import { Journal } from './journal.ts';
import { lockFolder } from './lock.ts';
import { dbOf, statements } from './pglite.ts';
import { postgresProgram } from './postgresProgram.ts';
import { rowsByTable } from './rowsByTable.ts';
import {
  bringToDisk,
  completeCopy,
  copyFiles,
  holdsStore,
  isFull,
  stoppedInOrder,
  unpackStore,
} from './storeFiles.ts';

/** A store that cannot be opened as it is; the message says what to do. */
export class StoreDamaged extends Error {
  /** What is wrong with it, alone. */
  readonly what: string;

  constructor(what: string) {
    super(`${what} ${WAY_BACK}`);
    this.what = what;
  }
}

const STORE = 'store';
const JOURNAL = 'answers.journal';
/** Bytes of PostgreSQL's log after which its files are brought up to date; nobody else asks it to. */
const LOG_TO_KEEP = 32 * 1024 * 1024;

interface Opening {
  /** A ready-made empty store for a new folder, which saves the seconds that creating one takes. */
  packed?: string | undefined;
  /** Called with PostgreSQL's path of each file that was brought to the disk, for tests of power cuts. */
  synced?: (path: string) => void;
  /** Read every table, even of a store that was stopped in order. */
  check?: boolean;
}

/**
 * Opens the store in a folder that this process then owns alone. What is committed is on the disk itself. Throws a readable error if
 * another process owns the folder or it cannot be written, and StoreDamaged if what lies in it is not whole.
 *
 * @example
 * const db = await openFolder('data', { packed: 'empty-store.tar.gz' });
 */
export async function openFolder(folder: string, { packed, synced, check }: Opening = {}): Promise<Db> {
  await mkdir(folder, { recursive: true }).catch((error: unknown) => throwInWords(error, folder));
  let unlock: () => void;
  try {
    unlock = lockFolder(folder);
  } catch (error) {
    return throwInWords(error, folder);
  }
  let journal: Journal | undefined;
  try {
    journal = await Journal.open(join(folder, JOURNAL));
    if (journal.damaged > 0)
      console.warn(
        `${counted(journal.damaged, 'line')} of ${JOURNAL} cannot be read, as after a fault of the disk. What stood there is in the store alone: make a backup now.`,
      );
    const store = join(folder, STORE);
    if (!holdsStore(store) && packed && existsSync(packed)) await unpackStore(packed, store);
    const pglite = await openStore(store, { synced, check });
    return folderDb(folder, pglite, journal, unlock);
  } catch (error) {
    await journal?.close();
    unlock();
    return throwInWords(error, folder);
  }
}

/**
 * Opens the files of a store. After a crash or a power cut every table is read once, so that damage is found now and not in a lesson; until
 * that has gone well a file beside the store says that it is still to be done.
 */
async function openStore(store: string, { synced, check }: Opening = {}): Promise<PGlite> {
  const held = holdsStore(store);
  if (held && !existsSync(join(store, 'PG_VERSION')))
    // Beginning an empty store here would bury what is left of a whole one, and open the set-up to anyone.
    throw new StoreDamaged(
      `The store in ${store} is not whole: its file PG_VERSION is missing, as after a restore that was broken off.`,
    );
  const toRead = `${store}.to-be-read`;
  if (held && (check || !stoppedInOrder(store))) writeFileSync(toRead, '');
  let pglite: PGlite | undefined;
  try {
    pglite = await PGlite.create({
      ...durable(store, synced),
      pgliteWasmModule: await postgresProgram(),
    });
    if (existsSync(toRead)) await rowsByTable(statements(pglite));
    rmSync(toRead, { force: true });
    return pglite;
  } catch (error) {
    await pglite?.close().catch(() => undefined);
    if (isDiskTrouble(error)) throw error;
    if (isFull(dirname(store))) throw Object.assign(new Error('No room on the disk'), { code: 'ENOSPC' });
    throw new StoreDamaged(`The store in ${store} is damaged and cannot be opened (${firstLine(error)}).`);
  }
}

const WAY_BACK =
  'Nothing in it was touched. Bring it back from the newest backup and the journal of answers with “npm run repair”, which keeps the damaged files beside it.';

function folderDb(folder: string, first: PGlite, journal: Journal, unlock: () => void): Db {
  let now = Promise.resolve(first);
  let copying = false;
  const ask = async <Row>(sql: string) => statements(await now).query<Row>(sql);
  const updateFiles = async () => {
    const [log] = await ask<{ bytes: string }>(
      'select pg_current_wal_lsn() - redo_lsn as bytes from pg_control_checkpoint()',
    );
    // A copy under way needs the log that this would let go of.
    if (!copying && Number(log?.bytes) > LOG_TO_KEEP) await ask('checkpoint');
  };
  const regularly = setInterval(() => void updateFiles().catch(() => undefined), 60_000).unref();
  const files: StoreFiles = {
    folder,
    copyTo: async (target) => {
      if (copying) throw new Error('A copy is being made. Wait until it is done.');
      copying = true;
      try {
        const [from, to] = [join(folder, STORE), join(target, STORE)];
        await mkdir(target, { recursive: true });
        await ask(`select pg_backup_start('hurrow', true)`);
        let label: string;
        try {
          await copyFiles(from, to);
        } finally {
          const [stopped] = await ask<{ labelfile: string }>('select * from pg_backup_stop(false)');
          label = stopped!.labelfile;
        }
        await completeCopy(from, to, label);
        await copyFile(join(folder, JOURNAL), join(target, JOURNAL));
      } finally {
        copying = false;
      }
    },
    replaceBy: async (other) => {
      const held = await now;
      const store = join(folder, STORE);
      const aside = join(folder, `${STORE}.before-${stamp(new Date())}`);
      const change = async () => {
        // Behind everything that is under way.
        await held.transaction(async () => undefined);
        await held.close();
        await rename(store, aside);
        await rename(join(other, STORE), store);
        await bringToDisk(store);
        return openStore(store);
      };
      const changed = change();
      now = changed.catch(async () => {
        if (existsSync(aside)) {
          await rm(store, { recursive: true, force: true });
          await rename(aside, store);
        }
        return openStore(store);
      });
      await changed;
    },
  };
  const close = async () => {
    clearInterval(regularly);
    await (await now).close();
    await journal.close();
    unlock();
  };
  return { ...dbOf(() => now, journal, close), files };
}

/** A moment as part of a file name: 2026-11-27-140512. */
export const stamp = (at: Date): string =>
  at.toISOString().slice(0, 19).replace('T', '-').replaceAll(':', '');

const firstLine = (error: unknown): string =>
  (error instanceof Error ? error.message : String(error)).split('\n')[0]!;

const TROUBLES: Record<string, string> = {
  EACCES: 'may not be written to. Give yourself the right to, or set HURROW_DATA to another folder.',
  EPERM: 'may not be written to. Give yourself the right to, or set HURROW_DATA to another folder.',
  EROFS: 'lies on a disk that can only be read. Set HURROW_DATA to a folder on another disk.',
  ENOSPC: 'lies on a disk that is full. Nothing is lost; make room on the disk and start again.',
  ENOTDIR: 'is a file. Set HURROW_DATA to a folder.',
  EEXIST: 'is a file. Set HURROW_DATA to a folder.',
};

const isDiskTrouble = (error: unknown): boolean =>
  Object.hasOwn(TROUBLES, (error as NodeJS.ErrnoException).code ?? '');

function throwInWords(error: unknown, folder: string): never {
  if (!isDiskTrouble(error)) throw error;
  throw new Error(`The data folder ${folder} ${TROUBLES[(error as NodeJS.ErrnoException).code!]}`);
}
