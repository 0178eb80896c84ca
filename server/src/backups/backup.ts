import { existsSync } from 'node:fs';
import { mkdir, mkdtemp, rename, rm } from 'node:fs/promises';
import { join } from 'node:path';
import { conflict } from '../api/problem.ts';
import { say } from '../api/say.ts';
import {
  bringToDisk,
  Journal,
  lockFolder,
  migrate,
  openFolder,
  stamp,
  type Db,
  type Kept,
  type StoreFiles,
} from '../db/index.ts';
import { forgetStations } from '../quizzes/fixed.ts';
import { forgetMarks } from '../quizzes/marking.ts';
import { bringBack } from '../quizzes/receive.ts';
import { forgetLibraries } from '../library/committed.ts';
import { inThread } from '../thread.ts';
import type { BackupNote } from './note.ts';
import { fileName, makeShelf, tidy, type Shelved } from './shelf.ts';
import type { Task } from './worker.ts';

let running: Promise<unknown> | undefined;

const working = (task: Task) => inThread<BackupNote>('backupWorker', task);

/** One at a time. Throws a 409 while another runs. */
async function alone<T>(work: () => Promise<T>): Promise<T> {
  if (running) throw conflict(say`A backup is being made or restored. Wait until it is done.`);
  const done = work();
  running = done.catch(() => undefined).finally(() => (running = undefined));
  return done;
}

/** The files of a store. Throws where it has none. */
export function filesOf(db: Db): StoreFiles {
  if (db.shared)
    throw conflict(
      say`This Hurrow keeps its data on a PostgreSQL server, which is backed up by its own tools: docs/server.md says how.`,
    );
  if (!db.files) throw conflict(say`This Hurrow keeps its data in memory; there is nothing to back up.`);
  return db.files;
}

/**
 * Makes a backup while the store goes on working, opens it, counts its rows, and puts it on the shelf as one file. Backups older than
 * fourteen days go.
 *
 * @example
 * await makeBackup(db.files, 'data/backups', new Date()); // { name: 'hurrow-2026-11-27-140512.hurrow.tar.gz', … }
 */
export const makeBackup = (files: StoreFiles, shelf: string, now: Date): Promise<Omit<Shelved, 'bytes'>> =>
  alone(async () => {
    await makeShelf(shelf);
    const folder = await mkdtemp(join(shelf, '.making-'));
    try {
      await files.copyTo(folder);
      const name = fileName(stamp(now));
      const note = await working({
        do: 'pack',
        folder,
        file: join(shelf, name),
        made: now.toISOString(),
      });
      await tidy(shelf, now);
      return { name, note };
    } finally {
      await rm(folder, { recursive: true, force: true });
    }
  });

/** Unpacks a backup into a new folder beside the store and opens it there. Throws if it is not whole. */
export async function unpackBackup(
  file: string,
  dataFolder: string,
): Promise<{ folder: string; note: BackupNote }> {
  if (!existsSync(file)) throw new Error(`There is no file ${file}. “npm run backups” lists what there is.`);
  const folder = await mkdtemp(join(dataFolder, '.restoring-'));
  return { folder, note: await working({ do: 'unpack', file, folder }) };
}

/**
 * Puts a backup in the place of the store. The store as it was is kept beside it; answers that came after the backup are brought back from
 * the journal; everyone signs in again.
 */
export const restoreBackup = (db: Db, file: string): Promise<{ note: BackupNote; back: number }> =>
  alone(async () => {
    const files = filesOf(db);
    const { folder, note } = await unpackBackup(file, files.folder);
    try {
      await files.replaceBy(folder);
      const journal = join(folder, 'answers.journal');
      if (existsSync(journal)) await db.keep(await rowsIn(journal));
      return { note, back: await settle(db) };
    } finally {
      await rm(folder, { recursive: true, force: true });
    }
  });

/** Brings a store that was just put in place to its newest shape, and answers back that it lacks. Returns their number. */
export async function settle(db: Db): Promise<number> {
  forgetLibraries();
  forgetStations();
  forgetMarks();
  await migrate(db);
  await db.query('delete from session');
  return (await bringBack(db)).back;
}

async function rowsIn(path: string): Promise<Kept[]> {
  const journal = await Journal.open(path);
  const rows = await journal.rows();
  await journal.close();
  return rows;
}

/**
 * Puts a backup in the place of the store of a folder that no Hurrow has open, where there is one, damaged or not: it is kept beside it.
 *
 * @returns what the backup holds, and how many answers that came after it were brought back from the folder's journal
 */
export async function placeBackup(
  dataFolder: string,
  file: string,
): Promise<{ note: BackupNote; back: number }> {
  await mkdir(dataFolder, { recursive: true });
  const unlock = lockFolder(dataFolder);
  let unpacked: Awaited<ReturnType<typeof unpackBackup>>;
  let rows: Kept[] = [];
  try {
    unpacked = await unpackBackup(file, dataFolder);
    const { folder } = unpacked;
    const store = join(dataFolder, 'store');
    if (existsSync(store)) await rename(store, join(dataFolder, `store.before-${stamp(new Date())}`));
    await rename(join(folder, 'store'), store);
    // What the old one was still to be read for.
    await rm(`${store}.to-be-read`, { force: true });
    await bringToDisk(store);
    const journal = join(folder, 'answers.journal');
    if (existsSync(journal)) rows = await rowsIn(journal);
    await rm(folder, { recursive: true, force: true });
  } finally {
    unlock();
  }
  const db = await openFolder(dataFolder);
  try {
    await db.keep(rows);
    return { note: unpacked.note, back: await settle(db) };
  } finally {
    await db.close();
  }
}
