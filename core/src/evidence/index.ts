export * from './bhattacharyya.ts';
export * from './contrast.ts';
export * from './contrastOf.ts';
export * from './error.ts';
export * from './gaps.ts';
export * from './hittingSet.ts';
export * from './readings.ts';
export * from './singlesOut.ts';
export { normalCdf } from './numbers.ts';
