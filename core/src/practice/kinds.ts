import { candidatesOf, type Candidate, type CandidateOptions, type StationKind } from '../assembly/index.ts';
import type { ProfiledTaxon } from '../evidence/index.ts';
import { FAIR_AT } from '../station/index.ts';
import type { Vocabulary } from '../vocabulary/index.ts';

/** What a practice card shows, always drawn: of a tree one organ, or a twig as it stands. */
export const PRACTICE_KINDS: readonly StationKind[] = [
  {
    id: 'leafyTwig',
    title: 'twig in leaf',
    medium: 'drawing',
    organs: ['twig', 'bud', 'leaf'],
    leaves: 'on',
    cut: false,
  },
  {
    id: 'bareTwig',
    title: 'bare twig',
    medium: 'drawing',
    organs: ['twig', 'bud'],
    leaves: 'off',
    cut: false,
  },
  { id: 'leaf', title: 'leaf', medium: 'drawing', organs: ['leaf'], leaves: 'on', cut: false },
  { id: 'fruit', title: 'fruit or cone', medium: 'drawing', organs: ['fruit'], cut: false },
  { id: 'bark', title: 'bark', medium: 'drawing', organs: ['bark'], cut: false },
];

/** What is practiced: a tree by one of its organs, drawn as another individual each time. Its id is of tree and kind: `abies-grandis bareTwig`. */
export type PracticeCard = Pick<Candidate, 'id' | 'taxonId' | 'kind' | 'view' | 'right' | 'taken'>;

/**
 * The cards of a list: every tree by every organ that can be drawn of it and by which it can be named; what a careful reader could not tell is no
 * exercise.
 *
 * @param options the day of the year, the site
 * @example
 * practiceCardsOf(list, BUILT_IN, { day: 288 })[0]; // { id: 'abies-grandis leafyTwig', right: 0.99, … }
 */
export const practiceCardsOf = (
  list: readonly ProfiledTaxon[],
  vocabulary: Vocabulary,
  options: CandidateOptions,
): PracticeCard[] =>
  candidatesOf(list, vocabulary, { ...options, kinds: PRACTICE_KINDS })
    .candidates.filter(({ right }) => right >= FAIR_AT)
    .map(({ id, taxonId, kind, view, right, taken }) => ({ id, taxonId, kind, view, right, taken }));

/** Two trees that are taken for each other. */
export interface MixUp {
  a: string;
  b: string;
  /** How much it matters, 0–1: how often of the times it was asked. */
  weight: number;
  /** By this very student. */
  own: boolean;
}

/** How heavily two trees are mixed up, 0 where nobody does. */
export const mixedUp = (mixUps: readonly MixUp[], a: string, b: string): number =>
  mixUps.reduce(
    (most, each) =>
      (each.a === a && each.b === b) || (each.a === b && each.b === a) ? Math.max(most, each.weight) : most,
    0,
  );
