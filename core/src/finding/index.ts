export * from './groups.ts';
export * from './ofStudent.ts';
export * from './ranked.ts';
export * from './say.ts';
export * from './verdict.ts';
