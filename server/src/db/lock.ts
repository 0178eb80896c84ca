import { closeSync, ftruncateSync, openSync, readFileSync, rmSync, writeSync } from 'node:fs';
import { hostname } from 'node:os';
import { join } from 'node:path';
import { tryLock, unlock } from 'fs-native-extensions';

/** Another Hurrow has the folder. */
export class FolderInUse extends Error {}

/**
 * Makes this process the only owner of a data folder: PGlite itself would let a second one in and lose rows. The operating system holds
 * the lock and lets go of it when the process ends, however it ends; it is seen from other containers, too, where process numbers mean
 * nothing. What stands in the file is only for people to read.
 *
 * @returns what gives the folder back
 * @example
 * const unlock = lockFolder('data'); // throws “The data in data is in use by …” where another Hurrow has it
 */
export function lockFolder(folder: string): () => void {
  const file = join(folder, 'owner.lock');
  const handle = openSync(file, 'a+');
  if (!tryLock(handle)) {
    closeSync(handle);
    throw new FolderInUse(
      `The data in ${folder} is in use by ${ownerIn(file)}. Stop that Hurrow first, or set HURROW_DATA to another folder.`,
    );
  }
  ftruncateSync(handle);
  writeSync(handle, `process ${process.pid} on ${hostname()}, since ${new Date().toISOString()}\n`);
  // Left by versions that held a folder by a process number.
  rmSync(join(folder, 'owner.pid'), { force: true });
  return () => {
    unlock(handle);
    closeSync(handle);
  };
}

/** Who has the lock, in the words of its file. Some systems let nobody read a locked file. */
function ownerIn(file: string): string {
  try {
    return readFileSync(file, 'utf8').trim() || 'another Hurrow';
  } catch {
    return 'another Hurrow';
  }
}
