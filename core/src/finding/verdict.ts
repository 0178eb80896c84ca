import { misreadOrOverlooked, type CharacterFinding, type ReadingFinding } from '../confusion/index.ts';

/** What is said of how a class uses a character, from the gravest that is sure to the least. */
export type Verdict =
  /** Read wrongly even by those who are asked to look. */
  | 'misread'
  /** Surely less than half of its worth is used. */
  | 'hardly looked at'
  /** Surely less than its worth is used. */
  | 'used too little'
  /** By the figures less than its worth is used, but the answers do not bear it out yet. */
  | 'perhaps overlooked'
  /** Used as well as the typical one; using it better would still have helped. */
  | 'used no better than the rest';

/** Shares of worth below which a use counts as hardly any, and as too little by the figures alone. */
const HARDLY = 0.5;
const TOO_LITTLE = 0.8;

/**
 * The gravest word that the answers bear: “hardly looked at” is said only where the whole 90 % interval of its use lies below a half, and
 * “used too little” only where it lies below the full worth.
 *
 * @param reading how it is read by those who are asked to look, if any were
 * @example
 * verdictOf({ worth: { share: 0, interval: [0, 1.38] } }, undefined); // 'perhaps overlooked'
 */
export function verdictOf(
  { worth }: Pick<CharacterFinding, 'worth'>,
  reading: ReadingFinding | undefined,
): Verdict {
  if (!worth) return 'used no better than the rest';
  const { share, interval } = worth;
  if (share < TOO_LITTLE && reading && misreadOrOverlooked(reading) === 'misread') return 'misread';
  if (interval[1] < HARDLY) return 'hardly looked at';
  if (interval[1] < 1) return 'used too little';
  return share < TOO_LITTLE ? 'perhaps overlooked' : 'used no better than the rest';
}
