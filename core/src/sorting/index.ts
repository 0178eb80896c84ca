export * from './parting.ts';
export * from './piles.ts';
