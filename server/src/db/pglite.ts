import { PGlite, type Transaction } from '@electric-sql/pglite';
import type { Db } from './db.ts';
import type { Journal, Kept } from './journal.ts';
import { turns } from './turns.ts';

export const statements = (handle: PGlite | Transaction): Pick<Db, 'query' | 'script'> => ({
  query: async <Row>(sql: string, parameters?: unknown[]) => (await handle.query<Row>(sql, parameters)).rows,
  script: async (sql) => {
    await handle.exec(sql);
  },
});

/**
 * A store whose PGlite may be another one later. Whoever asks while it changes waits.
 *
 * @param open resolves with the PGlite of now
 */
export function dbOf(
  open: () => Promise<PGlite>,
  journal: Journal | undefined,
  close: () => Promise<void>,
): Db {
  const inTurn = turns();
  const keep = async (rows: readonly Kept[]) => journal?.append(rows);
  const kept = async <Row extends Kept>() => (await journal?.rows<Row>()) ?? [];
  const strike = async (ids: readonly string[]) => journal?.strike(new Set(ids));
  return {
    query: <Row>(sql: string, parameters?: unknown[]) =>
      inTurn(async () => statements(await open()).query<Row>(sql, parameters)),
    script: (sql) => inTurn(async () => statements(await open()).script(sql)),
    transaction: async (work) => {
      const later: Kept[] = [];
      const result = await inTurn(async () =>
        (await open()).transaction((tx) => {
          const inside: Db = {
            ...statements(tx),
            transaction: (nested) => nested(inside),
            keep: async (rows) => void later.push(...rows),
            kept,
            strike,
            close,
          };
          return work(inside);
        }),
      );
      await keep(later);
      return result as never;
    },
    keep,
    kept,
    strike,
    close,
  };
}

/** A store in memory, for tests and tools; starts as a copy of `packed` when one is given. */
export async function openInMemory(packed?: Blob): Promise<Db & { pack(): Promise<Blob> }> {
  const pglite = await PGlite.create(packed ? { loadDataDir: packed } : {});
  const db = dbOf(
    async () => pglite,
    undefined,
    () => pglite.close(),
  );
  return { ...db, pack: () => pglite.dumpDataDir('none') };
}
