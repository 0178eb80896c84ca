import { readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';

/**
 * Makes this process the only owner of a data folder: PGlite itself would let a second one in and lose rows. A lock left by
 * a process that has died is taken over. Returns what gives the folder back.
 */
export function lockFolder(folder: string): () => void {
  const file = join(folder, 'owner.pid');
  for (let attempt = 0; attempt < 2; attempt += 1) {
    try {
      writeFileSync(file, String(process.pid), { flag: 'wx' });
      return () => rmSync(file, { force: true });
    } catch (error) {
      if ((error as NodeJS.ErrnoException).code !== 'EEXIST') throw error;
    }
    const owner = Number(readFileSync(file, 'utf8'));
    if (owner !== process.pid && isAlive(owner))
      throw new Error(
        `The data in ${folder} is in use by process ${owner}. Stop that Hurrow first, or set HURROW_DATA to another folder.`,
      );
    rmSync(file, { force: true });
  }
  throw new Error(`The data in ${folder} could not be locked. Check that the folder can be written to.`);
}

function isAlive(pid: number): boolean {
  if (!Number.isInteger(pid) || pid <= 0) return false;
  try {
    process.kill(pid, 0);
    return true;
  } catch (error) {
    return (error as NodeJS.ErrnoException).code === 'EPERM';
  }
}
