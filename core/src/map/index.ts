export * from './atlas.ts';
export * from './baseMap.ts';
export * from './rangeMap.ts';
