import { t } from '@lingui/core/macro';
import type { Answer } from '@hurrow/core/names';
import { ApiError, call, isProblem } from '../app/api.ts';
import { inSpoken } from '../language/ofServer.ts';
import { AnswerStore, type HeldAnswer } from './answerStore.ts';
import { cleaned } from './cleaned.ts';
import { newId } from '../app/newId.ts';

export type OutboxState = Readonly<{
  waiting: number;
  received: number;
  /** Stations that were answered on this phone, and those whose newest answer the server has. */
  stations: { written: number; received: number };
  /** Answers of other students that wait on this phone. */
  ofOthers: number;
  /** The last try did not reach the server. */
  offline: boolean;
  problem: string | undefined;
  /** This phone keeps nothing, or has no room left: what waits is lost if the page is closed. */
  unkept: boolean;
  refused: { item: HeldAnswer; message: string }[];
}>;

/** Milliseconds after which a request counts as swallowed, and between tries that fail: twice as long each time. */
const GIVE_UP = 20_000;
const FIRST_PAUSE = 2_000;
const LONGEST_PAUSE = 60_000;
/** As many as the server takes at once. */
const BATCH = 200;

/**
 * Answers written on this phone: kept in its storage until the server has acknowledged them, sent again as often as need be. All tabs share
 * one store and one count, so that the answer written last is the one that counts; the id made here lets the server store each one once.
 */
export class Outbox {
  private readonly store: AnswerStore | undefined;
  private readonly channel: BroadcastChannel | undefined;
  /** Whose answers these are: another student on the same phone has others. */
  readonly student: string;
  private items: HeldAnswer[] = [];
  /** Answers that the store could not take: they live as long as this page. */
  private loose: HeldAnswer[] = [];
  private readonly newest = new Map<string, Answer>();
  private readonly listeners = new Set<() => void>();
  private writing: Promise<unknown> = Promise.resolve();
  private sending = false;
  private offline = false;
  private problem: string | undefined;
  private failures = 0;
  private phone: string | undefined;
  private ofOthers = 0;
  private pauseUntil = 0;
  private shown: OutboxState;

  private constructor(student: string, store: AnswerStore | undefined) {
    this.student = student;
    this.store = store;
    this.channel =
      typeof BroadcastChannel === 'undefined' ? undefined : new BroadcastChannel('hurrow-answers');
    if (this.channel) this.channel.onmessage = () => void this.reload();
    this.shown = this.state();
  }

  /** Opens what this student wrote on this phone; a phone that keeps nothing still sends. */
  static async open(student: string): Promise<Outbox> {
    const store = await AnswerStore.open(student).catch(() => undefined);
    if (store) await adoptOlder(student, store);
    const outbox = new Outbox(student, store);
    outbox.phone = await store?.phone().catch(() => undefined);
    outbox.ofOthers = (await store?.waitingOfOthers().catch(() => 0)) ?? 0;
    await outbox.reload();
    return outbox;
  }

  subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  snapshot = (): OutboxState => this.shown;

  /** Writes an answer down and sends it. Resolves when it is kept, or known not to be. */
  async write(stationId: string, answer: Answer): Promise<void> {
    const clean = cleaned(answer);
    this.newest.set(stationId, clean);
    const id = newId();
    this.writing = this.writing.then(() => this.keep(id, stationId, clean));
    await this.writing;
    // Somebody writes: that is a good moment to try, whatever failed before.
    this.pauseUntil = 0;
    await this.send();
  }

  /** The newest answer that this phone wrote to a station, received or not. */
  written(stationId: string): Answer | undefined {
    return this.newest.get(stationId);
  }

  /** How many of some stations were answered on this phone, and of how many the server has the newest answer. */
  where(stationIds: readonly string[]): { written: number; received: number } {
    return stationsOf(this.everything().filter(({ stationId }) => stationIds.includes(stationId)));
  }

  /** Sends what waits, unless it was tried a moment ago. Without a connection it stays and is sent later. */
  async send(atOnce = false): Promise<void> {
    if (this.sending || (!atOnce && performance.now() < this.pauseUntil)) return;
    const batch = this.waiting().slice(0, BATCH);
    if (batch.length === 0) return;
    this.sending = true;
    try {
      const answer = await call(
        'POST /api/sit/responses',
        { body: { responses: batch.map(asSent), ...this.fromHere() } },
        GIVE_UP,
      );
      this.reached();
      const refused = answer.refused.map(async (each) => ({ id: each.id, message: await inSpoken(each) }));
      await this.settle(answer.received, await Promise.all(refused));
    } catch (error) {
      await this.failed(error, batch);
    } finally {
      this.sending = false;
      this.tell();
    }
    const newer = this.waiting().some(({ id }) => !batch.some((sent) => sent.id === id));
    if (newer && !this.offline) await this.send();
  }

  /** Stops listening to other tabs. */
  close(): void {
    this.channel?.close();
    this.store?.close();
  }

