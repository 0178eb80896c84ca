import { appendFileSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, test } from '@playwright/test';
import pg from 'pg';
import { startPostgres, type StartedPostgres } from '../../setup/postgres.mjs';
import { commandsOf, ran, refused, started } from '../commands.ts';
import { freePort } from '../freePort.ts';

const SHELL = commandsOf('server.md', 'sh');
const [IN_SERVER, FOR_RECOVERY] = splitConf(commandsOf('server.md', 'conf'));

function splitConf(lines: string[]): [string[], string[]] {
  const at = lines.findIndex((line) => line.startsWith('restore_command'));
  return [lines.slice(0, at), lines.slice(at)];
}

let server: StartedPostgres;
let log: string;
const folder = mkdtempSync(join(tmpdir(), 'hurrow-server-'));
const path = `${process.env['PATH']}`;

test.beforeAll(async () => {
  server = await startPostgres(['wal_level=replica', 'max_wal_senders=4']);
  log = server.place('kept-log');
});
test.afterAll(() => {
  server.stop();
  rmSync(folder, { recursive: true, force: true });
});

async function ask(url: string, sql: string): Promise<Record<string, unknown>[]> {
  const client = new pg.Client({ connectionString: url });
  await client.connect();
  const { rows } = await client.query<Record<string, unknown>>(sql);
  await client.end();
  return rows;
}

test('the page on servers, from the first statement to the moment before a mishap', async () => {
  const place = (line: string) =>
    line.replaceAll('/srv/hurrow/log', log).replaceAll('/srv/hurrow/base', base);
  const base = join(folder, 'base');

  // A database for Hurrow, as its administrator makes it.
  for (const statement of commandsOf('server.md', 'sql')) await ask(server.url, statement);
  const [exported, toServer, start, toFolder, dump, restore, baseBackup] = SHELL as [
    string,
    string,
    string,
    string,
    string,
    string,
    string,
  ];
  expect(SHELL).toHaveLength(7);
  const { port } = new URL(server.url);
  const url = exported.replace('export DATABASE_URL=', '').replace(':5432', `:${port}`);
  const env = { DATABASE_URL: url, HURROW_DATA: process.env['HURROW_DEMO_DATA']!, PORT: '1', PATH: path };

  // There, and started on it.
  expect(ran(toServer, env)).toContain('both say the same');
  const hurrow = await started(start, { ...env, HURROW_DEMO: '1', PORT: String(await freePort()) });
  const courses = async () =>
    (await ask(url, 'select name from course order by name')).map(({ name }) => name);
  expect(await (await fetch(`${hurrow.url}/readyz`)).json()).toEqual({ ready: true });
  const planted = await courses();
  expect(planted).toHaveLength(2);
  // Nothing is moved under a Hurrow that runs.
  expect(refused(toFolder, env)).toContain('Stop all its processes first');
  // What is done to a folder is not done behind its back.
  for (const command of ['backup', 'restore -- FILE', 'repair'])
    expect(refused(`npm run ${command}`, env)).toContain('DATABASE_URL is set');
  await hurrow.stop();
  // A second move finds data there and says so.
  expect(refused(toServer, env)).toContain('There are data already');

  // A file of everything, and back from it.
  const at = (command: string) => command.replaceAll('hurrow.dump', join(folder, 'hurrow.dump'));
  ran(at(dump), env);
  await ask(url, `update course set name = 'changed'`);
  ran(at(restore), env);
  expect(await courses()).toEqual(planted);

  // Back into a folder.
  expect(ran(toFolder, { ...env, HURROW_DATA: join(folder, 'data') })).toContain('both say the same');

  // The log is kept, and a base backup made; then a mishap, and back to the moment before it.
  for (const line of IN_SERVER.map(place)) {
    const [, name, value] = /^(\w+) = '?(.*?)'?$/.exec(line)!;
    await ask(server.url, `alter system set ${name} = '${value}'`);
  }
  await ask(server.url, 'alter role hurrow replication');
  server.crash();
  server.start();
  ran(place(baseBackup), env);
  await ask(url, `update course set name = 'kept' where name = '${String(planted[0])}'`);
  const [{ now }] = (await ask(url, 'select clock_timestamp()::text as now')) as [{ now: string }];
  await ask(url, `update course set name = 'a mishap'`);
  const [{ written }] = (await ask(server.url, 'select pg_walfile_name(pg_switch_wal()) as written')) as [
    { written: string },
  ];
  // What is not kept cannot be gone back to.
  await expect
    .poll(
      async () =>
        (await ask(server.url, 'select last_archived_wal as kept from pg_stat_archiver'))[0]!['kept'],
    )
    .toBe(written);
  server.crash();
  writeFileSync(join(base, 'recovery.signal'), '');
  for (const line of FOR_RECOVERY.map(place))
    appendFileSync(
      join(base, 'postgresql.auto.conf'),
      `${line.replace(/(recovery_target_time = ').*'/, `$1${now}'`)}\n`,
    );
  server.give(folder);
  server.start(base);
  await expect
    .poll(async () => (await ask(url, 'select pg_is_in_recovery() as still'))[0]!['still'])
    .toBe(false);
  expect(await courses()).toEqual(['kept', planted[1]].sort());
  server.stop(base);
});
