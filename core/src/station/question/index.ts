export * from './fairness.ts';
export * from './fix.ts';
export * from './mark.ts';
export * from './question.ts';
export { sheetOf } from './sort.ts';
export { byLot, settlersOf } from './settling.ts';
