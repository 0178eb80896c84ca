import { spawn, type ChildProcess } from 'node:child_process';
import { cpSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import type { Page } from '@playwright/test';
import { newDatabase } from './database.ts';
import { freePort } from './freePort.ts';

const root = fileURLToPath(new URL('../', import.meta.url));

/** Whether the journeys run on a PostgreSQL server and not on the embedded store. */
export const ON_A_SERVER = process.env['HURROW_TEST_STORE'] === 'postgres';

/** A built Hurrow in a process and a data folder of its own. */
export class Hurrow {
  url = '';
  private process: ChildProcess | undefined;
  private instruments: Awaited<ReturnType<typeof simulated>> | undefined;
  private readonly folder: string;
  private readonly demo: boolean;
  private readonly measures: boolean;
  /** Its database, where it runs on a PostgreSQL server. */
  private database: string | undefined;
  /** The same after each start, so that phones find it again. */
  private port: number | undefined;

  private constructor(demo: boolean, measures: boolean, folder: string) {
    this.folder = folder;
    this.demo = demo;
    this.measures = measures;
  }

  /** With the demo's data and doors, or empty as on a new machine; `measures` if it has the simulated instruments. */
  static async start(kind: 'demo' | 'empty', { measures = false } = {}): Promise<Hurrow> {
    const hurrow = new Hurrow(kind === 'demo', measures, mkdtempSync(join(tmpdir(), 'hurrow-journey-')));
    if (ON_A_SERVER) hurrow.database = await newDatabase(kind);
    else if (hurrow.demo) cpSync(process.env['HURROW_DEMO_DATA']!, hurrow.folder, { recursive: true });
    await hurrow.run();
    return hurrow;
  }

  /** On the demo's data themselves, of which all others take a copy. */
  static async onDemoData(folder: string): Promise<Hurrow> {
    const hurrow = new Hurrow(true, false, folder);
    await hurrow.run();
    return hurrow;
  }

  async run(): Promise<void> {
    if (this.measures) this.instruments ??= await simulated();
    const port = (this.port ??= await freePort());
    this.url = `http://localhost:${port}`;
    const env = {
      ...process.env,
      PORT: String(port),
      HURROW_DATA: this.folder,
      DATABASE_URL: this.database ?? '',
      HURROW_CLOCK: '2026-10-15T16:00:00Z',
      HURROW_DEMO: this.demo ? '1' : '',
      ...this.instruments?.addresses,
    };
    const child = spawn(process.execPath, ['server/dist/main.js'], { cwd: root, env });
    this.process = child;
    await new Promise<void>((resolve, reject) => {
      let said = '';
      const hear = (chunk: Buffer) => {
        said += chunk.toString();
        if (said.includes('Hurrow is ready')) resolve();
      };
      child.stdout.on('data', hear);
      child.stderr.on('data', hear);
      child.on('exit', () => reject(new Error(`The server stopped: ${said}`)));
    });
  }

  /** Through one of the demo's two doors. */
  async enter(page: Page, as: 'instructor' | 'student'): Promise<void> {
    await page.goto(this.url);
    await page
      .getByRole('button', { name: as === 'instructor' ? 'Enter as the instructor' : 'Enter as a student' })
      .click();
  }

  /** No chance to finish anything; what was handed to the system is still written. */
  async kill(): Promise<void> {
    await this.end('SIGKILL');
  }

  /** As a power cut at its worst: of the store nothing reached the disk since the demo was built. */
  async cutPower(): Promise<void> {
    await this.kill();
    // A server has a disk and a power of its own.
    if (this.database) return;
    const store = join(this.folder, 'store');
    rmSync(store, { recursive: true });
    cpSync(join(process.env['HURROW_DEMO_DATA']!, 'store'), store, { recursive: true });
  }

  /** Its data stay. */
  async leave(): Promise<void> {
    await this.end('SIGTERM');
    this.instruments?.process.kill();
  }

  async stop(): Promise<void> {
    await this.leave();
    rmSync(this.folder, { recursive: true, force: true });
  }

  private async end(signal: NodeJS.Signals): Promise<void> {
    const child = this.process;
    this.process = undefined;
    if (!child || child.exitCode !== null) return;
    const gone = new Promise((resolve) => child.once('exit', resolve));
    child.kill(signal);
    await gone;
  }
}

/** The simulated receiver and range-finder, as a process of their own. */
async function simulated() {
  const [receiver, rangeFinder] = [await freePort(), await freePort()];
  const simulate = [
    '--import',
    'tsx',
    'server/src/instruments/simulate.ts',
    String(receiver),
    String(rangeFinder),
  ];
  return {
    process: spawn(process.execPath, simulate, { cwd: root, stdio: 'ignore' }),
    addresses: {
      HURROW_RECEIVER: `127.0.0.1:${receiver}`,
      HURROW_RANGEFINDER: `127.0.0.1:${rangeFinder}`,
    },
  };
}
