export * from './fold.ts';
export * from './mark.ts';
export * from './resolve.ts';
