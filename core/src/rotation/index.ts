export * from './rotation.ts';
