export * from './taxon.ts';
