export * from './fix.ts';
export * from './listener.ts';
export * from './sentence.ts';
export * from './shot.ts';
