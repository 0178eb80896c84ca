import type { Audience, UnitSystem } from '../../score/index.ts';
import type { Character } from '../../vocabulary/index.ts';

/** What a station asks in place of the name of its tree. */
export type Question =
  | { kind: 'family' }
  | { kind: 'genus' }
  /** A state of one character, chosen from all of them. */
  | { kind: 'state'; characterId: string }
  /** The tree or another, by its id: which of four characters tells them apart in what is shown. */
  | { kind: 'settles'; from: string }
  /** A count or a measure; right within a share of what is there, 0.2 for a fifth. */
  | { kind: 'number'; characterId: string; within?: number };

export type QuestionKind = Question['kind'];
export const QUESTION_KINDS = ['family', 'genus', 'state', 'settles', 'number'] as const;

/** What is asked, as it stands behind “ask for”. */
export const QUESTION_TITLES: Record<QuestionKind, string> = {
  family: 'its family',
  genus: 'its genus',
  state: 'one of its features',
  settles: 'what tells it from another',
  number: 'a count or a measure',
};

/** The same thing in terms and in plain words. */
export interface BothWays {
  term: string;
  plain: string;
}

/** What there is to choose from. */
export interface Offered extends BothWays {
  id: string;
  definition?: string;
}

/** What is asked in place of the name, in the words of a course. What is right is no part of it: students read it. */
export interface AskedOf {
  kind: QuestionKind;
  asked: string;
  /** Empty where something is written. */
  offered: { id: string; word: string; definition: string }[];
}

/** A question as it is fixed when its quiz opens, with all that marking it takes. Its `right` and `number` are never shown to students. */
export interface FrozenQuestion {
  kind: QuestionKind;
  /** The character or the other tree that it is about, by id; empty for family and genus. */
  about: string;
  asked: BothWays;
  /** Empty where something is written. */
  offered: Offered[];
  /** Ids of what is right among what is offered. */
  right: string[];
  /** What is right of a number, in stored units, and how it is read. */
  number?: { character: Character; units: UnitSystem; from: number; to: number };
}

/** How far a number may be off where nothing else is said: a count not at all, a measure by a fifth. */
export const usualWithin = ({ kind }: Pick<Character, 'kind'>): number => (kind === 'count' ? 0 : 0.2);

/**
 * In the words of a course.
 *
 * @example
 * inItsWords({ term: 'margin', plain: 'edge of the leaf' }, 'plain'); // 'edge of the leaf'
 */
export const inItsWords = ({ term, plain }: BothWays, audience: Audience): string =>
  audience === 'plain' ? plain : term;

/**
 * A question as students read it.
 *
 * @example
 * asStudentsRead(arrangement, 'plain'); // { kind: 'state', asked: 'Leaves and buds on the twig: which is it here?', offered: [{ id: 'opposite', … }] }
 */
export const asStudentsRead = ({ kind, asked, offered }: FrozenQuestion, audience: Audience): AskedOf => ({
  kind,
  asked: inItsWords(asked, audience),
  offered: offered.map((each) => ({
    id: each.id,
    word: inItsWords(each, audience),
    definition: each.definition ?? '',
  })),
});
