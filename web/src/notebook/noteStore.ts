import { openDB, type DBSchema, type IDBPDatabase } from 'idb';
import type { EntryBody } from '@hurrow/contract/notebook';

/** A photograph of an entry that is on this phone. */
export interface HeldPicture {
  id: string;
  blob: Blob;
  sent: boolean;
}

/** An entry as it lies on the phone: being written, waiting to be sent, received, or refused. */
export interface HeldEntry {
  id: string;
  student: string;
  body: EntryBody;
  pictures: HeldPicture[];
  state: 'draft' | 'waiting' | 'kept' | 'refused';
  message?: string;
  /** Counts up with every change, so that what changes while it is sent is sent again. */
  version: number;
  at: string;
}

interface Schema extends DBSchema {
  entries: { key: string; value: HeldEntry; indexes: { student: string } };
}

/** Entries of one student on this phone, kept by the browser at every keystroke. */
export class NoteStore {
  private readonly db: IDBPDatabase<Schema>;
  private readonly student: string;

  private constructor(db: IDBPDatabase<Schema>, student: string) {
    this.db = db;
    this.student = student;
  }

  /** Rejects where the browser keeps nothing, as in some private windows. */
  static async open(student: string): Promise<NoteStore> {
    const db = await openDB<Schema>('hurrow-notebook', 1, {
      upgrade(made) {
        made.createObjectStore('entries', { keyPath: 'id' }).createIndex('student', 'student');
      },
    });
    return new NoteStore(db, student);
  }

  /** In no particular order. */
  all(): Promise<HeldEntry[]> {
    return this.db.getAllFromIndex('entries', 'student', this.student);
  }

  async put(entry: HeldEntry): Promise<void> {
    await this.db.put('entries', entry);
  }

  async drop(id: string): Promise<void> {
    await this.db.delete('entries', id);
  }

  close(): void {
    this.db.close();
  }
}
