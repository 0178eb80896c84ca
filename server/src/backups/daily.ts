import { existsSync, readdirSync, rmSync } from 'node:fs';
import { rm } from 'node:fs/promises';
import { join } from 'node:path';
import type { StoreFiles } from '../db/index.ts';
import { makeBackup } from './backup.ts';
import { backupsOn } from './shelf.ts';

/** The file with which the command line asks a Hurrow that runs for a backup. */
export const ASKED = '.asked';
const DAY = 86_400_000;
/** A backup is not made while everything else starts. */
const FIRST = 10 * 60_000;

/** Makes a backup each day, and whenever the command line asks for one. Returns what ends it. */
export function keepBackups(files: StoreFiles, shelf: string): () => void {
  removeHalfMade(files.folder, '.restoring-');
  removeHalfMade(shelf, '.making-');
  const said = (error: unknown) =>
    console.error(
      `The backup could not be made (${error instanceof Error ? error.message : String(error)}) Make room on the disk, or set HURROW_BACKUPS to another folder; it is tried again in an hour.`,
    );
  const ifDue = async () => {
    const newest = (await backupsOn(shelf))[0];
    if (newest && Date.now() - Date.parse(newest.note.made) < DAY) return;
    await makeBackup(files, shelf, new Date());
  };
  let asked = false;
  const ifAsked = async () => {
    if (asked || !existsSync(join(shelf, ASKED))) return;
    asked = true;
    try {
      await makeBackup(files, shelf, new Date());
    } finally {
      await rm(join(shelf, ASKED), { force: true });
      asked = false;
    }
  };
  const timers = [
    setInterval(() => void ifAsked().catch(said), 1000),
    setTimeout(() => void ifDue().catch(said), FIRST),
    setInterval(() => void ifDue().catch(said), DAY / 24),
  ];
  for (const timer of timers) timer.unref();
  return () => timers.forEach(clearInterval);
}

/** What was being made when the machine went down. */
function removeHalfMade(folder: string, beginning: string): void {
  if (!existsSync(folder)) return;
  for (const name of readdirSync(folder).filter((found) => found.startsWith(beginning)))
    rmSync(join(folder, name), { recursive: true, force: true });
}
