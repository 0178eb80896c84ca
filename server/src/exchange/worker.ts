import type { Outcome } from '@hurrow/core/outcome';
import type { LibraryAtRevision } from '../species/store.ts';
import { readIncoming, type Incoming } from './incoming.ts';

export interface ReadTask {
  text: string;
  library: LibraryAtRevision;
  sourceId: string;
}

/** Runs in a thread of its own, which never opens the store. */
export default function read({ text, library, sourceId }: ReadTask): Outcome<Incoming> {
  return readIncoming(text, library, sourceId);
}
