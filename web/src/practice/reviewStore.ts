import { openDB, type DBSchema, type IDBPDatabase } from 'idb';
import type { PracticePack, ReviewBody } from '@hurrow/contract/practice';
import { newId } from '../app/newId.ts';

/** An answer on this phone, and whether the server has it. */
export interface HeldReview extends ReviewBody {
  studentId: string;
  sent: boolean;
}

/** What a phone was given to practice with, and how far the server's clock is ahead of its own, milliseconds. */
export interface HeldPack {
  studentId: string;
  pack: PracticePack;
  ahead: number;
}

interface Schema extends DBSchema {
  packs: { key: string; value: HeldPack };
  reviews: { key: string; value: HeldReview; indexes: { student: string } };
  phones: { key: string; value: { studentId: string; device: string; sequence: number } };
}

/** Practice of one student on this phone, shared by all tabs. Answers lie under the student's id, whatever the course is called. */
export class ReviewStore {
  private readonly db: IDBPDatabase<Schema>;
  private readonly studentId: string;

  private constructor(db: IDBPDatabase<Schema>, studentId: string) {
    this.db = db;
    this.studentId = studentId;
  }

  /** Rejects where the browser keeps nothing. */
  static async open(studentId: string): Promise<ReviewStore> {
    const db = await openDB<Schema>('hurrow-practice', 1, {
      upgrade(made) {
        made.createObjectStore('packs', { keyPath: 'studentId' });
        made.createObjectStore('reviews', { keyPath: 'id' }).createIndex('student', 'studentId');
        made.createObjectStore('phones', { keyPath: 'studentId' });
      },
    });
    return new ReviewStore(db, studentId);
  }

  pack(): Promise<HeldPack | undefined> {
    return this.db.get('packs', this.studentId);
  }

  async keepPack(pack: PracticePack, ahead: number): Promise<void> {
    await this.db.put('packs', { studentId: this.studentId, pack, ahead });
  }

  /** In the order in which they were given. */
  async reviews(): Promise<HeldReview[]> {
    const all = await this.db.getAllFromIndex('reviews', 'student', this.studentId);
    return all.sort((a, b) => a.sequence - b.sequence);
  }

  /** Writes an answer down under the next number of this phone. Rejects where there is no room. */
  async add(review: Omit<ReviewBody, 'device' | 'sequence'>): Promise<HeldReview> {
    const { studentId } = this;
    const tx = this.db.transaction(['reviews', 'phones'], 'readwrite');
    const phones = tx.objectStore('phones');
    const phone = (await phones.get(studentId)) ?? {
      studentId,
      device: `phone-${newId().slice(0, 8)}`,
      sequence: 0,
    };
    const sequence = phone.sequence + 1;
    const held: HeldReview = {
      ...review,
      device: phone.device,
      sequence,
      studentId,
      sent: false,
    };
    await Promise.all([phones.put({ ...phone, sequence }), tx.objectStore('reviews').put(held), tx.done]);
    return held;
  }

  /** The server has these. */
  async markSent(ids: readonly string[]): Promise<void> {
    const tx = this.db.transaction('reviews', 'readwrite');
    for (const id of ids) {
      const held = await tx.store.get(id);
      if (held) await tx.store.put({ ...held, sent: true });
    }
    await tx.done;
  }

  /** Forgets answers that the server tells by itself. */
  async drop(ids: readonly string[]): Promise<void> {
    const tx = this.db.transaction('reviews', 'readwrite');
    for (const id of ids) await tx.store.delete(id);
    await tx.done;
  }

  close(): void {
    this.db.close();
  }
}
