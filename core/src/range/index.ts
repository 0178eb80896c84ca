export * from './facts.ts';
export * from './geojson.ts';
export * from './grid.ts';
export * from './habitat.ts';
export * from './range.ts';
export * from './words.ts';
export * from './degrees.ts';
