export * from './view.ts';
export * from './words.ts';
