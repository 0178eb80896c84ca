import type { Answer } from '@hurrow/core/names';
import { ApiError, post } from '../app/api.ts';

/** An answer on this phone, as it is sent. */
export interface Outgoing {
  id: string;
  stationId: string;
  answer: Answer;
  device: string;
  sequence: number;
  writtenAt: string;
}

interface Kept {
  device: string;
  sequence: number;
  waiting: Outgoing[];
  /** The newest answer to each station that was written here. */
  written: Record<string, Answer>;
  /** How many the server acknowledged. */
  received: number;
  /** Answers that the server will not take, with its reason; they stay here. */
  refused: { item: Outgoing; message: string }[];
}

export type OutboxState = Readonly<{
  waiting: number;
  received: number;
  offline: boolean;
  problem: string | undefined;
  refused: Kept['refused'];
}>;

/**
 * Answers written on this phone: kept in its storage until the server has acknowledged them, sent again as often as need be.
 * The id made here lets the server store each one once.
 */
export class Outbox {
  private kept: Kept;
  private readonly key: string;
  private listeners = new Set<() => void>();
  private sending = false;
  private offline = false;
  private problem: string | undefined;
  private shown: OutboxState;

  constructor(student: string) {
    this.key = `hurrow.outbox.${student}`;
    const held = localStorage.getItem(this.key);
    this.kept = held
      ? (JSON.parse(held) as Kept)
      : {
          device: `phone-${crypto.randomUUID().slice(0, 8)}`,
          sequence: 0,
          waiting: [],
          written: {},
          received: 0,
          refused: [],
        };
    this.shown = this.state();
  }

  subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  snapshot = (): OutboxState => this.shown;

  /** Writes an answer down; a later answer to the same station replaces one that has not been sent yet. */
  write(stationId: string, answer: Answer): void {
    const { device } = this.kept;
    const item: Outgoing = {
      id: crypto.randomUUID(),
      stationId,
      answer,
      device,
      sequence: this.kept.sequence + 1,
      writtenAt: new Date().toISOString(),
    };
    const others = this.sending
      ? this.kept.waiting
      : this.kept.waiting.filter((held) => held.stationId !== stationId);
    this.keep({
      ...this.kept,
      sequence: item.sequence,
      waiting: [...others, item],
      written: { ...this.kept.written, [stationId]: answer },
    });
    void this.send();
  }

  /** The newest answer that this phone wrote to a station, received or not. */
  written(stationId: string): Answer | undefined {
    return this.kept.written[stationId];
  }

  /** Sends what waits. Without a connection it stays and is sent later. */
  async send(): Promise<void> {
    if (this.sending || this.kept.waiting.length === 0) return;
    this.sending = true;
    const batch = this.kept.waiting;
    try {
      const answer = await post<{ received: string[]; refused: { id: string; message: string }[] }>(
        '/api/sit/responses',
        { responses: batch },
      );
      this.offline = false;
      this.problem = undefined;
      this.settle(batch, new Set(answer.received), answer.refused);
    } catch (error) {
      this.offline = !(error instanceof ApiError) || error.status === 0;
      this.problem = this.offline ? undefined : (error as Error).message;
      const refused =
        error instanceof ApiError && (error.status === 409 || error.status === 404) && batch.length === 1;
      if (refused) this.settle(batch, new Set(), [{ id: batch[0]!.id, message: error.message }]);
      else this.keep(this.kept);
    } finally {
      this.sending = false;
    }
    const newer = this.kept.waiting.some((item) => !batch.includes(item));
    if (newer && !this.offline) void this.send();
  }

  private settle(batch: Outgoing[], received: Set<string>, refused: { id: string; message: string }[]): void {
    const reasons = new Map(refused.map(({ id, message }) => [id, message]));
    this.keep({
      ...this.kept,
      waiting: this.kept.waiting.filter((item) => !received.has(item.id) && !reasons.has(item.id)),
      received: this.kept.received + received.size,
      refused: [
        ...this.kept.refused,
        ...batch.flatMap((item) => (reasons.has(item.id) ? [{ item, message: reasons.get(item.id)! }] : [])),
      ],
    });
  }

  private keep(next: Kept): void {
    this.kept = next;
    localStorage.setItem(this.key, JSON.stringify(next));
    this.shown = this.state();
    this.listeners.forEach((listener) => listener());
  }

  private state(): OutboxState {
    const { waiting, received, refused } = this.kept;
    return { waiting: waiting.length, received, offline: this.offline, problem: this.problem, refused };
  }
}
