import { openDB, type DBSchema, type IDBPDatabase } from 'idb';
import type { Answer } from '@hurrow/core/names';
import { newId } from '../app/newId.ts';

/** An answer as it lies on the phone, and what became of it. */
export interface HeldAnswer {
  id: string;
  student: string;
  stationId: string;
  answer: Answer;
  device: string;
  /** Counts up on the phone over all its tabs, whatever its clock says. */
  sequence: number;
  writtenAt: string;
  state: 'waiting' | 'received' | 'refused';
  /** Why the server will not take it. */
  message?: string;
}

interface Schema extends DBSchema {
  answers: { key: string; value: HeldAnswer; indexes: { student: string } };
  /** By student the name of this phone and how far it has counted; under THIS_PHONE the name that all of them share. */
  phones: { key: string; value: { student: string; device: string; sequence: number } };
}

const THIS_PHONE = '';

/** Answers of one student on this phone, shared by all tabs: IndexedDB lets one tab write at a time. */
export class AnswerStore {
  private readonly db: IDBPDatabase<Schema>;
  private readonly student: string;

  private constructor(db: IDBPDatabase<Schema>, student: string) {
    this.db = db;
    this.student = student;
  }

  /** Rejects where the browser keeps nothing, as in some private windows. */
  static async open(student: string): Promise<AnswerStore> {
    const db = await openDB<Schema>('hurrow-answers', 1, {
      upgrade(made) {
        made.createObjectStore('answers', { keyPath: 'id' }).createIndex('student', 'student');
        made.createObjectStore('phones', { keyPath: 'student' });
      },
    });
    return new AnswerStore(db, student);
  }

  /** Everything that was written here, in the order in which it was written. */
  async all(): Promise<HeldAnswer[]> {
    const held = await this.db.getAllFromIndex('answers', 'student', this.student);
    return held.sort((a, b) => a.sequence - b.sequence);
  }

  /** Writes an answer down under the next number of this phone. Rejects where there is no room. */
  async add(id: string, stationId: string, answer: Answer): Promise<HeldAnswer> {
    const tx = this.db.transaction(['answers', 'phones'], 'readwrite', { durability: 'strict' });
    const phones = tx.objectStore('phones');
    const phone = (await phones.get(this.student)) ?? {
      student: this.student,
      device: `phone-${newId().slice(0, 8)}`,
      sequence: 0,
    };
    const sequence = phone.sequence + 1;
    const item: HeldAnswer = {
      id,
      student: this.student,
      stationId,
      answer,
      device: phone.device,
      sequence,
      writtenAt: new Date().toISOString(),
      state: 'waiting',
    };
    await Promise.all([phones.put({ ...phone, sequence }), tx.objectStore('answers').put(item), tx.done]);
    return item;
  }

  /** A name for this phone, the same for all who sign in on it. */
  async phone(): Promise<string> {
    const tx = this.db.transaction('phones', 'readwrite');
    const held = await tx.store.get(THIS_PHONE);
    const device = held?.device ?? `phone-${newId().slice(0, 8)}`;
    if (!held) await tx.store.put({ student: THIS_PHONE, device, sequence: 0 });
    await tx.done;
    return device;
  }

  /** Answers of others that wait on this phone until they sign in again. */
  async waitingOfOthers(): Promise<number> {
    const all = await this.db.getAll('answers');
    return all.filter(({ student, state }) => student !== this.student && state === 'waiting').length;
  }

  /** Notes what became of answers. What was received or refused before stays so. */
  async settle(outcomes: ReadonlyMap<string, { state: 'received' } | { state: 'refused'; message: string }>) {
    const tx = this.db.transaction('answers', 'readwrite');
    for (const [id, outcome] of outcomes) {
      const held = await tx.store.get(id);
      if (held?.state === 'waiting') await tx.store.put({ ...held, ...outcome });
    }
    await tx.done;
  }

  /** Takes over what an older version of this page kept in another place. */
  async adopt(items: readonly HeldAnswer[]): Promise<void> {
    const tx = this.db.transaction(['answers', 'phones'], 'readwrite');
    const highest = Math.max(0, ...items.map(({ sequence }) => sequence));
    const phone = await tx.objectStore('phones').get(this.student);
    const device = phone?.device ?? items[0]?.device ?? `phone-${newId().slice(0, 8)}`;
    await tx
      .objectStore('phones')
      .put({ student: this.student, device, sequence: Math.max(phone?.sequence ?? 0, highest) });
    for (const item of items) await tx.objectStore('answers').put(item);
    await tx.done;
  }

  close(): void {
    this.db.close();
  }
}
