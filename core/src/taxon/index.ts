export * from './language.ts';
export * from './taxon.ts';
