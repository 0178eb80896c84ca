import type { MeasurementBody } from '@hurrow/contract/grounds';
import type { ItemBody } from '@hurrow/contract/outings';
import type { TreeObservation } from '@hurrow/core/grounds';

/** Something noted outdoors that the server has not got yet. */
export type Noted =
  | { what: 'observation'; groundsId: string; id: string; body: TreeObservation & { note: string } }
  | { what: 'measurement'; groundsId: string; id: string; body: MeasurementBody }
  | { what: 'item'; courseId: string; listId: string; id: string; body: ItemBody }
  | { what: 'noItem'; courseId: string; listId: string; id: string };

/** What is noted with how it stands: `problem` says why the server refused it. */
export interface Waiting {
  noted: Noted;
  version: number;
  problem?: string;
}

export interface FieldState {
  waiting: readonly Waiting[];
  /** What the server has, and the page has not heard of from it yet. */
  arrived: readonly Waiting[];
  offline: boolean;
  /** The server is reached, and does not know who this is any more. */
  signedOut: boolean;
  /** This browser keeps nothing, or has no room left: what waits is lost with the page. */
  unkept: boolean;
}

/** Where texts are kept: as localStorage, which may throw. */
export interface Shelf {
  read(): string | null;
  write(text: string): void;
}

/** What came back of sending: done, refused with why, or not reached. */
export type Sent =
  { sent: 'done' } | { sent: 'refused'; why: string } | { sent: 'unreached' } | { sent: 'signedOut' };

/**
 * What is noted outdoors and waits to be sent: kept on the phone first, sent in its order, once there is a signal, as often as it takes. The
 * ids made here let the server keep each thing once.
 */
export class FieldBox {
  readonly #shelf: Shelf;
  readonly #sendOne: (noted: Noted) => Promise<Sent>;
  readonly #listeners = new Set<() => void>();
  #waiting: readonly Waiting[] = [];
  #arrived: readonly Waiting[] = [];
  #offline = false;
  #signedOut = false;
  #unkept = false;
  #sending = false;
  #shown: FieldState;

  constructor(shelf: Shelf, sendOne: (noted: Noted) => Promise<Sent>) {
    this.#shelf = shelf;
    this.#sendOne = sendOne;
    this.#shown = { waiting: [], arrived: [], offline: false, signedOut: false, unkept: false };
    this.reload();
  }

  subscribe = (listener: () => void): (() => void) => {
    this.#listeners.add(listener);
    return () => this.#listeners.delete(listener);
  };

  snapshot = (): FieldState => this.#shown;

  /** Keeps something and sends it when it can; the same thing noted again takes the place of what waits. */
  async note(noted: Noted): Promise<void> {
    this.#change((waiting) => {
      const at = waiting.findIndex((each) => each.noted.id === noted.id);
      const held = { noted, version: (waiting[at]?.version ?? 0) + 1 };
      return at < 0 ? [...waiting, held] : waiting.with(at, held);
    });
    await this.send();
  }

  /** Gives up what the server refuses. */
  drop(id: string): void {
    this.#change((waiting) => waiting.filter(({ noted }) => noted.id !== id));
  }

  /** Sends what waits, in its order; what was refused stays until it is noted anew or given up. */
  async send(): Promise<void> {
    if (this.#sending) return;
    this.#sending = true;
    try {
      for (;;) {
        const next = this.#waiting.find(({ problem }) => !problem);
        if (!next) break;
        const { noted, version } = next;
        const answer = await this.#sendOne(noted);
        this.#signedOut = answer.sent === 'signedOut';
        this.#offline = answer.sent === 'unreached';
        if (this.#offline || this.#signedOut) break;
        if (answer.sent === 'done') this.#arrived = [...this.#arrived, next];
        this.#change((waiting) =>
          // What was noted anew meanwhile is not settled.
          waiting.flatMap((each) =>
            each.noted.id !== noted.id || each.version !== version
              ? each
              : answer.sent === 'refused'
                ? { ...each, problem: answer.why }
                : [],
          ),
        );
      }
    } finally {
      this.#sending = false;
      this.#tell();
    }
  }

  /** The page has heard of this from the server: it need not be shown from here any more. */
  heard(arrived: readonly Waiting[]): void {
    this.#arrived = this.#arrived.filter((each) => !arrived.includes(each));
    this.#tell();
  }

  /** Reads again what another tab may have written. */
  reload(): void {
    this.#waiting = this.#read();
    this.#tell();
  }

  #read(): readonly Waiting[] {
    try {
      const kept: unknown = JSON.parse(this.#shelf.read() ?? '[]');
      return Array.isArray(kept) ? (kept as Waiting[]) : [];
    } catch {
      return this.#waiting;
    }
  }

  #change(to: (waiting: readonly Waiting[]) => readonly Waiting[]): void {
    // Another tab may have noted something: it is built upon what is kept, unless this browser keeps nothing.
    this.#waiting = to(this.#unkept ? this.#waiting : this.#read());
    try {
      this.#shelf.write(JSON.stringify(this.#waiting));
    } catch {
      this.#unkept = true;
    }
    this.#tell();
  }

  #tell(): void {
    this.#shown = {
      waiting: this.#waiting,
      arrived: this.#arrived,
      offline: this.#offline,
      signedOut: this.#signedOut,
      unkept: this.#unkept,
    };
    this.#listeners.forEach((listener) => listener());
  }
}
