export * from './answer.ts';
export * from './fold.ts';
export { markAnswer } from './mark.ts';
export {
  DEFAULT_MARKING,
  NAMING_POLICIES,
  POLICY_TITLES,
  type Answer,
  type AnswerPart,
  type Mark,
  type MarkingPolicy,
  type NamingPolicy,
  type PartMark,
  type PartQuality,
  type Ruling,
} from './policy.ts';
export { otherPlants } from './otherPlants.ts';
export * from './resolve.ts';
export { latinSlip, slip, slipsAllowed } from './slip.ts';
export { writtenNames, FAMILY_WORDS, familyNear } from './written.ts';
