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

/** Shares above this count as full use. */
const FULL = 1.5;

/** How much of its worth is used, in words that the answers bear; the range only where a share is said. */
export interface UseSaid {
  text: string;
  range?: string;
}

/** How a use is said where a share alone does not. */
export interface UseWording {
  cantTell: string;
  asAny: string;
  orMore(share: string): string;
}

/**
 * How much of a character's worth a class uses: a share where there is one to say, “as well as any” above one and a half, and “can't tell yet”
 * where its 90 % interval reaches from hardly any to full use.
 *
 * @param worth use over that of the typical character, with its 90 % interval
 * @param wording how what is no share is said
 * @example
 * saidUse({ share: 0.62, interval: [0.4, 0.9] }, IN_ENGLISH); // { text: '62 %', range: '40–90 %' }
 * saidUse({ share: 0.04, interval: [0, 1] }, IN_ENGLISH); // { text: 'can’t tell yet' }
 */
export function saidUse(
  { share, interval: [low, high] }: NonNullable<CharacterFinding['worth']>,
  { cantTell, asAny, orMore }: UseWording,
): UseSaid {
  if (low < HARDLY && high >= 1) return { text: cantTell };
  // Nobody can teach by how much it goes beyond full use.
  if (share > FULL) return { text: asAny };
  return {
    text: percent(share),
    range: high > FULL ? orMore(percent(low)) : `${Math.round(low * 100)}–${percent(high)}`,
  };
}

const percent = (share: number): string => `${Math.round(share * 100)} %`;

/**
 * The gravest word that the answers bear. What is not said as sure is “perhaps overlooked” at most; of what is, “hardly looked at” is said only where the whole 90 % interval of its use lies below a half, and
 * “used too little” only where it lies below the full worth.
 *
 * @param reading how it is read by those who are asked to look, if any were
 * @example
 * verdictOf({ worth: { share: 0, interval: [0, 1.38] }, sure: false }, undefined); // 'perhaps overlooked'
 */
export function verdictOf(
  { worth, sure }: Pick<CharacterFinding, 'worth' | 'sure'>,
  reading: ReadingFinding | undefined,
): Verdict {
  if (!worth) return 'used no better than the rest';
  const { share, interval } = worth;
  if (share < TOO_LITTLE && reading && misreadOrOverlooked(reading) === 'misread') return 'misread';
  if (!sure) return share < TOO_LITTLE ? 'perhaps overlooked' : 'used no better than the rest';
  if (interval[1] < HARDLY) return 'hardly looked at';
  if (interval[1] < 1) return 'used too little';
  return share < TOO_LITTLE ? 'perhaps overlooked' : 'used no better than the rest';
}
