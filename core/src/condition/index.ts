export * from './condition.ts';
export * from './words.ts';
