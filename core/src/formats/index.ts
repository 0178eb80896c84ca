export * from './darwinCore.ts';
export * from './readSdd.ts';
export * from './responseTable.ts';
export * from './roster.ts';
export * from './scoreTable.ts';
export * from './sdd.ts';
export * from './table.ts';
export * from './taxonTable.ts';
