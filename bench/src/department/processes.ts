import { spawn, type ChildProcess } from 'node:child_process';
import { fileURLToPath } from 'node:url';

const root = fileURLToPath(new URL('../../../', import.meta.url));

/** A process of Hurrow on a database. */
export interface Running {
  base: string;
  child: ChildProcess;
  /** Of its memory, in MB. */
  memory(): Promise<number>;
}

/** Starts the built server on a database and a port; resolves when it is ready. */
export async function startOn(database: string, port: number): Promise<Running> {
  const child = spawn(process.execPath, ['server/dist/main.js'], {
    cwd: root,
    stdio: ['ignore', 'ignore', 'inherit'],
    env: {
      ...process.env,
      PORT: String(port),
      DATABASE_URL: database,
      HURROW_DEMO: '1',
      HURROW_CLOCK: '2026-10-15T16:00:00Z',
    },
  });
  const base = `http://127.0.0.1:${port}`;
  for (;;) {
    if (child.exitCode !== null) throw new Error(`The process on port ${port} stopped before it was ready.`);
    if (
      await fetch(`${base}/readyz`).then(
        ({ ok }) => ok,
        () => false,
      )
    )
      break;
    await new Promise((resolve) => setTimeout(resolve, 50));
  }
  const memory = async () => {
    const text = await (await fetch(`${base}/metrics`)).text();
    return Number(/^process_resident_memory_bytes (\S+)/m.exec(text)![1]) / 1e6;
  };
  return { base, child, memory };
}

/** Someone with a cookie, who asks either of several processes in turn. */
export class Person {
  private cookie = '';
  private turn = Math.floor(Math.random() * 100);
  private readonly bases: readonly string[];
  constructor(bases: readonly string[]) {
    this.bases = bases;
  }

  /** Resolves with status, answer as text, and milliseconds until all of it was there. */
  async ask(
    method: string,
    path: string,
    body?: object,
  ): Promise<{ status: number; text: string; took: number }> {
    const from = performance.now();
    const base = this.bases[(this.turn += 1) % this.bases.length]!;
    const response = await fetch(base + path, {
      method,
      headers: { 'x-hurrow': '1', cookie: this.cookie, 'content-type': 'application/json' },
      ...(body ? { body: JSON.stringify(body) } : {}),
    });
    this.cookie = response.headers.get('set-cookie')?.split(';')[0] ?? this.cookie;
    const text = await response.text();
    return { status: response.status, text, took: performance.now() - from };
  }

  async json<T>(path: string): Promise<T> {
    const { status, text } = await this.ask('GET', path);
    if (status !== 200) throw new Error(`${path}: ${status} ${text.slice(0, 200)}`);
    return JSON.parse(text) as T;
  }
}
