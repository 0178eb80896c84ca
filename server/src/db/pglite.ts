import { PGlite, type Transaction } from '@electric-sql/pglite';
import type { Channel, Db } from './db.ts';
import type { Journal, Kept } from './journal.ts';
import { messages } from './told.ts';
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
  const { pass, hear } = messages();
  const tell = async (channel: Channel, about: string) => pass(channel, about);
  // One process has the store, and within it the first comes first.
  const alone = aloneInTurn();
  return {
    query: <Row>(sql: string, parameters?: unknown[]) =>
      inTurn(async () => statements(await open()).query<Row>(sql, parameters)),
    script: (sql) => inTurn(async () => statements(await open()).script(sql)),
    transaction: async (work) => {
      const later: Kept[] = [];
      const said: [Channel, string][] = [];
      const result = await inTurn(async () =>
        (await open()).transaction((tx) => {
          const inside: Db = {
            ...statements(tx),
            transaction: (nested) => nested(inside),
            keep: async (rows) => void later.push(...rows),
            kept,
            strike,
            tell: async (channel, about) => void said.push([channel, about]),
            hear,
            alone: (_name, nested) => nested(),
            shared: false,
            close,
          };
          return work(inside);
        }),
      );
      await keep(later);
      for (const [channel, about] of said) pass(channel, about);
      return result as never;
    },
    keep,
    kept,
    strike,
    tell,
    hear,
    alone,
    shared: false,
    close,
  };
}

/** Work of the same name one after another. */
function aloneInTurn(): Db['alone'] {
  const last = new Map<string, Promise<unknown>>();
  return (name, work) => {
    const done = (last.get(name) ?? Promise.resolve()).then(work, work);
    last.set(name, done);
    return done;
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
