export * from './doubts.ts';
export * from './fairness.ts';
export * from './freeze.ts';
export * from './prompt.ts';
export * from './reader.ts';
export * from './seeing.ts';
export * from './station.ts';
export * from './wentBy.ts';
