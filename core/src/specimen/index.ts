export * from './draw.ts';
export * from './scene.ts';
export * from './svg.ts';
export * from './traits.ts';
export type { Point } from './geometry.ts';
