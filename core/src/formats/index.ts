export * from './responseTable.ts';
export * from './roster.ts';
export * from './table.ts';
export * from './taxonTable.ts';
