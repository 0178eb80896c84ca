import { open, readFile, rename, rm, writeFile } from 'node:fs/promises';
import { createReadStream, readdirSync } from 'node:fs';
import { join } from 'node:path';
import { pipeline } from 'node:stream/promises';
import { createGunzip } from 'node:zlib';
import { PGlite } from '@electric-sql/pglite';
import { create, extract } from 'tar';
import { statements } from '../db/pglite.ts';
import { differing, noteOf, type BackupNote } from './note.ts';

export const NOTE = 'backup.json';

export type Task =
  { do: 'pack'; folder: string; file: string; made: string } | { do: 'unpack'; file: string; folder: string };

/** Opens backups, packs and unpacks them, in a thread of its own: others are not kept waiting. */
export default function work(task: Task): Promise<BackupNote> {
  return task.do === 'pack' ? pack(task) : unpack(task);
}

/** Opens the copy of a store, which brings it into order, counts what it holds, and packs it into one file that is on the disk. */
async function pack({ folder, file, made }: Extract<Task, { do: 'pack' }>): Promise<BackupNote> {
  const note = await opened(join(folder, 'store'), new Date(made));
  await writeFile(join(folder, NOTE), JSON.stringify(note, null, 2));
  const part = `${file}.part`;
  // The note first, so that reading it does not read the rest.
  const rest = readdirSync(folder).filter((name) => name !== NOTE);
  await create({ gzip: { level: 4 }, cwd: folder, file: part }, [NOTE, ...rest]);
  const handle = await open(part, 'r+');
  await handle.sync();
  await handle.close();
  await rename(part, file);
  return note;
}

/** Unpacks a backup, opens it and holds it against its own note. Throws if it is not what it says. */
async function unpack({ file, folder }: Extract<Task, { do: 'unpack' }>): Promise<BackupNote> {
  try {
    // Read to its end first: what is cut off is found before anything is unpacked.
    await pipeline(createReadStream(file), createGunzip(), async (parts) => {
      for await (const part of parts) void part;
    });
    await extract({ file, cwd: folder, strict: true });
    const note = JSON.parse(await readFile(join(folder, NOTE), 'utf8')) as BackupNote;
    const found = await opened(join(folder, 'store'), new Date(note.made));
    const wrong = differing(note, found);
    if (wrong.length > 0) throw new Error(`its ${wrong.join(', ')} hold other numbers of rows than it says`);
    return note;
  } catch (error) {
    await rm(folder, { recursive: true, force: true, maxRetries: 5 });
    const why = error instanceof Error ? error.message.split('\n')[0] : String(error);
    throw new Error(`This backup is not whole (${why}). Nothing was changed; choose an older one.`);
  }
}

async function opened(store: string, made: Date): Promise<BackupNote> {
  const pglite = await PGlite.create(store);
  try {
    return await noteOf(statements(pglite), made);
  } finally {
    await pglite.close();
  }
}
