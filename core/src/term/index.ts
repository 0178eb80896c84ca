export * from './commonness.ts';
export * from './judge.ts';
export * from './propose.ts';
export * from './prospects.ts';
export * from './wishes.ts';
