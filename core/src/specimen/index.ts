export * from './draw.ts';
export * from './glyphs.ts';
export * from './scene.ts';
export * from './statePicture.ts';
export * from './svg.ts';
export * from './traits.ts';
export * from './words.ts';
export type { Point } from './geometry.ts';
