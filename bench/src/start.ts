import { chromium } from '@playwright/test';
import { spawn, spawnSync, type ChildProcess } from 'node:child_process';
import { cpSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { findChromium } from '../../setup/install.mjs';

const root = fileURLToPath(new URL('../../', import.meta.url));

/** A fresh folder with the demo's data: a copy of those in HURROW_DEMO_DATA where it names some. */
export function demoFolder(): { folder: string; remove(): void } {
  const folder = mkdtempSync(join(tmpdir(), 'hurrow-bench-'));
  const remove = () => rmSync(folder, { recursive: true, force: true });
  const made = process.env['HURROW_DEMO_DATA'];
  if (made) {
    cpSync(made, folder, { recursive: true });
    return { folder, remove };
  }
  const built = spawnSync(process.execPath, ['--import', 'tsx', 'demo/src/build.ts', folder], {
    cwd: root,
    encoding: 'utf8',
  });
  if (built.status !== 0) throw new Error(`The demo data could not be made: ${built.stderr}`);
  return { folder, remove };
}

/** Starts the built server on a folder; resolves when it answers its first request, with the milliseconds that took. */
export async function startServer(
  folder: string,
  port: number,
): Promise<{ child: ChildProcess; readyAfter: number; stop(): Promise<void> }> {
  const start = performance.now();
  const child = spawn(process.execPath, ['server/dist/main.js'], {
    cwd: root,
    stdio: 'ignore',
    env: {
      ...process.env,
      PORT: String(port),
      HURROW_DATA: folder,
      HURROW_DEMO: '1',
      HURROW_CLOCK: '2026-10-15T16:00:00Z',
    },
  });
  const gone = new Promise<void>((resolve) => child.once('exit', () => resolve()));
  for (;;) {
    const answer = await fetch(`http://localhost:${port}/api/session`).catch(() => undefined);
    if (child.exitCode !== null)
      throw new Error(`The server stopped before it was ready. Is port ${port} in use?`);
    if (answer?.ok) break;
    await new Promise((resolve) => setTimeout(resolve, 10));
  }
  const readyAfter = performance.now() - start;
  const stop = () => {
    child.kill('SIGTERM');
    return gone;
  };
  return { child, readyAfter, stop };
}

/** A browser, and a server on fresh demo data; `end` closes both and takes the data away. */
export async function demoInBrowser(port: number) {
  const { folder, remove } = demoFolder();
  const { stop } = await startServer(folder, port);
  const browser = await chromium.launch({
    executablePath: findChromium(),
    args: ['--no-sandbox', '--disable-background-networking'],
  });
  const end = async () => {
    await browser.close();
    await stop();
    remove();
  };
  return { browser, end };
}
