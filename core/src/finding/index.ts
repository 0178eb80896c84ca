export * from './ranked.ts';
export * from './say.ts';
export * from './verdict.ts';
