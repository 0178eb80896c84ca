import type { Db } from './db.ts';

/** Rows, and signs, that one statement takes over at most: of photographs and drawings fewer rows. */
const AT_ONCE = 500;
const SIGNS = 8_000_000;

/** Millions of rows take longer than a statement has otherwise, and one side waits while the other is read. */
const TAKE_TIME = 'set local statement_timeout = 0; set local idle_in_transaction_session_timeout = 0';

/** Rows of each table, a sum over all that is written in them, equal for equal rows in whatever order, and the signs of the longest. */
export type Sums = Record<string, { rows: number; sum: string; longest: number }>;

const tablesOf = async (db: Db): Promise<string[]> =>
  (
    await db.query<{ name: string }>(
      `select tablename as name from pg_tables where schemaname = 'public' order by 1`,
    )
  ).map(({ name }) => name);

/**
 * What is in a store, table by table, as numbers to compare.
 *
 * @example
 * await sumsOf(db); // { account: { rows: 3, sum: '811940…', longest: 214 }, … }
 */
export async function sumsOf(db: Db): Promise<Sums> {
  const sums: Sums = {};
  for (const table of await tablesOf(db)) {
    // When a migration ran is of the store and not of the data.
    const written = table === 'migration' ? 'x.name' : 'x::text';
    const [row] = await db.query<{ rows: number; sum: string; longest: number }>(
      `select count(*)::int as rows, coalesce(max(length(x::text)), 0)::int as longest,
              coalesce(sum(('x' || substr(md5(${written}), 1, 15))::bit(60)::bigint), 0)::text as sum from "${table}" x`,
    );
    sums[table] = row!;
  }
  return sums;
}

/** Tables that are not the same, each as “course: 3 rows and 2”; none where all are. */
export const differing = (a: Sums, b: Sums): string[] =>
  [...new Set([...Object.keys(a), ...Object.keys(b)])].flatMap((table) =>
    a[table]?.rows === b[table]?.rows && a[table]?.sum === b[table]?.sum
      ? []
      : `${table}: ${a[table]?.rows ?? 'no'} rows and ${b[table]?.rows ?? 'no'}`,
  );

/**
 * Copies all rows of a store into an empty one of the same shape, and looks whether both then say the same. All of it or nothing: throws, and
 * takes all back, where they differ.
 *
 * @returns rows by table
 */
export async function copyStore(from: Db, to: Db): Promise<Sums> {
  for (const db of [from, to]) await db.script(`set timezone = 'UTC'`);
  return to.transaction(async (into) => {
    await into.script(TAKE_TIME);
    const tables = (await tablesOf(from)).filter((table) => table !== 'migration');
    const links = await linksOf(into);
    // Rows come table by table: which refers to which is looked at again when all are there.
    for (const { table, name } of links) await into.script(`alter table ${table} drop constraint "${name}"`);
    for (const table of tables) await into.script(`alter table "${table}" disable trigger user`);
    // Sums and rows of the same moment, whoever writes meanwhile.
    const sums = await from.transaction(async (out) => {
      await out.script(TAKE_TIME);
      const before = await sumsOf(out);
      for (const table of tables) await copyTable(out, into, table, before[table]!.longest);
      return before;
    });
    for (const { table, name, definition } of links)
      await into.script(`alter table ${table} add constraint "${name}" ${definition}`);
    for (const table of tables) await into.script(`alter table "${table}" enable trigger user`);
    await numberOn(into);
    const different = differing(sums, await sumsOf(into));
    if (different.length > 0)
      throw new Error(
        `The copy is not what was copied (${different.join('; ')}), and was taken back. Nothing is lost; tell who looks after this Hurrow.`,
      );
    return sums;
  });
}

async function copyTable(out: Db, into: Db, table: string, longest: number): Promise<void> {
  const atOnce = Math.max(1, Math.min(AT_ONCE, Math.floor(SIGNS / Math.max(1, longest))));
  await out.script(`declare rows no scroll cursor for select x::text as row from "${table}" x`);
  for (;;) {
    const rows = await out.query<{ row: string }>(`fetch ${atOnce} from rows`);
    if (rows.length === 0) break;
    // Where PostgreSQL numbers rows by itself, they keep their numbers.
    await into.query(
      `insert into "${table}" overriding system value
         select (read.x).* from (select row::"${table}" as x from unnest($1::text[]) as row offset 0) as read`,
      [rows.map(({ row }) => row)],
    );
  }
  await out.script('close rows');
}

const linksOf = (db: Db) =>
  db.query<{ table: string; name: string; definition: string }>(
    `select conrelid::regclass::text as "table", conname as name, pg_get_constraintdef(oid) as definition
       from pg_constraint where contype = 'f' and connamespace = 'public'::regnamespace order by 1, 2`,
  );

/** Lets the numbers that PostgreSQL gives go on behind the highest that was copied. */
async function numberOn(db: Db): Promise<void> {
  const numbered = await db.query<{ table: string; column: string }>(
    `select table_name as "table", column_name as "column" from information_schema.columns
       where table_schema = 'public' and is_identity = 'YES'`,
  );
  for (const { table, column } of numbered)
    await db.query(
      `select setval(pg_get_serial_sequence($1, $2), coalesce((select max("${column}") from "${table}"), 0) + 1, false)`,
      [`"${table}"`, column],
    );
}
