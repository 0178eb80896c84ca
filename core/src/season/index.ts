export * from './arc.ts';
export * from './calendar.ts';
export * from './checks.ts';
export * from './hopkins.ts';
export * from './parse.ts';
export * from './dayAfter.ts';
