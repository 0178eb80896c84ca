import { spawnSync } from 'node:child_process';
import { cpSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { setTimeout as pause } from 'node:timers/promises';
import { fileURLToPath } from 'node:url';
import { startPostgres } from '../setup/postgres.mjs';
import { Hurrow } from './hurrow.ts';
import { Someone } from './sideBySide.ts';
import { addressOf, atServer, TEMPLATES } from './database.ts';

/**
 * Makes the demo's data once for all journeys, before the first, in a folder and on a PostgreSQL server; each journey takes a copy. Where they
 * are made already, HURROW_DEMO_DATA says in which folder. Returns what removes them.
 */
export default async function makeDemoData(): Promise<() => void> {
  const folder = mkdtempSync(join(tmpdir(), 'hurrow-demo-'));
  const made = process.env['HURROW_DEMO_DATA'];
  if (made) cpSync(made, folder, { recursive: true });
  else run('The demo data could not be made', ['--import', 'tsx', 'demo/src/build.ts', folder]);
  process.env['HURROW_DEMO_DATA'] = folder;
  await workOutReports(folder);
  const server = await startPostgres(['max_connections=300']);
  process.env['HURROW_TEST_DATABASE'] = server.url;
  await atServer(`create database ${TEMPLATES.demo}`);
  run('The demo data could not be moved', ['server/dist/care.js', 'move', 'to-server'], {
    HURROW_DATA: folder,
    DATABASE_URL: addressOf(TEMPLATES.demo),
  });
  return () => {
    server.stop();
    rmSync(folder, { recursive: true, force: true });
  };
}

/** The report on each course, which takes longest: a dozen journeys open it, each on a Hurrow of its own that would work it out again. */
async function workOutReports(folder: string): Promise<void> {
  const hurrow = await Hurrow.onDemoData(folder);
  const instructor = new Someone(hurrow.url);
  await instructor.call('POST', '/api/session/demo', { as: 'instructor' });
  const { body: courses } = await instructor.call('GET', '/api/courses');
  for (const { id } of courses as { id: string }[])
    for (;;) {
      const asked = await instructor.call(
        'GET',
        `/api/courses/${id}/confusions/report?scores=now&earlier=with`,
      );
      if (asked.status !== 200) throw new Error(`The report could not be worked out: ${asked.status}`);
      if ((asked.body as { report: unknown }).report) break;
      await pause(300);
    }
  await hurrow.leave();
}

function run(otherwise: string, words: string[], env: Record<string, string> = {}): void {
  const cwd = fileURLToPath(new URL('../', import.meta.url));
  const ran = spawnSync(process.execPath, words, { cwd, encoding: 'utf8', env: { ...process.env, ...env } });
  if (ran.status !== 0) throw new Error(`${otherwise}: ${ran.stderr}`);
}
