import type { Outcome } from '@hurrow/core/outcome';
import type { Db } from '../db/index.ts';
import { committedLibrary } from '../species/committed.ts';
import type { LibraryAtRevision } from '../species/store.ts';
import { inThread } from '../thread.ts';
import { readIncoming, type Incoming } from './incoming.ts';
import type { ReadTask } from './worker.ts';

/** Signs from which a file is read in a thread of its own: a smaller one takes less time than the way there. */
const LONG = 200_000;

/** A file, read with the library in a certain state. */
export interface FileRead {
  with: string;
  read: Outcome<Incoming>;
}

/** What reading a file depends on. */
export const stateOf = ({ revision, sources }: LibraryAtRevision): string =>
  JSON.stringify([revision, sources]);

/** The source of what names none. */
export const sourceFor = ({ sourceId }: { sourceId?: string }, library: LibraryAtRevision): string =>
  sourceId ?? library.sources[0]!.id;

/** Reads a file of any format, a long one beside everything else. */
export async function readFile(db: Db, body: { csv: string; sourceId?: string }): Promise<FileRead> {
  const library = await committedLibrary(db);
  const task: ReadTask = { text: body.csv, library, sourceId: sourceFor(body, library) };
  const read =
    body.csv.length < LONG
      ? readIncoming(task.text, library, task.sourceId)
      : await inThread<Outcome<Incoming>>('readingWorker', task);
  return { with: stateOf(library), read };
}
