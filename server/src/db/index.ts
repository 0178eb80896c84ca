export * from './db.ts';
export type { Kept } from './journal.ts';
export * from './migrate.ts';
export * from './pglite.ts';
