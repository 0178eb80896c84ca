export * from './features.ts';
export * from './metres.ts';
export * from './order.ts';
export * from './paths.ts';
export * from './tree.ts';
