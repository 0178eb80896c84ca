export * from './disagreements.ts';
export * from './library.ts';
export * from './namedIn.ts';
export * from './readLibrary.ts';
export * from './search.ts';
