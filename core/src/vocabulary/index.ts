export * from './applies.ts';
export * from './character.ts';
export {
  CONVENTION_LENGTH,
  conventionOf,
  saidBehind,
  STANDINGS,
  standingOf,
  type Standing,
} from './standing.ts';
export * from './vocabulary.ts';
