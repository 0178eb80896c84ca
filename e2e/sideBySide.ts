import { spawn, type ChildProcess } from 'node:child_process';
import { once } from 'node:events';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { setTimeout as wait } from 'node:timers/promises';
import { fileURLToPath } from 'node:url';
import { installNginx } from '../setup/install.mjs';
import { newDatabase } from './database.ts';
import { freePort } from './freePort.ts';

const root = fileURLToPath(new URL('../', import.meta.url));

/** Two processes of Hurrow on one database, behind nginx as docs/operations.md has it. */
export class SideBySide {
  readonly url: string;
  readonly database: string;
  readonly ports: [number, number];
  private readonly processes: (ChildProcess | undefined)[] = [];
  private proxy: ChildProcess | undefined;
  private readonly folder = mkdtempSync(join(tmpdir(), 'hurrow-nginx-'));

  private constructor(database: string, port: number, ports: [number, number]) {
    this.database = database;
    this.url = `http://127.0.0.1:${port}`;
    this.ports = ports;
  }

  static async start(): Promise<SideBySide> {
    const port = await freePort();
    const both = new SideBySide(await newDatabase('demo'), port, [await freePort(), await freePort()]);
    await Promise.all([both.run(0), both.run(1)]);
    await both.runProxy(port);
    return both;
  }

  /** Starts one of the two, and waits until it is ready. */
  async run(which: 0 | 1): Promise<void> {
    const env = {
      ...process.env,
      PORT: String(this.ports[which]),
      DATABASE_URL: this.database,
      HURROW_CLOCK: '2026-10-15T16:00:00Z',
      HURROW_DEMO: '1',
      HURROW_PROXIES: '1',
    };
    const child = spawn(process.execPath, ['server/dist/main.js'], { cwd: root, env });
    this.processes[which] = child;
    child.stderr.pipe(process.stderr);
    await new Promise<void>((resolve, reject) => {
      child.stdout.on('data', (chunk: Buffer) => chunk.includes('Hurrow is ready') && resolve());
      child.on('exit', () => reject(new Error('A process stopped before it was ready.')));
    });
  }

  /** Ends one of the two: in order, or at once. */
  async end(which: 0 | 1, signal: 'SIGTERM' | 'SIGKILL'): Promise<void> {
    const child = this.processes[which]!;
    child.kill(signal);
    if (child.exitCode === null && child.signalCode === null) await once(child, 'exit');
  }

  /** The example of the documentation, on ports of this machine and without a certificate. */
  private async runProxy(port: number): Promise<void> {
    const example = readFileSync(join(root, 'setup/nginx.conf'), 'utf8')
      .replace('listen 443 ssl;', `listen 127.0.0.1:${port};`)
      .replace(/^\s*ssl_\w+ .*$/gm, '')
      .replace('127.0.0.1:4680', `127.0.0.1:${this.ports[0]}`)
      .replace('127.0.0.1:4681', `127.0.0.1:${this.ports[1]}`)
      .replace(
        'http {',
        `http { access_log off; ${TEMPORARY.map((kind) => `${kind}_temp_path ${this.folder};`).join(' ')}`,
      );
    const file = join(this.folder, 'nginx.conf');
    writeFileSync(file, `pid ${this.folder}/pid; error_log ${this.folder}/error.log; daemon off; ${example}`);
    this.proxy = spawn(installNginx(), ['-c', file, '-p', this.folder], { stdio: 'ignore' });
    for (;;) {
      if (this.proxy.exitCode !== null)
        throw new Error(`nginx stopped: ${readFileSync(join(this.folder, 'error.log'), 'utf8')}`);
      if (
        await fetch(this.url).then(
          ({ ok }) => ok,
          () => false,
        )
      )
        return;
      await wait(50);
    }
  }

  async stop(): Promise<void> {
    for (const child of this.processes) child?.kill('SIGKILL');
    this.proxy?.kill();
    rmSync(this.folder, { recursive: true, force: true });
  }
}

const TEMPORARY = ['client_body', 'proxy', 'fastcgi', 'uwsgi', 'scgi'];

/** Someone with a cookie of their own, who asks a process or the proxy. */
export class Someone {
  private cookie = '';
  private readonly base: string;
  constructor(base: string) {
    this.base = base;
  }

  async call(method: string, path: string, body?: unknown): Promise<{ status: number; body: never }> {
    const response = await fetch(this.base + path, {
      method,
      headers: { 'x-hurrow': '1', cookie: this.cookie, 'content-type': 'application/json' },
      ...(body === undefined ? {} : { body: JSON.stringify(body) }),
    });
    this.cookie = response.headers.get('set-cookie')?.split(';')[0] ?? this.cookie;
    const text = await response.text();
    const json = response.headers.get('content-type')?.includes('json');
    return { status: response.status, body: (json ? JSON.parse(text) : text) as never };
  }

  /** The same person at another address: the cookie goes along. */
  at(base: string): Someone {
    const other = new Someone(base);
    other.cookie = this.cookie;
    return other;
  }

  /** The messages of a stream, until `enough`. */
  async listen(path: string, enough: (message: never) => boolean): Promise<void> {
    const stop = new AbortController();
    const { body } = await fetch(this.base + path, { headers: { cookie: this.cookie }, signal: stop.signal });
    let text = '';
    for await (const part of body!.pipeThrough(new TextDecoderStream()) as unknown as AsyncIterable<string>) {
      text += part;
      const lines = text.split('\n\n');
      text = lines.pop()!;
      if (lines.some((line) => line.startsWith('data: ') && enough(JSON.parse(line.slice(6)) as never)))
        break;
    }
    stop.abort();
  }
}
