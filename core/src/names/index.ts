export * from './answer.ts';
export * from './fold.ts';
export { markAnswer } from './mark.ts';
export {
  DEFAULT_MARKING,
  fullPoints,
  lessened,
  NAMING_POLICIES,
  PARTS_ASKED,
  POLICY_TITLES,
  calledOf,
  SURENESS,
  UNCALLED,
  SURENESS_WORDS,
  type Answer,
  type AnswerPart,
  type Mark,
  type MarkingPolicy,
  type NamePart,
  type NamingPolicy,
  type PartMark,
  type PartQuality,
  type Ruling,
  type Sureness,
} from './policy.ts';
export { otherPlants } from './otherPlants.ts';
export * from './resolve.ts';
export { slip, slipsAllowed } from './slip.ts';
