import { spawn, spawnSync } from 'node:child_process';
import { mkdtempSync, readdirSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { expect, test } from '@playwright/test';
import { freePort } from '../freePort.ts';

const root = fileURLToPath(new URL('../../', import.meta.url));
const COMMANDS = [
  ...readFileSync(`${root}docs/operations.md`, 'utf8').matchAll(/```sh\n([^`]*)```/g),
].flatMap(([, block]) => block!.trim().split('\n'));

const places: string[] = [];
const place = () => {
  const folder = mkdtempSync(join(tmpdir(), 'hurrow-operations-'));
  places.push(folder);
  return folder;
};
test.afterAll(() => places.forEach((folder) => rmSync(folder, { recursive: true, force: true })));

const envOf = (data: string, port: number) => ({
  ...process.env,
  HURROW_DATA: data,
  PORT: String(port),
  HURROW_BACKUPS: '',
});

/** Runs a command of the page to its end. */
function ran(command: string, data: string): string {
  const { status, stdout, stderr } = spawnSync(command, {
    shell: true,
    cwd: root,
    encoding: 'utf8',
    env: envOf(data, 1),
  });
  expect(status, stdout + stderr).toBe(0);
  return stdout;
}

/** Runs a command that goes on until it is stopped. */
async function started(command: string, data: string) {
  const port = await freePort();
  const child = spawn(command, { shell: true, cwd: root, env: envOf(data, port), detached: true });
  let said = '';
  child.stdout.on('data', (part: Buffer) => (said += part.toString()));
  await expect.poll(() => said, { timeout: 60_000 }).toContain('Hurrow is ready at');
  const stop = async () => {
    const gone = new Promise((resolve) => child.once('exit', resolve));
    process.kill(-child.pid!, 'SIGTERM');
    await gone;
  };
  return { url: `http://localhost:${port}`, stop };
}

test('every command that the page on operations names does what it says', async () => {
  expect(COMMANDS).toEqual([
    'npm start',
    'npm run backup',
    'npm run backups',
    'npm run restore -- FILE',
    'npm run repair',
    'HURROW_HTTPS=1 HURROW_PROXIES=1 npm start',
  ]);
  const [start, backup, backups, restore, repair, behindProxy] = COMMANDS as [
    string,
    string,
    string,
    string,
    string,
    string,
  ];
  const data = place();
  const hurrow = await started(start, data);
  expect(await (await fetch(`${hurrow.url}/readyz`)).json()).toEqual({ ready: true });
  expect((await fetch(`${hurrow.url}/healthz`)).status).toBe(200);
  expect(await (await fetch(`${hurrow.url}/metrics`)).text()).toContain('hurrow_request_seconds');
  // While it runs, and stopped.
  expect(ran(backup, data)).toContain('Backed up');
  await hurrow.stop();
  expect(ran(backup, data)).toContain('Backed up');
  expect(ran(backups, data).match(/\.hurrow\.tar\.gz/g)).toHaveLength(2);
  const [file] = readdirSync(join(data, 'backups'));
  const other = place();
  expect(ran(restore.replace('FILE', join(data, 'backups', file!)), other)).toContain('Restored the backup');
  expect(ran(repair, other)).toContain('is whole');
  const secured = await started(behindProxy, other);
  const session = await fetch(`${secured.url}/api/session`, {
    headers: { 'x-forwarded-for': '203.0.113.5' },
  });
  expect(session.headers.get('strict-transport-security')).toContain('max-age');
  await secured.stop();
});
