export * from './effective.ts';
export * from './freeze.ts';
export * from './station.ts';
