import { timingSafeEqual } from 'node:crypto';
import type { Express, Request, RequestHandler } from 'express';
import { Counter, collectDefaultMetrics, Gauge, Histogram, Registry } from 'prom-client';
import { backupsOn, shelfOf } from '../backups/shelf.ts';
import type { Db } from '../db/index.ts';
import { KEEP, type Watcher } from './slowQueries.ts';

/** Milliseconds that the store may take to answer before this Hurrow counts as not ready. */
const PATIENCE = 2000;

/** Numbers about a running Hurrow for those who watch over it. None is about a person. */
export class Health {
  private readonly registry = new Registry();
  private readonly requests: Histogram;
  private readonly statements: Histogram;
  private readonly kept: Histogram;
  private readonly answers: Counter;
  private stopping = false;

  constructor() {
    const registers = [this.registry];
    collectDefaultMetrics({ register: this.registry });
    this.requests = new Histogram({
      name: 'hurrow_request_seconds',
      help: 'Time to answer a call, by its route',
      labelNames: ['method', 'route', 'status'],
      buckets: [0.005, 0.02, 0.05, 0.1, 0.3, 1, 3, 10],
      registers,
    });
    this.statements = new Histogram({
      name: 'hurrow_statement_seconds',
      help: 'Time that the store takes for a statement, waiting included',
      buckets: [0.001, 0.005, 0.02, 0.1, 0.25, 1, 5],
      registers,
    });
    this.kept = new Histogram({
      name: 'hurrow_keep_seconds',
      help: 'Time until answers are on the disk',
      buckets: [0.001, 0.005, 0.02, 0.1, 0.25, 1, 5],
      registers,
    });
    this.answers = new Counter({
      name: 'hurrow_answers_received_total',
      help: 'Answers acknowledged to students',
      registers,
    });
  }

  /** Times every call, by the path of its route and never by what was filled in. */
  readonly timesCalls: RequestHandler = (request, response, next) => {
    const done = this.requests.startTimer();
    response.once('finish', () => {
      const route = (request.route as { path?: string } | undefined)?.path ?? 'page';
      done({ method: request.method, route, status: String(response.statusCode) });
    });
    next();
  };

  readonly timesStatement: Watcher = (sql, took) =>
    (sql === KEEP ? this.kept : this.statements).observe(took / 1000);
  countAnswers(n: number): void {
    this.answers.inc(n);
  }
  /** From here on no new work is wanted: whatever stands in front sends it elsewhere. */
  stop(): void {
    this.stopping = true;
  }

  /** Hangs in the addresses that look from outside: alive, ready, and numbers in Prometheus' text. */
  hang(app: Express, db: Db, token = process.env['HURROW_METRICS_TOKEN']): void {
    if (db.files) this.tellsBackups(shelfOf(db.files.folder));
    app.get('/healthz', (_request, response) => void response.json({ alive: true }));
    app.get('/readyz', async (_request, response) => {
      const why = this.stopping ? 'stopping' : await trouble(db);
      response.status(why ? 503 : 200).json({ ready: !why, ...(why ? { why } : {}) });
    });
    app.get('/metrics', async (request, response) => {
      if (!maySee(request, token))
        return void response
          .status(403)
          .type('text')
          .send(
            'Numbers are shown on this machine, or to whoever sends HURROW_METRICS_TOKEN as a bearer token.\n',
          );
      response.type(this.registry.contentType).send(await this.registry.metrics());
    });
  }

  /** Looked up when it is asked for: backups are made by hand and by the command line, too. */
  private tellsBackups(shelf: string): void {
    new Gauge({
      name: 'hurrow_backup_made_seconds',
      help: 'When the newest backup was made, in seconds since 1970; 0 for none',
      registers: [this.registry],
      async collect() {
        const [newest] = await backupsOn(shelf);
        this.set(newest ? Date.parse(newest.note.made) / 1000 : 0);
      },
    });
  }
}

/** Why the store does not answer, if it does not. */
async function trouble(db: Db): Promise<string | undefined> {
  let timer: NodeJS.Timeout | undefined;
  const late = new Promise<string>((resolve) => {
    timer = setTimeout(() => resolve('the store takes too long to answer'), PATIENCE);
  });
  const asked = db.query('select 1').then(
    () => undefined,
    () => 'the store does not answer',
  );
  const why = await Promise.race([asked, late]);
  clearTimeout(timer);
  return why;
}

/** On this machine itself, and not through a proxy on it; elsewhere with the token. */
function maySee(request: Request, token: string | undefined): boolean {
  const here = /^(::1|127\.|::ffff:127\.)/.test(request.socket.remoteAddress ?? '');
  if (here && request.get('x-forwarded-for') === undefined && request.get('forwarded') === undefined)
    return true;
  const given = Buffer.from(request.get('authorization')?.replace(/^Bearer /, '') ?? '');
  const wanted = Buffer.from(token ?? '');
  return wanted.length > 0 && given.length === wanted.length && timingSafeEqual(given, wanted);
}
