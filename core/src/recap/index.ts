export * from './memoryAid.ts';
export * from './recap.ts';
