import type { NamedTaxon, Resolution } from './resolve.ts';

export const NAMING_POLICIES = ['common', 'genus', 'binomial', 'binomialFamily'] as const;
export type NamingPolicy = (typeof NAMING_POLICIES)[number];

export const POLICY_TITLES: Record<NamingPolicy, string> = {
  common: 'common name',
  genus: 'genus',
  binomial: 'genus and epithet',
  binomialFamily: 'genus, epithet and family',
};

export interface MarkingPolicy {
  policy: NamingPolicy;
  /** Points for each part that the policy asks for. */
  points: { name: number; genus: number; epithet: number; family: number };
  /** Taken off for each misspelled part; a part never falls below zero. */
  deduction: number;
}

export const DEFAULT_MARKING: MarkingPolicy = {
  policy: 'binomialFamily',
  points: { name: 2, genus: 1, epithet: 1, family: 1 },
  deduction: 0.25,
};

/** What a student wrote, verbatim: one line, or the parts of a scientific name. */
export interface Answer {
  name?: string;
  genus?: string;
  epithet?: string;
  family?: string;
  /** What was answered where no name is asked: the id of a state or character that was chosen, or a number as it was written. */
  said?: string;
  /** The states that were seen, by character, where the station asks “what do you see”. They bear no points. */
  seen?: Record<string, string>;
  /** What it was named by, where the station asks: ids of characters, or that it was the whole look, or a guess. It bears no points. */
  wentBy?: string[];
  /** What a paper says besides that it was named by, in words that the rules can't read: they are ruled on. */
  wentByUnread?: string[];
  /** How sure the student says to be of the name. It bears no points. */
  sure?: Sureness;
}

/** Stands for a specimen that was not called. */
export const UNCALLED = '-';

/** What each of several specimens was called, in their order. */
export const calledOf = (said: string, count: number): (string | undefined)[] => {
  const ids = said.trim().split(/\s+/);
  return Array.from({ length: count }, (_, i) => (ids[i] && ids[i] !== UNCALLED ? ids[i] : undefined));
};

export const SURENESS = ['sure', 'half', 'guess'] as const;
/** Sure, half sure, or a guess. */
export type Sureness = (typeof SURENESS)[number];
export const SURENESS_WORDS: Record<Sureness, string> = {
  sure: 'sure',
  half: 'half sure',
  guess: 'a guess',
};

/** What of an answer is a name. */
export type NamePart = 'name' | 'genus' | 'epithet' | 'family';
/** What is marked of an answer: a name, or what was said where something else was asked. */
export type AnswerPart = NamePart | 'said';

/** How well a part was written. What is right but incomplete is `partly`; what the instructor decided is `ruled`. */
export type PartQuality = 'right' | 'misspelled' | 'partly' | 'wrong' | 'missing' | 'ruled';

export interface PartMark {
  part: AnswerPart;
  written: string;
  points: number;
  outOf: number;
  quality: PartQuality;
  /** How many letters are wrong in what is misspelled, weighed as `slip` does. */
  off?: number;
  /** The reason in words. */
  remark: string;
}

export interface Mark {
  points: number;
  outOf: number;
  parts: PartMark[];
  /** The taxon of the list that was named, rightly or wrongly. */
  resolution: Resolution;
}

/** An instructor's word on an answer, which outweighs the rules: it counts as this taxon, or as none. */
export interface Ruling {
  taxonId: string | null;
  /** Points given by hand to parts of the answer. */
  points?: Partial<Record<AnswerPart, number>>;
}

/** The parts that a policy asks for. */
export const PARTS_ASKED: Record<NamingPolicy, NamePart[]> = {
  common: ['name'],
  genus: ['genus'],
  binomial: ['genus', 'epithet'],
  binomialFamily: ['genus', 'epithet', 'family'],
};

/**
 * Full points of an answer.
 *
 * @example
 * fullPoints({ policy: 'binomial', points: { name: 2, genus: 1, epithet: 1, family: 1 }, deduction: 0.25 }); // 2
 */
export const fullPoints = ({ policy, points }: MarkingPolicy): number =>
  PARTS_ASKED[policy].reduce((sum, part) => sum + points[part], 0);

/** What a part is worth that is misspelled. */
export const lessened = (outOf: number, { deduction }: MarkingPolicy): number =>
  Math.max(0, outOf - deduction);

/** What a mark is made from. */
export interface Judged {
  answer: Answer;
  truth: NamedTaxon;
  /** The taxon of the list that was named. */
  named: NamedTaxon | undefined;
  resolution: Resolution;
  marking: MarkingPolicy;
  /** A ruling outweighs the reading. */
  isRuled: boolean;
}
