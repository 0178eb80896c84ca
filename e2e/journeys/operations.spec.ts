import { mkdtempSync, readdirSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, test } from '@playwright/test';
import { commandsOf, ran as runTo, started as start } from '../commands.ts';
import { freePort } from '../freePort.ts';

const COMMANDS = commandsOf('operations.md', 'sh');

const places: string[] = [];
const place = () => {
  const folder = mkdtempSync(join(tmpdir(), 'hurrow-operations-'));
  places.push(folder);
  return folder;
};
test.afterAll(() => places.forEach((folder) => rmSync(folder, { recursive: true, force: true })));

const envOf = (data: string) => ({ HURROW_DATA: data, HURROW_BACKUPS: '', DATABASE_URL: '' });
const ran = (command: string, data: string) => runTo(command, { ...envOf(data), PORT: '1' });
const started = async (command: string, data: string) =>
  start(command, { ...envOf(data), PORT: String(await freePort()) });

test('every command that the page on operations names does what it says', async () => {
  expect(COMMANDS).toEqual([
    'npm start',
    'npm run backup',
    'npm run backups',
    'npm run restore -- FILE',
    'npm run repair',
    'npm run unlock -- name@example.org',
    'HURROW_HTTPS=1 HURROW_PROXIES=1 npm start',
  ]);
  const [first, backup, backups, restore, repair, unlock, behindProxy] = COMMANDS as [
    string,
    string,
    string,
    string,
    string,
    string,
    string,
  ];
  const data = place();
  const hurrow = await started(first, data);
  await fetch(`${hurrow.url}/api/setup`, {
    method: 'POST',
    headers: { 'x-hurrow': '1', 'content-type': 'application/json' },
    body: JSON.stringify({
      name: 'Ines Falk',
      email: 'name@example.org',
      password: 'a long enough password',
      libraryName: 'Trees',
      latitude: 47,
      longitude: -116,
      elevation: 800,
    }),
  });
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
  const [, token] = /#invitation\/(\S+)/.exec(ran(unlock, other))!;
  const secured = await started(behindProxy, other);
  const session = await fetch(`${secured.url}/api/session`, {
    headers: { 'x-forwarded-for': '203.0.113.5' },
  });
  expect(session.headers.get('strict-transport-security')).toContain('max-age');
  const invited = await fetch(`${secured.url}/api/session/invited`, {
    method: 'POST',
    headers: { 'x-hurrow': '1', 'content-type': 'application/json' },
    body: JSON.stringify({ token }),
  });
  expect(await invited.json()).toEqual({ name: 'Ines Falk', email: 'name@example.org' });
  await secured.stop();
});
