export * from './change.ts';
export * from './doubt.ts';
export * from './overlooked.ts';
export * from './scene.ts';
export * from './told.ts';
export * from './sure.ts';
