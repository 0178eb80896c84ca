export * from './rotation.ts';
export * from './bell.ts';
