export * from './pairs.ts';
