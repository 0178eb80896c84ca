export * from './asTyped.ts';
export * from './checks.ts';
export * from './parse.ts';
export * from './parseScore.ts';
export * from './reconcile.ts';
export * from './score.ts';
export * from './words.ts';
export * from './slips.ts';
export { relatives } from './relatives.ts';
