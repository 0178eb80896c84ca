export * from './program.ts';
export * from './highs.ts';
