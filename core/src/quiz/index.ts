export * from './effective.ts';
export * from './station.ts';
