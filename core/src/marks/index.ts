export * from './remarked.ts';
export * from './second.ts';
export * from './term.ts';
export * from './trouble.ts';
