import { existsSync, readdirSync, readFileSync, statfsSync } from 'node:fs';
import { copyFile, mkdir, readdir, rename, rm, writeFile } from 'node:fs/promises';
import { dirname, join } from 'node:path';
import { extract } from 'tar';
import { sync } from './sync.ts';

/** Where PostgreSQL notes whether it was stopped in order, and the word it then has there. */
const STATE_AT = 16;
const STOPPED_IN_ORDER = 1;

/** Does a folder hold a store, or what is left of one? */
export const holdsStore = (store: string): boolean => existsSync(store) && readdirSync(store).length > 0;

/** Was a store stopped in order? After a crash or a power cut it was not. */
export function stoppedInOrder(store: string): boolean {
  const file = join(store, 'global', 'pg_control');
  return existsSync(file) && readFileSync(file).readUInt32LE(STATE_AT) === STOPPED_IN_ORDER;
}

/** Unpacks a store and brings it to the disk. Beside its place first: what is broken off half-way is no store. */
export async function unpackStore(packed: string, store: string): Promise<void> {
  const beside = `${store}.new`;
  await rm(beside, { recursive: true, force: true });
  await mkdir(beside, { recursive: true });
  try {
    let failed: unknown;
    // That a name began with a stroke is no failure; that a file could not be written is.
    const onwarn = (kind: string, message: string | Error, data: unknown) => {
      const code = (message as NodeJS.ErrnoException).code ?? (data as { code?: string }).code;
      if (kind !== 'TAR_ENTRY_INFO') failed ??= Object.assign(new Error(String(message)), { code });
    };
    await extract({ file: packed, cwd: beside, onwarn });
    if (failed) throw failed as Error;
    await bringToDisk(beside);
    await rename(beside, store);
    await sync(dirname(store));
  } catch (error) {
    await rm(beside, { recursive: true, force: true, maxRetries: 5 });
    throw error;
  }
}

/** Bytes that PostgreSQL needs to open a store: it begins a new file of its log. */
const TO_OPEN = 20 * 1024 * 1024;

/** Is there too little room on the disk of a folder to open a store in it? */
export function isFull(folder: string): boolean {
  const { bavail, bsize } = statfsSync(folder);
  return bavail * bsize < TO_OPEN;
}

/** Brings every file of a folder to the disk, and with it the names in it. */
export async function bringToDisk(folder: string): Promise<void> {
  const entries = await readdir(folder, { recursive: true, withFileTypes: true });
  const paths = entries.map((entry) => join(entry.parentPath, entry.name));
  await inTurns([...paths, folder, dirname(folder)], sync);
}

/** What a copy of a running store has no use for. */
const PASSING = /^(postmaster\.(pid|opts)|pg_wal$|pg_wal\/|pg_stat_tmp\/|pg_replslot\/|base\/pgsql_tmp)/;

/**
 * Copies a store's files one after another while it goes on working. The copy alone is in no order; with `label` and the log that was
 * written meanwhile PostgreSQL brings it into one when it is opened.
 */
export async function copyFiles(store: string, target: string): Promise<void> {
  await copyFolder(store, target, (path) => !PASSING.test(path));
  await mkdir(join(target, 'pg_wal'), { recursive: true });
  await mkdir(join(target, 'pg_replslot'), { recursive: true });
  await mkdir(join(target, 'pg_stat_tmp'), { recursive: true });
}

/** Adds the log and the label, without which the copy would be opened as what it is not. */
export async function completeCopy(store: string, target: string, label: string): Promise<void> {
  await copyFolder(join(store, 'pg_wal'), join(target, 'pg_wal'), () => true);
  await writeFile(join(target, 'backup_label'), label);
}

async function copyFolder(from: string, to: string, wanted: (path: string) => boolean): Promise<void> {
  const entries = await readdir(from, { recursive: true, withFileTypes: true });
  const path = (entry: { parentPath: string; name: string }) =>
    join(entry.parentPath, entry.name)
      .slice(from.length + 1)
      .replaceAll('\\', '/');
  await mkdir(to, { recursive: true });
  for (const folder of entries.filter((entry) => entry.isDirectory()).map(path))
    if (wanted(folder)) await mkdir(join(to, folder), { recursive: true });
  await inTurns(
    entries
      .filter((entry) => entry.isFile())
      .map(path)
      .filter(wanted),
    (file) =>
      copyFile(join(from, file), join(to, file)).catch((error: NodeJS.ErrnoException) => {
        // What the store has meanwhile taken away is not missed.
        if (error.code !== 'ENOENT') throw error;
      }),
  );
}

/** Four at a time: as many as Node gives to files. */
async function inTurns(paths: readonly string[], work: (path: string) => Promise<unknown>): Promise<void> {
  const waiting = [...paths];
  const turn = async () => {
    for (let path = waiting.pop(); path !== undefined; path = waiting.pop()) await work(path);
  };
  await Promise.all(Array.from({ length: 4 }, turn));
}
