import type { EntryBody } from '@hurrow/contract/notebook';
import { ApiError, call, isProblem } from '../app/api.ts';
import { NoteStore, type HeldEntry } from './noteStore.ts';
import { newId } from '../app/newId.ts';

export interface NoteBoxState {
  entries: readonly HeldEntry[];
  offline: boolean;
  /** This phone keeps nothing, or has no room left: what is written is lost if the page is closed before it is sent. */
  unkept: boolean;
}

const GIVE_UP = 30_000;

/**
 * The notebook of a student on this phone: an entry is kept at every change, sent once it is finished, and sent again until the server has it
 * with all its pictures. The id made here lets the server keep it once.
 */
export class NoteBox {
  readonly student: string;
  private readonly store: NoteStore | undefined;
  private readonly channel: BroadcastChannel | undefined;
  private readonly listeners = new Set<() => void>();
  private entries: readonly HeldEntry[] = [];
  private sending = false;
  private offline = false;
  private unkept: boolean;
  private shown: NoteBoxState;

  private constructor(student: string, store: NoteStore | undefined) {
    this.student = student;
    this.store = store;
    this.unkept = !store;
    this.channel =
      typeof BroadcastChannel === 'undefined' ? undefined : new BroadcastChannel('hurrow-notebook');
    // Another tab has written.
    if (this.channel) this.channel.onmessage = () => void this.reload();
    this.shown = this.state();
  }

  /** Opens what this student noted on this phone; a phone that keeps nothing still sends. */
  static async open(student: string): Promise<NoteBox> {
    const box = new NoteBox(student, await NoteStore.open(student).catch(() => undefined));
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
    this.holds(this.entries.filter((entry) => entry.id !== id));
    await this.written(this.store?.drop(id));
  }

  /** Sends what waits. */
  async send(): Promise<void> {
    if (this.sending) return;
    this.sending = true;
    const tried = new Set<string>();
    try {
      for (;;) {
        const next = this.entries.find(({ id, state }) => state === 'waiting' && !tried.has(id));
        if (!next) break;
        tried.add(next.id);
        await this.sendOne(next);
      }
      this.offline = false;
    } catch {
      this.offline = true;
    } finally {
      this.sending = false;
      this.tell();
    }
  }

  close(): void {
    this.channel?.close();
    this.store?.close();
  }

  /** Rejects where the server is not reached; what it refuses is noted with the entry. */
  private async sendOne({ id, body, pictures, version }: HeldEntry): Promise<void> {
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

  /** What is held is shown at once, whether or not this phone can keep it: of what comes in the same moment nothing is lost. */
  private async put(entry: HeldEntry): Promise<void> {
    this.holds([entry, ...this.entries.filter(({ id }) => id !== entry.id)]);
    await this.written(this.store?.put(entry));
  }

  private async written(writing: Promise<void> | undefined): Promise<void> {
    try {
      await writing;
      this.channel?.postMessage('written');
    } catch {
      this.unkept = true;
      this.tell();
    }
  }

  private async reload(): Promise<void> {
    if (this.store) this.holds(await this.store.all());
  }

  private holds(entries: readonly HeldEntry[]): void {
    this.entries = [...entries].sort(
      (a, b) => b.body.day.localeCompare(a.body.day) || b.at.localeCompare(a.at),
    );
    this.tell();
  }

  private tell(): void {
    this.shown = this.state();
    this.listeners.forEach((listener) => listener());
  }

  private state(): NoteBoxState {
    return { entries: this.entries, offline: this.offline, unkept: this.unkept };
  }
}

/** Without spaces around, which the server would take off. */
const trimmed = (body: EntryBody): EntryBody => ({ ...body, tag: body.tag.trim(), words: body.words.trim() });