  /** Which phone sends, and what its clock says: so that the instructor learns of one that is lent, or whose clock is wrong. */
  private fromHere = () => ({
    ...(this.phone ? { phone: this.phone } : {}),
    sentAt: new Date().toISOString(),
  });

  private async keep(id: string, stationId: string, answer: Answer): Promise<void> {
    try {
      if (!this.store) throw new Error('nothing is kept here');
      await this.store.add(id, stationId, answer);
      await this.reload();
      this.channel?.postMessage('written');
    } catch {
      const sequence = 1 + Math.max(0, ...[...this.items, ...this.loose].map((item) => item.sequence));
      const device = this.items[0]?.device ?? this.loose[0]?.device ?? `page-${id.slice(0, 8)}`;
      const writtenAt = new Date().toISOString();
      this.loose.push({
        id,
        student: this.student,
        stationId,
        answer,
        device,
        sequence,
        writtenAt,
        state: 'waiting',
      });
      this.tell();
    }
  }

  private async settle(received: readonly string[], refused: readonly { id: string; message: string }[]) {
    const outcomes = new Map<string, { state: 'received' } | { state: 'refused'; message: string }>([
      ...received.map((id) => [id, { state: 'received' as const }] as const),
      ...refused.map(({ id, message }) => [id, { state: 'refused' as const, message }] as const),
    ]);
    this.loose = this.loose.map((item) => ({ ...item, ...outcomes.get(item.id) }));
    await this.store?.settle(outcomes);
    await this.reload();
    this.channel?.postMessage('settled');
  }

  private reached(): void {
    this.offline = false;
    this.problem = undefined;
    this.failures = 0;
    this.pauseUntil = 0;
  }

  private async failed(error: unknown, batch: readonly HeldAnswer[]): Promise<void> {
    this.offline = !(error instanceof ApiError) || error.code === 'offline';
    this.problem = this.offline ? undefined : (error as Error).message;
    this.failures += 1;
    this.pauseUntil = performance.now() + Math.min(LONGEST_PAUSE, FIRST_PAUSE * 2 ** (this.failures - 1));
    const final = isProblem(error, 'missing', 'conflict', 'late', 'invalid');
    // One answer alone is refused for good; of several the server says of each what becomes of it.
    if (final && batch.length === 1)
      await this.settle([], [{ id: batch[0]!.id, message: (error as Error).message }]);
  }

  private async reload(): Promise<void> {
    this.items = (await this.store?.all()) ?? [];
    for (const { stationId, answer } of this.items) this.newest.set(stationId, answer);
    for (const { stationId, answer } of this.loose) this.newest.set(stationId, answer);
    this.tell();
  }

  private everything = (): HeldAnswer[] => [...this.items, ...this.loose];

  private waiting = (): HeldAnswer[] => this.everything().filter(({ state }) => state === 'waiting');

  private tell(): void {
    this.shown = this.state();
    this.listeners.forEach((listener) => listener());
  }

  private state(): OutboxState {
    const all = this.everything();
    return {
      waiting: all.filter(({ state }) => state === 'waiting').length,
      received: all.filter(({ state }) => state === 'received').length,
      stations: stationsOf(all),
      ofOthers: this.ofOthers,
      offline: this.offline,
      problem: this.problem,
      unkept: this.loose.some(({ state }) => state === 'waiting'),
      refused: all.flatMap((item) =>
        item.state === 'refused' ? [{ item, message: item.message ?? t`It was not taken.` }] : [],
      ),
    };
  }
}

/** Of several answers to a station the newest says whether it is received. */
function stationsOf(items: readonly HeldAnswer[]): { written: number; received: number } {
  const newest = new Map<string, HeldAnswer>();
  for (const item of items) {
    const held = newest.get(item.stationId);
    if (!held || item.sequence >= held.sequence) newest.set(item.stationId, item);
  }
  const all = [...newest.values()];
  return { written: all.length, received: all.filter(({ state }) => state === 'received').length };
}

const asSent = ({ id, stationId, answer, device, sequence, writtenAt }: HeldAnswer) => ({
  id,
  stationId,
  answer,
  device,
  sequence,
  writtenAt,
});

/** What the page kept before it had a store that tabs share. */
interface Older {
  device: string;
  waiting: Omit<HeldAnswer, 'student' | 'state'>[];
  refused: { item: Omit<HeldAnswer, 'student' | 'state'>; message: string }[];
}

async function adoptOlder(student: string, store: AnswerStore): Promise<void> {
  const key = `hurrow.outbox.${student}`;
  const text = localStorage.getItem(key);
  if (!text) return;
  try {
    const { waiting, refused } = JSON.parse(text) as Older;
    await store.adopt([
      ...waiting.map((item) => ({ ...item, student, state: 'waiting' as const })),
      ...refused.map(({ item, message }) => ({ ...item, student, state: 'refused' as const, message })),
    ]);
    localStorage.removeItem(key);
  } catch {
    // What cannot be read stays where it is; it keeps nobody from answering.
  }
}
