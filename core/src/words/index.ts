export * from './counted.ts';
