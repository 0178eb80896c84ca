export * from './bhattacharyya.ts';
export * from './contrast.ts';
export * from './error.ts';
export * from './gaps.ts';
export * from './readings.ts';
export { normalCdf } from './numbers.ts';
