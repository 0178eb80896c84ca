export * from './character.ts';
export * from './vocabulary.ts';
