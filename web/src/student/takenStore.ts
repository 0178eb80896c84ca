import { openDB, type DBSchema, type IDBPDatabase } from 'idb';
import type { Session } from '@hurrow/contract/session';
import type { Sitting } from '@hurrow/contract/sitting';

/** What this phone was told last, and when by its own clock. */
export interface Taken {
  session: Session;
  sitting?: Sitting;
  /** Milliseconds that the server's clock is ahead of this phone's. */
  ahead: number;
}

interface Schema extends DBSchema {
  /** One student at a time: whoever signs in takes the place of the one before. */
  taken: { key: 'now'; value: Taken };
  pictures: { key: string; value: Blob };
}

/** What a student has along where there is no signal: who they are, their open quizzes, and the pictures of their stations. */
export class TakenStore {
  private readonly db: IDBPDatabase<Schema>;

  private constructor(db: IDBPDatabase<Schema>) {
    this.db = db;
  }

  /** Rejects where the browser keeps nothing, as in some private windows. */
  static async open(): Promise<TakenStore> {
    const db = await openDB<Schema>('hurrow-taken', 1, {
      upgrade(made) {
        made.createObjectStore('taken');
        made.createObjectStore('pictures');
      },
    });
    return new TakenStore(db);
  }

  read(): Promise<Taken | undefined> {
    return this.db.get('taken', 'now');
  }

  /** Who is signed in. Another one than before leaves nothing of the one before behind. */
  async signedIn(session: Session): Promise<void> {
    const before = await this.read();
    if (before && before.session.who?.id !== session.who?.id) await this.leave();
    const { sitting, ahead = 0 } = (await this.read()) ?? {};
    await this.db.put('taken', { session, ahead, ...(sitting ? { sitting } : {}) }, 'now');
  }

  /** What the server told, and how far its clock is ahead. It belongs to whoever is signed in; nothing is kept where nobody is. */
  async told(sitting: Sitting, ahead: number): Promise<void> {
    const before = await this.read();
    if (before) await this.db.put('taken', { ...before, sitting, ahead }, 'now');
  }

  picture(stationId: string): Promise<Blob | undefined> {
    return this.db.get('pictures', stationId);
  }

  async pictures(): Promise<string[]> {
    return this.db.getAllKeys('pictures');
  }

  async keepPicture(stationId: string, picture: Blob): Promise<void> {
    await this.db.put('pictures', picture, stationId);
  }

  async dropPictures(stationIds: readonly string[]): Promise<void> {
    for (const id of stationIds) await this.db.delete('pictures', id);
  }

  /** Signed out: nothing of the quiz stays. Answers lie elsewhere and are kept. */
  async leave(): Promise<void> {
    await this.db.clear('taken');
    await this.db.clear('pictures');
  }
}

let opened: Promise<TakenStore | undefined> | undefined;

/** The store of this phone; nothing where the browser keeps none. */
export const takenStore = (): Promise<TakenStore | undefined> =>
  (opened ??= TakenStore.open().catch(() => undefined));
