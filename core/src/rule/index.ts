export * from './check.ts';
export * from './mine.ts';
export * from './rule.ts';
