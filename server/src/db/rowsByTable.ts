import type { Db } from './db.ts';

/**
 * Reads every row of every table and counts them. The rows' own words are read, and not only their number: a page whose checksum is wrong
 * throws.
 *
 * @example
 * await rowsByTable(db); // { account: 3, course: 2, … }
 */
export async function rowsByTable(db: Pick<Db, 'query'>): Promise<Record<string, number>> {
  const rows: Record<string, number> = {};
  const tables = await db.query<{ name: string }>(
    `select tablename as name from pg_tables where schemaname = 'public' order by 1`,
  );
  for (const { name } of tables) {
    const [row] = await db.query<{ n: number }>(
      `select count(*)::int as n, sum(length(x::text)) from "${name}" x`,
    );
    rows[name] = row!.n;
  }
  return rows;
}
