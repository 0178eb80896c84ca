export * from './entries.ts';
export * from './standings.ts';
