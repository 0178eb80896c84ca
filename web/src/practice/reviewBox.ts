import type { PracticePack, ReviewBody } from '@hurrow/contract/practice';
import { call, isProblem } from '../app/api.ts';
import { newId } from '../app/newId.ts';
import { beingKept, leftOver } from './beingKept.ts';
import { ReviewStore, type HeldReview } from './reviewStore.ts';

export type ReviewState = Readonly<{
  pack: PracticePack | undefined;
  /** Milliseconds that the server's clock is ahead. */
  ahead: number;
  /** Answers on this phone that the server does not have yet. */
  waiting: number;
  offline: boolean;
  /** This phone keeps nothing: what is answered is lost if the page is closed before it is sent. */
  unkept: boolean;
  problem: string | undefined;
}>;

const GIVE_UP = 20_000;
/** As many as the server takes at once. */
const BATCH = 500;

/** A student's practice on this phone: what there is to practice, and the answers, kept until the server has them and sent in their order. */
export class ReviewBox {
  readonly studentId: string;
  private readonly store: ReviewStore | undefined;
  private readonly listeners = new Set<() => void>();
  private held: HeldReview[] = [];
  private sending = false;
  /** What there is to practice was asked for, and could not be had. */
  private missed = false;
  private asking = false;
  private shown: ReviewState;

  private constructor(studentId: string, store: ReviewStore | undefined) {
    this.studentId = studentId;
    this.store = store;
    this.shown = {
      pack: undefined,
      ahead: 0,
      waiting: 0,
      offline: false,
      unkept: !store,
      problem: undefined,
    };
  }

  static async open(studentId: string): Promise<ReviewBox> {
    const box = new ReviewBox(studentId, await ReviewStore.open(studentId).catch(() => undefined));
    box.held = (await box.store?.reviews()) ?? [];
    const ids = new Set(box.held.map(({ id }) => id));
    for (const review of leftOver(studentId)) {
      if (ids.has(review.id)) beingKept(studentId, review)();
      else await box.keep(review);
    }
    const { pack, ahead = 0 } = (await box.store?.pack()) ?? {};
    box.tell({ pack, ahead });
    return box;
  }

  subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  snapshot = (): ReviewState => this.shown;

  /** Now, by the server's clock. */
  now = (): number => Date.now() + this.shown.ahead;

  /** All answers that are known of, the server's and those on this phone, in their order. */
  answers(): Pick<ReviewBody, 'id' | 'cardId' | 'rating' | 'named' | 'tookMs' | 'at'>[] {
    const told = this.shown.pack?.reviews ?? [];
    const ids = new Set(told.map(({ id }) => id));
    return [...told, ...this.held.filter(({ id }) => !ids.has(id))];
  }

  /** Asks the server for what there is to practice; without a signal what the phone has along stays. */
  async refresh(): Promise<void> {
    this.asking = true;
    await this.send();
    try {
      const asked = Date.now();
      const pack = await call('GET /api/practice', {}, GIVE_UP);
      const ahead = Math.round(pack.now - (asked + Date.now()) / 2);
      await this.store?.keepPack(pack, ahead).catch(() => undefined);
      const told = new Set(pack.reviews.map(({ id }) => id));
      const known = this.held.filter(({ id }) => told.has(id)).map(({ id }) => id);
      this.held = this.held.filter(({ id }) => !told.has(id));
      await this.store?.drop(known).catch(() => undefined);
      this.missed = false;
      this.tell({ pack, ahead, offline: false, problem: undefined });
    } catch (error) {
      this.missed = !isProblem(error, 'forbidden');
      // Closed by the instructor: it says so, and what is along is not practiced with.
      if (isProblem(error, 'forbidden')) this.tell({ problem: (error as Error).message });
      else this.tell({ offline: true });
    } finally {
      this.asking = false;
    }
  }

  /** Tries once more what did not come through: what waits is sent, and what there is to practice asked for, if it could not be had. */
  async again(): Promise<void> {
    if (!this.missed) return this.send();
    // A slow answer is waited for, not asked for twice.
    if (!this.asking) await this.refresh();
  }

  /** Writes an answer down; it is sent when it can be. */
  add(review: Omit<ReviewBody, 'id' | 'device' | 'sequence'>): Promise<void> {
    return this.keep({ ...review, id: newId() });
  }

  private async keep(review: Omit<ReviewBody, 'device' | 'sequence'>): Promise<void> {
    const done = this.store && beingKept(this.studentId, review);
    const loose = (): HeldReview => ({
      ...review,
      device: 'loose',
      sequence: this.held.length,
      studentId: this.studentId,
      sent: false,
    });
    const kept = await this.store?.add(review).catch(() => undefined);
    this.held = [...this.held, kept ?? loose()];
    if (kept) done?.();
    this.tell(kept ? {} : { unkept: true });
  }

  /** Sends what waits, in order, some hundreds at a time. */
  async send(): Promise<void> {
    if (this.sending) return;
    this.sending = true;
    try {
      for (;;) {
        const batch = this.held.filter(({ sent }) => !sent).slice(0, BATCH);
        if (batch.length === 0) break;
        const reviews = batch.map(({ studentId: _studentId, sent: _sent, ...body }) => body);
        const { received } = await call('POST /api/practice/reviews', { body: { reviews } }, GIVE_UP);
        const got = new Set(received);
        await this.store?.markSent(received).catch(() => undefined);
        this.held = this.held.map((each) => (got.has(each.id) ? { ...each, sent: true } : each));
        this.tell({ offline: false });
        // What the server will not take is not sent for ever.
        if (received.length === 0) break;
      }
    } catch {
      this.tell({ offline: true });
    } finally {
      this.sending = false;
    }
  }

  close(): void {
    this.store?.close();
  }

  private tell(change: Partial<ReviewState>): void {
    this.shown = {
      ...this.shown,
      ...change,
      waiting: this.held.filter(({ sent }) => !sent).length,
    };
    this.listeners.forEach((listener) => listener());
  }
}
