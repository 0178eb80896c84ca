import { spawnSync } from 'node:child_process';
import { fileURLToPath } from 'node:url';
import pg from 'pg';
import { startPostgres } from '../../../setup/postgres.mjs';
import { demoFolder } from '../start.ts';
import { plantDepartment } from './plant.ts';
import { Person, startOn } from './processes.ts';

/** `npm run growth`: what grows how, with ten, a hundred and a thousand courses of forty students and four quizzes of twenty stations. */
const STEPS = [10, 100, 1000];
const root = fileURLToPath(new URL('../../../', import.meta.url));
const { folder, remove } = demoFolder();

console.log(
  'courses   answers   database                indexes    ready after   page of a course, p95   memory of a process',
);
for (const courses of STEPS) {
  const postgres = await startPostgres(['shared_buffers=1GB', 'max_wal_size=4GB']);
  try {
    const env = { ...process.env, HURROW_DATA: folder, DATABASE_URL: postgres.url };
    const ran = spawnSync(process.execPath, ['server/dist/care.js', 'move', 'to-server'], {
      cwd: root,
      env,
      encoding: 'utf8',
    });
    if (ran.status !== 0) throw new Error(ran.stderr);
    const { answers } = await plantDepartment(postgres.url, { courses, students: 40, quizzes: 5, taxa: 0 });
    const client = new pg.Client({ connectionString: postgres.url });
    await client.connect();
    const { rows } = await client.query<{ all: string; indexes: string }>(
      `select pg_size_pretty(pg_database_size(current_database())) as all,
              pg_size_pretty((select sum(pg_indexes_size(oid)) from pg_class where relkind = 'r')) as indexes`,
    );
    await client.end();
    const began = performance.now();
    const running = await startOn(postgres.url, 46_853);
    const ready = performance.now() - began;
    const person = new Person([running.base]);
    await person.ask('POST', '/api/session/demo', { as: 'instructor' });
    const times: number[] = [];
    const all = await person.json<{ id: string }[]>('/api/courses');
    for (const { id } of all.slice(0, 40)) {
      const { quizzes } = await person.json<{ quizzes: { id: string }[] }>(`/api/courses/${id}`);
      for (const path of [`/api/courses/${id}`, `/api/quizzes/${quizzes[0]?.id}/marks`])
        if (quizzes[0]) times.push((await person.ask('GET', path)).took);
    }
    times.sort((a, b) => a - b);
    console.log(
      [
        String(courses).padStart(7),
        String(answers).padStart(9),
        rows[0]!.all.padStart(10),
        `indexes ${rows[0]!.indexes}`.padStart(21),
        `${Math.round(ready)} ms`.padStart(13),
        `${Math.round(times[Math.floor(times.length * 0.95)]!)} ms`.padStart(23),
        `${Math.round(await running.memory())} MB`.padStart(22),
      ].join(' '),
    );
    running.child.kill('SIGKILL');
  } finally {
    postgres.stop();
  }
}
remove();
