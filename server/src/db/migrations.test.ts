import { endThreads } from '../thread.ts';
import { createApp } from '../app.ts';
import { jobsOn } from '../jobs/kinds.ts';
import { Caller, CONFIG, openedClass, OWNER, startHurrow } from '../testing/testHurrow.ts';
import { serverStore } from '../testing/serverStore.ts';
import { openInMemory, type Db } from './index.ts';
import { bringOn, migrate, migrations } from './migrate.ts';

interface Table {
  name: string;
  columns: string[];
  rows: object[];
}

/** Tables of a store with their columns, and their rows where wanted; sessions and what only passes through are no data. */
async function tables(db: Db, withRows = true): Promise<Map<string, Table>> {
  const found = await db.query<{ name: string; columns: string[] }>(
    `select table_name as name, array_agg(column_name::text order by ordinal_position) as columns
       from information_schema.columns where table_schema = 'public' and table_name not in ('migration', 'session', 'job', 'arriving_score')
      group by 1 order by 1`,
  );
  const all = new Map<string, Table>();
  for (const { name, columns } of found) {
    const rows = withRows
      ? (await db.query<{ row: object }>(`select to_jsonb(x) as row from "${name}" x`)).map(({ row }) => row)
      : [];
    all.set(name, { name, columns, rows });
  }
  return all;
}

/** Puts the rows of a newer store into an older one, as far as that had columns for them. */
async function fill(db: Db, newer: ReadonlyMap<string, Table>): Promise<void> {
  const older = [...(await tables(db, false)).values()];
  await db.transaction(async (tx) => {
    for (const { table, name } of await tx.query<{ table: string; name: string }>(
      `select conrelid::regclass::text as "table", conname as name from pg_constraint
         where contype = 'f' and connamespace = 'public'::regnamespace`,
    ))
      await tx.script(`alter table ${table} alter constraint "${name}" deferrable initially deferred`);
    for (const { name, columns } of older) {
      const { rows = [], columns: now = [] } = newer.get(name) ?? {};
      const shared = columns.filter((column) => now.includes(column)).map((column) => `"${column}"`);
      await tx.script(`alter table "${name}" disable trigger user`);
      await tx.query(
        `insert into "${name}" (${shared.join(', ')}) overriding system value
           select ${shared.join(', ')} from jsonb_populate_recordset(null::"${name}", $1::jsonb)`,
        [JSON.stringify(rows)],
      );
    }
    await tx.script('set constraints all immediate');
    for (const { name } of older) await tx.script(`alter table "${name}" enable trigger user`);
  });
}

/** Rows reduced to some columns, in an order of their own. */
const reduced = (rows: readonly object[], columns: readonly string[]): string[] =>
  rows.map((row) => JSON.stringify(columns.map((column) => (row as Record<string, unknown>)[column]))).sort();

/** Every version but the newest, by its last migration, and how many it had. */
const VERSIONS = migrations()
  .slice(0, -1)
  .map((name, i) => [name, i + 1] as const);
/** Those before a migration that changes rows and not only tables. */
const BEFORE_ROWS_CHANGE = [1, 5, 10, 12];

describe.each([
  ['the embedded store', () => openInMemory(), VERSIONS.filter(([, n]) => BEFORE_ROWS_CHANGE.includes(n))],
  ['a PostgreSQL server', serverStore, VERSIONS],
] as const)('on %s', (_name, open, versions) => {
  let db: Db;
  let newest: Map<string, Table>;
  beforeAll(async () => {
    const hurrow = await startHurrow();
    const { rowan, planted } = await openedClass(hurrow);
    const [station] = await hurrow.db.query<{ id: string }>(
      'select id from station order by position limit 1',
    );
    await rowan.post('/api/sit/responses', {
      responses: [
        {
          id: '0f8fad5b-d9cb-469f-a165-70867728950e',
          stationId: station!.id,
          answer: { genus: 'Acer', epithet: 'rubrum' },
          device: 'phone',
          sequence: 1,
          writtenAt: '2026-10-15T16:00:00Z',
        },
      ],
    });
    await hurrow.owner.post(`/api/quizzes/${planted.quizId}/close`);
    newest = await tables(hurrow.db);
    await hurrow.close();
    db = await open();
  });
  afterAll(async () => {
    await db.close();
    await endThreads();
  });

  test.each(versions)(
    'data of the version of %s are brought to the newest: nothing of it is lost, and it is read',
    async (_last, upTo) => {
      await db.script('drop schema public cascade; create schema public');
      await bringOn(db, migrations().slice(0, upTo));
      await fill(db, newest);
      const before = await tables(db);
      expect(before.get('response')!.rows).toHaveLength(1);
      await migrate(db);
      const after = await tables(db);
      for (const [name, { columns, rows }] of before) {
        const kept = columns.filter((column) => after.get(name)!.columns.includes(column));
        expect([name, reduced(after.get(name)!.rows, kept)]).toEqual([name, reduced(rows, kept)]);
      }
      await read(db);
    },
  );
});

/** Reads it as its owner does: the library, the course, and the marks of its quiz. */
async function read(db: Db): Promise<void> {
  const jobs = jobsOn(db);
  const server = createApp(db, CONFIG, jobs).listen(0);
  await new Promise((resolve) => server.once('listening', resolve));
  const owner = new Caller(`http://localhost:${(server.address() as { port: number }).port}`);
  await owner.post('/api/session/account', { email: OWNER.email, password: OWNER.password });
  const library = await owner.get<{ taxa: unknown[] }>('/api/library');
  expect(library.body.taxa).toHaveLength(2);
  const [course] = (await owner.get<{ id: string }[]>('/api/courses')).body;
  const { quizzes } = (await owner.get<{ quizzes: { id: string }[] }>(`/api/courses/${course!.id}`)).body;
  const marks = await owner.get<{ answers: { mark: { resolution: { taxonId: string } } }[] }>(
    `/api/quizzes/${quizzes[0]!.id}/marks`,
  );
  expect(marks.body.answers.map(({ mark }) => mark.resolution.taxonId)).toEqual(['acer-rubrum']);
  await jobs.close();
  server.closeAllConnections();
  server.close();
}
