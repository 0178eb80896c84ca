import type { Db } from '../db/index.ts';

/** Milliseconds from which a statement is named in the log. */
export const SLOW = 250;

/** What is told in the place of a statement when rows are brought to the disk. */
export const KEEP = 'keep';

/** Told of each statement: its words, without what was filled in, and how long it took in milliseconds. */
export type Watcher = (sql: string, took: number) => void;

/**
 * The same store, with every statement timed, those inside transactions too.
 *
 * @example
 * const db = watched(store, (sql, took) => took > SLOW && log.warn({ sql, took }, 'slow query'));
 */
export function watched(db: Db, tell: Watcher): Db {
  const timed = async <T>(sql: string, work: () => Promise<T>): Promise<T> => {
    const from = performance.now();
    try {
      return await work();
    } finally {
      tell(sql.replace(/\s+/g, ' ').trim(), performance.now() - from);
    }
  };
  return {
    ...db,
    query: <Row>(sql: string, parameters?: unknown[]) => timed(sql, () => db.query<Row>(sql, parameters)),
    script: (sql) => timed(sql, () => db.script(sql)),
    keep: (rows) => timed(KEEP, () => db.keep(rows)),
    kept: () => db.kept(),
    strike: (ids) => db.strike(ids),
    tell: (channel, about) => db.tell(channel, about),
    transaction: (work) => db.transaction((tx) => work(watched(tx, tell))),
  };
}
