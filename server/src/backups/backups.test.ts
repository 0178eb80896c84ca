import { spawnSync } from 'node:child_process';
import { once } from 'node:events';
import { cpSync, mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { builtAfterSources } from '../../../setup/install.mjs';
import { createApp } from '../app.ts';
import { migrate, openFolder, type Db } from '../db/index.ts';
import { jobsOn } from '../jobs/kinds.ts';
import { bringBack } from '../quizzes/receive.ts';
import { Caller, CONFIG, MAPLES, OWNER, plantCourse } from '../testing/testHurrow.ts';
import { backupsOn, fileName, isBackupName, tidy } from './shelf.ts';

const packed = process.env['HURROW_PACKED_STORE']!;
const at = mkdtempSync(join(tmpdir(), 'hurrow-backups-'));
let stopRunning: (() => Promise<void>) | undefined;
afterEach(() => stopRunning?.());
afterAll(() => {
  rmSync(at, { recursive: true });
});

/** A Hurrow on the folder, until it is stopped. */
async function running(folder: string) {
  const db = await openFolder(folder, { packed });
  await migrate(db);
  await bringBack(db);
  const jobs = jobsOn(db);
  const server = createApp(db, CONFIG, jobs).listen(0);
  await once(server, 'listening');
  const base = `http://localhost:${(server.address() as AddressInfo).port}`;
  const stop = async () => {
    stopRunning = undefined;
    await jobs.close();
    server.closeAllConnections();
    server.close();
    await db.close();
  };
  stopRunning = stop;
  return { db, caller: () => new Caller(base), stop };
}

/** The command as it is built, which begins in a tenth of the time; from source where the build is older. */
const CARE = builtAfterSources()
  ? [fileURLToPath(new URL('../../dist/care.js', import.meta.url))]
  : ['--import', 'tsx', fileURLToPath(new URL('./care.ts', import.meta.url))];

/** What an instructor types. */
function command(folder: string, ...words: string[]) {
  const ran = spawnSync(process.execPath, [...CARE, ...words], {
    encoding: 'utf8',
    env: { ...process.env, HURROW_DATA: folder, HURROW_BACKUPS: '' },
  });
  return { code: ran.status, said: ran.stdout + ran.stderr };
}

const answer = (stationId: string, sequence: number) => ({
  id: `00000000-0000-4000-8000-${String(sequence).padStart(12, '0')}`,
  stationId,
  answer: { genus: 'Acer', epithet: 'rubrum' },
  device: 'phone',
  sequence,
  writtenAt: '2026-09-10T10:00:00Z',
});
const answersIn = async (db: Db) =>
  (await db.query<{ n: number }>('select count(*)::int as n from response'))[0]!.n;

test('a backup made while students answer is whole; restored, what came later is back, and everyone signs in again', async () => {
  const hurrow = await running(join(at, 'lab'));
  const owner = hurrow.caller();
  const place = { libraryName: 'Lab', latitude: 47, longitude: -116, elevation: 800 };
  await owner.post('/api/setup', { ...OWNER, ...place });
  const { quizId, code } = await plantCourse(owner);
  await owner.post(`/api/quizzes/${quizId}/open`, {});
  const student = hurrow.caller();
  await student.post('/api/session/student', { courseCode: code, personalCode: 'ROWAN1' });
  const { open } = (await student.get<{ open: { stations: { id: string }[] }[] }>('/api/sit')).body;
  const station = open[0]!.stations[0]!.id;
  const send = (sequence: number) =>
    student.post('/api/sit/responses', { responses: [answer(station, sequence)] });

  for (let n = 1; n <= 5; n += 1) expect((await send(n)).status).toBe(200);
  const making = owner.post<{ name: string }>('/api/backups');
  for (let n = 6; n <= 20; n += 1) expect((await send(n)).status).toBe(200);
  const made = await making;
  expect(made.status).toBe(200);
  const { name } = made.body;
  await owner.post('/api/courses', { ...MAPLES, name: 'Made after the backup' });

  const shelf = (await owner.get<{ backups: { name: string; holds: object }[] }>('/api/backups')).body
    .backups;
  expect(shelf).toEqual([
    expect.objectContaining({
      name,
      library: 'Lab',
      holds: { species: 2, courses: 1, students: 2, answers: expect.any(Number) as number, photographs: 0 },
    }),
  ]);
  const file = await owner.download(`/api/backups/${name}/file`);
  expect(file.equals(readFileSync(join(at, 'lab', 'backups', name)))).toBe(true);
  expect((await student.get('/api/backups')).status).toBe(403);
  expect((await owner.get('/api/backups/..%2Fanswers.journal/file')).status).toBe(404);
  const { text } = (await owner.get<{ text: string }>('/metrics')).body;
  expect(text).toMatch(/^hurrow_backup_made_seconds 1\d{9}/m);

  expect((await owner.post(`/api/backups/${name}/restore`, { sure: 'yes' })).status).toBe(422);
  const restored = await owner.post<{ back: number }>(`/api/backups/${name}/restore`, { sure: name });
  expect(restored.status).toBe(200);
  expect(await answersIn(hurrow.db)).toBe(20);
  expect((await owner.get('/api/courses')).status).toBe(401);
  await owner.post('/api/session/account', { email: OWNER.email, password: OWNER.password });
  expect((await owner.get<{ name: string }[]>('/api/courses')).body.map((c) => c.name)).toEqual(['Maples']);
  await hurrow.stop();
});

test('on another machine one command restores a backup; a file that is not whole changes nothing', () => {
  const [file] = readdirSync(join(at, 'lab', 'backups')).filter(isBackupName);
  const path = join(at, 'lab', 'backups', file!);
  const there = join(at, 'another machine');
  expect(command(there, 'restore', path)).toMatchObject({
    code: 0,
    said: expect.stringContaining('Restored the backup'),
  });
  const cut = join(at, fileName('cut'));
  writeFileSync(cut, readFileSync(path).subarray(0, 200_000));
  const before = readdirSync(there);
  const refused = command(there, 'restore', cut);
  expect(refused).toMatchObject({ code: 1, said: expect.stringContaining('This backup is not whole') });
  expect(readdirSync(there)).toEqual(before);
  expect(command(there, 'repair').said).toContain('is whole; nothing had to be replaced');
});

test('a store damaged when the machine went down is noticed at start, named, and brought back by one command', async () => {
  const lab = join(at, 'lab');
  expect(command(lab, 'backup')).toMatchObject({ code: 0, said: expect.stringContaining('Backed up') });
  const db = await openFolder(lab);
  const [table] = await db.query<{ path: string }>(`select pg_relation_filepath('response') as path`);
  // The files as they lie while the store is open: so a machine leaves them that goes down.
  const down = join(at, 'down');
  cpSync(lab, down, { recursive: true });
  await db.close();
  const file = join(down, 'store', table!.path);
  const bytes = readFileSync(file);
  writeFileSync(file, bytes.fill(0x5a, 4000, 4400));

  await expect(openFolder(down)).rejects.toThrow(
    /is damaged and cannot be opened.*invalid page.*npm run repair/,
  );
  const repaired = command(down, 'repair');
  expect(repaired).toMatchObject({ code: 0, said: expect.stringContaining('It is brought back') });
  const whole = await openFolder(down);
  expect(await answersIn(whole)).toBe(20);
  await whole.close();
  expect(readdirSync(down).some((name) => name.startsWith('store.before-'))).toBe(true);
});

test('where there is no whole backup, repair says so and touches nothing', () => {
  const alone = join(at, 'alone');
  cpSync(
    join(
      at,
      'down',
      readdirSync(join(at, 'down')).find((name) => name.startsWith('store.before-'))!,
    ),
    join(alone, 'store'),
    { recursive: true },
  );
  rmSync(join(alone, 'store', 'PG_VERSION'));
  const refused = command(alone, 'repair');
  expect(refused).toMatchObject({ code: 1, said: expect.stringContaining('There is no whole backup') });
  expect(readdirSync(alone)).toContain('store');
});

test('backups are kept for fourteen days, and the newest three for good', async () => {
  const shelf = join(at, 'lab', 'backups');
  const all = await backupsOn(shelf);
  expect(await tidy(shelf, new Date(Date.now() + 30 * 86_400_000))).toEqual(
    all.slice(3).map(({ name }) => name),
  );
  expect(await backupsOn(shelf)).toHaveLength(Math.min(3, all.length));
});
