export * from './effective.ts';
