export * from './fold.ts';
export * from './mark.ts';
export { otherPlants } from './otherPlants.ts';
export * from './resolve.ts';
export { latinSlip, slip, slipsAllowed } from './slip.ts';
export { writtenNames, FAMILY_WORDS, familyNear } from './written.ts';
