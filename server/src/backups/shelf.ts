import { existsSync } from 'node:fs';
import { mkdir, readdir, rm, stat } from 'node:fs/promises';
import { join } from 'node:path';
import { Parser } from 'tar';
import { createReadStream } from 'node:fs';
import type { BackupNote } from './note.ts';

/** A backup that lies on the shelf. */
export interface Shelved {
  name: string;
  bytes: number;
  note: BackupNote;
}

/** Days that a backup is kept. */
export const DAYS = 14;

const ENDING = '.hurrow.tar.gz';
const NAME = /^[\w.-]{1,80}\.hurrow\.tar\.gz$/;

/** Where backups lie: the setting HURROW_BACKUPS, best on another disk, or a folder beside the store. */
export const shelfOf = (dataFolder: string, setting = process.env['HURROW_BACKUPS']): string =>
  setting || join(dataFolder, 'backups');

export const fileName = (stamp: string): string => `hurrow-${stamp}${ENDING}`;

/** Is this the name of a backup, and no way to another folder? */
export const isBackupName = (name: string): boolean => NAME.test(name) && !name.startsWith('.');

/** All backups of a shelf, newest first. A file that cannot be read is left out: it is no backup. */
export async function backupsOn(shelf: string): Promise<Shelved[]> {
  if (!existsSync(shelf)) return [];
  const names = (await readdir(shelf)).filter(isBackupName);
  const found = await Promise.all(
    names.map(async (name) => {
      const note = await noteIn(join(shelf, name)).catch(() => undefined);
      return note && { name, bytes: (await stat(join(shelf, name))).size, note };
    }),
  );
  return found.filter((entry) => entry !== undefined).sort((a, b) => b.note.made.localeCompare(a.note.made));
}

/** Takes backups away that are older than DAYS, never the newest three. Returns their names. */
export async function tidy(shelf: string, now: Date): Promise<string[]> {
  const before = new Date(now.getTime() - DAYS * 86_400_000).toISOString();
  const old = (await backupsOn(shelf)).slice(3).filter(({ note }) => note.made < before);
  for (const { name } of old) await rm(join(shelf, name));
  return old.map(({ name }) => name);
}

/** Makes the shelf where there is none. */
export const makeShelf = (shelf: string) => mkdir(shelf, { recursive: true });

/** Reads the note of a backup, which stands at its beginning, without unpacking the rest. */
export function noteIn(file: string): Promise<BackupNote> {
  return new Promise((resolve, reject) => {
    const stream = createReadStream(file);
    const parser = new Parser({
      strict: true,
      onReadEntry: (entry) => {
        const parts: Buffer[] = [];
        entry.on('data', (part: Buffer) => parts.push(part));
        entry.on('end', () => {
          stream.destroy();
          try {
            resolve(JSON.parse(Buffer.concat(parts).toString('utf8')) as BackupNote);
          } catch (error) {
            reject(error instanceof Error ? error : new Error(String(error)));
          }
        });
      },
    });
    parser.on('error', reject);
    parser.on('end', () => reject(new Error('There is no note in it.')));
    stream.on('error', reject);
    stream.pipe(parser);
  });
}
