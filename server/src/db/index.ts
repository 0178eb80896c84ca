export * from './db.ts';
export * from './migrate.ts';
export * from './pglite.ts';
