import { randomUUID } from 'node:crypto';
import type { Progress } from '@hurrow/contract/confusions';
import { asProblem } from '../api/asProblem.ts';
import { answerOf, conflict, Problem } from '../api/problem.ts';
import { say } from '../api/say.ts';
import type { Db } from '../db/index.ts';
import * as queries from './queries.ts';

/** Seconds without a sign of life after which a job is taken up by another process, and milliseconds between two such signs. */
const SILENT = 15;
const BEAT = 4000;
/** Milliseconds between two looks for jobs that nobody told of, and for what came of one. */
const LOOK = 2000;
/** Jobs that one process does side by side; what computes in them has threads of its own. */
const AT_ONCE = 3;
/** A job that ended this many processes is not given to another. */
const MOST_TRIES = 3;

const STOPPED = { status: 409, ...answerOf(conflict(say`This was stopped.`)) };

/** What a job may use and say while it is done. */
export interface Doing {
  db: Db;
  /** Fires when the job is stopped, or has gone to another process. */
  signal: AbortSignal;
  /** Says how far it is; seen from every process. */
  progress(now: Progress): void;
}

/** How each kind of work is done: from its input alone, and twice with no more effect than once. */
export type Kinds = { [kind: string]: (input: never, doing: Doing) => Promise<unknown> };
type InputOf<K extends Kinds, Kind extends keyof K> = Parameters<K[Kind]>[0];
type ResultOf<K extends Kinds, Kind extends keyof K> = Awaited<ReturnType<K[Kind]>>;

/**
 * Work that takes long, kept in a table: asked for in one process, done in any, and taken up by another where one dies. Asked for twice at a
 * time it is done once.
 *
 * @example
 * const jobs = new Jobs(db, kinds);
 * await jobs.ask('open', quizId, { quizId, accountId, at }); // resolves when the quiz is open, whichever process opened it
 */
export class Jobs<K extends Kinds> {
  /** This process, by a name of its own. */
  private readonly worker = randomUUID();
  private readonly running = new Map<string, AbortController>();
  /** Jobs being taken up at this moment: the store may give one to a process that has begun to close. */
  private readonly taking = new Set<Promise<void>>();
  private readonly looking: NodeJS.Timeout;
  private readonly stopHearing: () => void;
  private readonly db: Db;
  private readonly kinds: K;
  private stopped = false;

  constructor(db: Db, kinds: K) {
    this.db = db;
    this.kinds = kinds;
    this.looking = setInterval(() => void this.takeUp(), LOOK);
    this.looking.unref();
    this.stopHearing = db.hear('job', (id) => {
      void this.takeUp();
      if (id !== undefined && this.running.has(id)) void this.stillMine(id);
    });
  }

  /** Resolves with what comes of a job. Rejects with its problem. */
  async ask<Kind extends keyof K & string>(
    kind: Kind,
    key: string,
    input: InputOf<K, Kind>,
  ): Promise<ResultOf<K, Kind>> {
    const id = await this.start(kind, key, input);
    return (await this.ended(id)) as ResultOf<K, Kind>;
  }

  /** Asks for a job and does not wait for it. Resolves with its id. */
  async start<Kind extends keyof K & string>(
    kind: Kind,
    key: string,
    input: InputOf<K, Kind>,
  ): Promise<string> {
    const id = await queries.ask(this.db, randomUUID(), kind, key, input as object);
    void this.takeUp();
    return id;
  }

  /** How far the job of a key is, whichever process does it; undefined where none is under way. */
  progressOf = (kind: keyof K & string, key: string): Promise<Progress | undefined> =>
    queries.progress(this.db, kind, key);

  /** Stops the job of a key, whichever process does it. */
  async stop(kind: keyof K & string, key: string): Promise<void> {
    const id = await queries.stop(this.db, kind, key, STOPPED);
    if (!id) return;
    this.running.get(id)?.abort();
    await this.db.tell('job', id);
  }

  /** Takes nothing more up, and gives back what is not done. */
  async close(): Promise<void> {
    this.stopped = true;
    clearInterval(this.looking);
    this.stopHearing();
    for (const controller of this.running.values()) controller.abort();
    if (this.running.size === 0 && this.taking.size === 0) return;
    await Promise.all(this.taking);
    await queries.giveBack(this.db, this.worker);
    await this.db.tell('job', '').catch(() => undefined);
  }

  private takeUp(): Promise<void> {
    const taking = this.takeAll().finally(() => this.taking.delete(taking));
    this.taking.add(taking);
    return taking;
  }

  private async takeAll(): Promise<void> {
    while (!this.stopped && this.running.size < AT_ONCE) {
      const job = await queries.take(this.db, this.worker, SILENT).catch(() => undefined);
      if (!job || this.stopped) return;
      void this.work(job);
    }
  }

  private async work({ id, kind, input, tries }: queries.TakenJob): Promise<void> {
    const controller = new AbortController();
    this.running.set(id, controller);
    let now: Progress = { share: 0, doing: 'beginning' };
    const beat = () => void this.beat(id, now);
    const beating = setInterval(beat, BEAT);
    let told = 0;
    const progress = (next: Progress) => {
      now = next;
      if (!next.first && performance.now() - told < 300) return;
      told = performance.now();
      beat();
    };
    try {
      if (tries > MOST_TRIES)
        throw new Problem(
          500,
          say`This was begun several times and each time the process that did it ended. Tell the owner of this Hurrow.`,
        );
      const doing: Doing = { db: this.db, signal: controller.signal, progress };
      const result = await this.kinds[kind]!(input as never, doing);
      await queries.end(this.db, id, this.worker, { result });
    } catch (error) {
      if (!this.stopped)
        await queries.end(this.db, id, this.worker, { problem: problemOf(error) }).catch(() => undefined);
    } finally {
      clearInterval(beating);
      this.running.delete(id);
    }
    await this.db.tell('job', id).catch(() => undefined);
    void this.takeUp();
  }

  private async beat(id: string, now: Progress): Promise<void> {
    const mine = await queries.beat(this.db, id, this.worker, now).catch(() => true);
    if (!mine) this.running.get(id)?.abort();
  }

  private async stillMine(id: string): Promise<void> {
    const state = (await queries.outcome(this.db, id).catch(() => undefined))?.state;
    if (state === 'failed') this.running.get(id)?.abort();
  }

  /** Waits until a job has ended, here or elsewhere. */
  private async ended(id: string): Promise<unknown> {
    for (;;) {
      let wake: () => void = () => undefined;
      const heard = new Promise<void>((resolve) => (wake = resolve));
      const stop = this.db.hear('job', (about) => {
        if (about === undefined || about === id) wake();
      });
      const late = setTimeout(wake, LOOK);
      try {
        const found = await queries.outcome(this.db, id);
        if (found?.state === 'done') return found.result ?? undefined;
        if (!found || found.state === 'failed') throw problemFrom(found?.problem ?? STOPPED);
        await heard;
      } finally {
        stop();
        clearTimeout(late);
      }
    }
  }
}

/** An error as it is kept, and as whoever asked is told. */
function problemOf(error: unknown): queries.KeptProblem {
  const problem = asProblem(error, { error: console.error });
  return { status: problem.status, ...answerOf(problem) };
}

const problemFrom = ({ status, message, said, details, code }: queries.KeptProblem): Problem =>
  new Problem(status, said ? { message, ...said } : message, details, code);
