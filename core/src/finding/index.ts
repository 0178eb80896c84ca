export * from './groups.ts';
export * from './ofStudent.ts';
export * from './piece.ts';
export * from './ranked.ts';
export * from './say.ts';
export * from './verdict.ts';
export * from './wording.ts';
