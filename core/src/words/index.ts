export * from './counted.ts';
export * from './firstLetter.ts';
