export * from './applies.ts';
export * from './character.ts';
export { CONVENTION_LENGTH, conventionOf, saidBehind, standingOf } from './standing.ts';
export * from './vocabulary.ts';
