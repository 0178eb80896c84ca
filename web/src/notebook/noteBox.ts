import type { EntryBody } from '@hurrow/contract/notebook';
import { ApiError, call, isProblem } from '../app/api.ts';
import { NoteStore, type HeldEntry } from './noteStore.ts';
import { newId } from '../app/newId.ts';

export interface NoteBoxState {
  entries: readonly HeldEntry[];
  offline: boolean;
  /** This phone keeps nothing: what is written is lost if the page is closed before it is sent. */
  unkept: boolean;
}

const GIVE_UP = 30_000;

/** The store of a browser that has none: as long as the page lives. */
class Loose {
  private readonly held = new Map<string, HeldEntry>();
  all = (): Promise<HeldEntry[]> => Promise.resolve([...this.held.values()].reverse());
  put = (entry: HeldEntry): Promise<void> => Promise.resolve(void this.held.set(entry.id, entry));
  drop = (id: string): Promise<void> => Promise.resolve(void this.held.delete(id));
  close(): void {
    this.held.clear();
  }
}

/**
 * The notebook of a student on this phone: an entry is kept at every change, sent once it is finished, and sent again until the server has it
 * with all its pictures. The id made here lets the server keep it once.
 */
export class NoteBox {
  readonly student: string;
  private readonly store: NoteStore | Loose;
  private readonly listeners = new Set<() => void>();
  private entries: HeldEntry[] = [];
  private sending = false;
  private offline = false;
  private shown: NoteBoxState;

  private constructor(student: string, store: NoteStore | Loose) {
    this.student = student;
    this.store = store;
    this.shown = this.state();
  }

  static async open(student: string): Promise<NoteBox> {
    const box = new NoteBox(student, await NoteStore.open(student).catch(() => new Loose()));
    await box.reload();
    return box;
  }

  subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  snapshot = (): NoteBoxState => this.shown;

  find = (id: string): HeldEntry | undefined => this.entries.find((entry) => entry.id === id);

  /** Keeps an entry as it stands; `pictures` are added to those it has. */
  async keep(id: string, body: EntryBody, pictures: readonly Blob[] = []): Promise<void> {
    const before = this.find(id);
    await this.put({
      id,
      student: this.student,
      body,
      pictures: [
        ...(before?.pictures ?? []),
        ...pictures.map((blob) => ({ id: newId(), blob, sent: false })),
      ],
      state: 'draft',
      version: (before?.version ?? 0) + 1,
      at: before?.at ?? new Date().toISOString(),
    });
  }

  /** Takes a picture out that was not sent yet. */
  async dropPicture(id: string, pictureId: string): Promise<void> {
    const held = this.find(id);
    if (held)
      await this.put({ ...held, pictures: held.pictures.filter((picture) => picture.id !== pictureId) });
  }

  /** An entry is finished: it is sent now, or when there is a signal. */
  async finish(id: string): Promise<void> {
    const held = this.find(id);
    if (!held) return;
    const { message: _message, ...rest } = held;
    await this.put({ ...rest, state: 'waiting' });
    await this.send();
  }

  /** Forgets what this phone holds of an entry. */
  async drop(id: string): Promise<void> {
    await this.store.drop(id);
    await this.reload();
  }

  /** Sends what waits. */
  async send(): Promise<void> {
    if (this.sending) return;
    this.sending = true;
    try {
      for (const { id } of this.entries.filter(({ state }) => state === 'waiting')) await this.sendOne(id);
      this.offline = false;
    } catch {
      this.offline = true;
    } finally {
      this.sending = false;
      this.tell();
    }
  }

  close(): void {
    this.store.close();
  }

  /** Rejects where the server is not reached; what it refuses is noted with the entry. */
  private async sendOne(id: string): Promise<void> {
    const { body, pictures, version } = this.find(id)!;
    try {
      await call(
        'PUT /api/sit/notebook/{entryId}',
        { params: { entryId: id }, body: trimmed(body) },
        GIVE_UP,
      );
      for (const { id: pictureId, blob, sent } of pictures) {
        if (sent) continue;
        await call(
          'POST /api/sit/notebook/{entryId}/pictures/{pictureId}',
          { params: { entryId: id, pictureId }, body: blob },
          GIVE_UP,
        );
        const now = this.find(id);
        if (now)
          await this.put({
            ...now,
            pictures: now.pictures.map((one) => (one.id === pictureId ? { ...one, sent: true } : one)),
          });
      }
    } catch (error) {
      if (!(error instanceof ApiError) || !isProblem(error, 'invalid', 'missing', 'conflict', 'tooLarge'))
        throw error;
      await this.settle(id, version, 'refused', error.message);
      return;
    }
    await this.settle(id, version, 'kept');
  }

  /** What changed in the meantime is not settled. */
  private async settle(id: string, version: number, state: 'kept' | 'refused', message?: string) {
    const now = this.find(id);
    if (now?.version === version) await this.put({ ...now, state, ...(message ? { message } : {}) });
  }

  private async put(entry: HeldEntry): Promise<void> {
    await this.store.put(entry);
    await this.reload();
  }

  private async reload(): Promise<void> {
    this.entries = await this.store.all();
    this.tell();
  }

  private tell(): void {
    this.shown = this.state();
    this.listeners.forEach((listener) => listener());
  }

  private state(): NoteBoxState {
    return { entries: this.entries, offline: this.offline, unkept: this.store instanceof Loose };
  }
}

/** Without spaces around, which the server would take off. */
const trimmed = (body: EntryBody): EntryBody => ({ ...body, tag: body.tag.trim(), words: body.words.trim() });
