export * from './applies.ts';
export * from './character.ts';
export * from './vocabulary.ts';
