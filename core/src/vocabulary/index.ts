export * from './applies.ts';
export * from './character.ts';
export { CONVENTION_LENGTH, conventionOf, saidBehind, standingOf } from './standing.ts';
export { ENGLISH, putIn, sayingOf, type Saying, type Size } from './saying.ts';
export type * from './telling.ts';
export { saidIn, wordIn, type Tongue } from './tongue.ts';
export * from './vocabulary.ts';
