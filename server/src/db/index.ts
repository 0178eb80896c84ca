export * from './db.ts';
export { Journal, type Kept } from './journal.ts';
export * from './migrate.ts';
export * from './folderStore.ts';
export { openInMemory } from './pglite.ts';
export { FolderInUse, lockFolder } from './lock.ts';
export * from './rowsByTable.ts';
export { bringToDisk } from './storeFiles.ts';
export { forget, remember } from './remember.ts';
