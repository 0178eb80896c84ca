import type { Kept } from './journal.ts';

/** What processes on one store tell each other: about what anything was changed, of which quiz answers came, which job went on. */
export type Channel = 'changed' | 'answers' | 'job';

/** The one door to the store: plain SQL with $1 parameters, the same on PGlite and on a PostgreSQL server. */
export interface Db {
  query<Row>(sql: string, parameters?: unknown[]): Promise<Row[]>;
  /** All of it or nothing; nested calls join the outer transaction. */
  transaction<T>(work: (tx: Db) => Promise<T>): Promise<T>;
  /** Several statements without parameters, for migrations. */
  script(sql: string): Promise<void>;
  /** Resolves when rows that people cannot repeat are on the disk itself; inside a transaction they are written when it has ended well. */
  keep(rows: readonly Kept[]): Promise<void>;
  /** All rows that were ever kept, oldest first; none in memory. */
  kept<Row extends Kept>(): Promise<Row[]>;
  /** Takes rows out of what was kept, for good. */
  strike(ids: readonly string[]): Promise<void>;
  /** Tells every process that works on this store; inside a transaction they are told when it has ended well. */
  tell(channel: Channel, about: string): Promise<void>;
  /**
   * Calls back with each message, this process's own too, and without one where some may have been missed. Returns what stops it.
   */
  hear(channel: Channel, listener: (about?: string) => void): () => void;
  /** Runs work that no two processes may do at the same time; the second waits. */
  alone<T>(name: string, work: () => Promise<T>): Promise<T>;
  /** Whether other processes may work on it, too: a folder has one owner, a server any number. */
  shared: boolean;
  close(): Promise<void>;
  /** The files of a store that lies in a folder of this machine; none in memory. */
  files?: StoreFiles;
}

/** What can be done with a store as files. */
export interface StoreFiles {
  /** The data folder, in which the store and the journal lie. */
  folder: string;
  /**
   * Copies store and journal into a new folder while others go on reading and writing. All that was acknowledged before the call is in the
   * copy, which opens like a store after a power cut.
   */
  copyTo(folder: string): Promise<void>;
  /** Puts the store that lies in another data folder in place of this one, which is kept beside it. Whoever asks meanwhile waits. */
  replaceBy(folder: string): Promise<void>;
}

/** The single row of a query that must find one. Throws if it finds none. */
export function only<Row>(rows: Row[]): Row {
  const row = rows[0];
  if (row === undefined) throw new Error('A query that must return a row returned none');
  return row;
}
