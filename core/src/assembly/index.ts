export * from './candidates.ts';
export * from './expected.ts';
export * from './kinds.ts';
export * from './propose.ts';
export * from './relaxedWords.ts';
export * from './wishes.ts';
export * from './order.ts';
