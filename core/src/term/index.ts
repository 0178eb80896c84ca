export * from './prospects.ts';
export * from './judge.ts';
export * from './propose.ts';
export * from './wishes.ts';
