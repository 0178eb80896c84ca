import { spawnSync } from 'node:child_process';
import { fileURLToPath } from 'node:url';
import { startPostgres } from '../../../setup/postgres.mjs';
import { demoFolder } from '../start.ts';
import { milliseconds, type Row } from '../row.ts';
import { asking, report } from './asking.ts';
import { submitting } from './load.ts';
import { plantDepartment } from './plant.ts';
import { Person, startOn } from './processes.ts';

/** `npm run load`: a department on a PostgreSQL server and two processes; takes some minutes and gigabytes. */
const [courses = 50, students = 100, quizzes = 21, taxa = 1000, rounds = 3000] = process.argv
  .slice(2)
  .map(Number);
const root = fileURLToPath(new URL('../../../', import.meta.url));
const PORTS = [46_851, 46_852];
const PARTS = 6;

const rows: Row[] = [];
const say = (row: Row) => {
  rows.push(row);
  console.log(`${row.what}  ${row.value}${row.wanted ? `  wanted ${row.wanted}` : ''}`);
};
const since = (from: number) => `${((performance.now() - from) / 1000).toFixed(1)} s`;

const postgres = await startPostgres(['shared_buffers=1GB', 'max_wal_size=4GB', 'work_mem=32MB']);
const { folder, remove } = demoFolder();
const running = [];
try {
  const moved = performance.now();
  const ran = spawnSync(process.execPath, ['server/dist/care.js', 'move', 'to-server'], {
    cwd: root,
    encoding: 'utf8',
    env: { ...process.env, HURROW_DATA: folder, DATABASE_URL: postgres.url },
  });
  if (ran.status !== 0) throw new Error(ran.stderr);
  say({ what: 'the demo moved to a server and compared', value: since(moved) });
  const planted = performance.now();
  const { answers } = await plantDepartment(postgres.url, { courses, students, quizzes, taxa });
  say({
    what: `planted: ${courses} courses, ${taxa} more taxa × 120 characters, ${answers} answers`,
    value: since(planted),
  });
  for (const port of PORTS) running.push(await startOn(postgres.url, port));
  const bases = running.map(({ base }) => base);
  const instructor = new Person(bases);
  await instructor.ask('POST', '/api/session/demo', { as: 'instructor' });
  const library = await instructor.ask('GET', '/api/library');
  say({
    what: `the library, first asked for (${Math.round(library.text.length / 1e6)} MB unpacked)`,
    value: milliseconds(library.took),
  });
  const all = await instructor.json<{ id: string; name: string }[]>('/api/courses');
  const unread = all.filter(({ name }) => name.startsWith('Course ')).at(-1)!;
  say({
    what: `confusions of a course of ${students * (quizzes - 1) * 20} answers, computed`,
    value: milliseconds(await report(instructor, unread.id)),
    wanted: '< 10 s',
  });
  for (const row of await asking(instructor)) say(row);
  for (const row of await submitting(bases, courses)) say(row);
  // As many calls as an hour of a busy day has, in parts: memory may rise to what it needs, and then has to stay.
  const addresses = [
    '/api/courses',
    `/api/courses/${unread.id}`,
    '/api/library/search?q=naked',
    `/api/courses/${unread.id}/practice`,
  ];
  const memories = [await Promise.all(running.map(({ memory }) => memory()))];
  for (let part = 0; part < PARTS; part += 1) {
    for (let i = 0; i < rounds / PARTS; i += 1)
      await Promise.all(addresses.map((path) => instructor.ask('GET', path)));
    memories.push(await Promise.all(running.map(({ memory }) => memory())));
  }
  say({
    what: `memory of each process, MB, before ${rounds * addresses.length} calls and after each ${PARTS}th of them`,
    value: memories.map((each) => each.map(Math.round).join(' and ')).join('; '),
    wanted: 'no rise in the last parts',
  });
} finally {
  for (const { child } of running) child.kill('SIGKILL');
  remove();
  postgres.stop();
}
