export * from './parting.ts';
export * from './piles.ts';
export * from './table.ts';
