export * from './doubts.ts';
export * from './effective.ts';
export * from './freeze.ts';
export * from './station.ts';
export * from './fairness.ts';
export * from './reader.ts';
export * from './seeing.ts';
