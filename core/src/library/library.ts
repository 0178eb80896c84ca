import type { Reconciliation, Score } from '../score/index.ts';
import type { Place } from '../season/index.ts';
import type { Taxon } from '../taxon/index.ts';
import { BUILT_IN, type Character, type Vocabulary } from '../vocabulary/index.ts';

export interface Source {
  id: string;
  label: string;
  author?: string;
  /** As it is printed: a year, a span, a reprint. */
  year?: string;
  pages?: string;
  /** Where it holds. */
  region?: string;
  note?: string;
}

/** What is said of a source beside its label. */
export const SOURCE_DETAILS = ['author', 'year', 'pages', 'region', 'note'] as const;
export type SourceDetails = Pick<Source, (typeof SOURCE_DETAILS)[number]>;

/**
 * A source as one cites it.
 *
 * @example
 * sourceInWords({ id: 'm', label: 'Regional manual', author: 'A. Falk', year: '2011', pages: '12–90' }); // 'A. Falk 2011, Regional manual, pp. 12–90'
 */
export const sourceInWords = ({ label, author, year, pages, region }: Source): string =>
  [[author, year].filter(Boolean).join(' '), label, pages && `pp. ${pages}`, region && `for ${region}`]
    .filter(Boolean)
    .join(', ');

/** A taxon with what every source says of it. */
export interface TaxonStatements {
  taxon: Taxon;
  scores: Score[];
}

/** Everything a library holds at one revision. */
export interface Library {
  /** Where the calendars were recorded. */
  reference: Place;
  sources: Source[];
  reconciliation: Reconciliation;
  /** Characters of the library's own, and built-in ones that it has changed. */
  characters: Character[];
  taxa: TaxonStatements[];
}

const merged = new WeakMap<readonly Character[], Vocabulary>();

/**
 * The built-in characters with what a library has changed in them or added: its own characters, states and words. The same
 * list of characters gives the same vocabulary object.
 */
export function vocabularyOfLibrary({ characters }: Pick<Library, 'characters'>): Vocabulary {
  if (characters.length === 0) return BUILT_IN;
  const held = merged.get(characters);
  if (held) return held;
  const vocabulary = new Map(BUILT_IN);
  // A built-in character changed before there were standings keeps the one that it ships with.
  for (const character of characters)
    vocabulary.set(character.id, { ...standingShipped(character.id), ...character });
  merged.set(characters, vocabulary);
  return vocabulary;
}

function standingShipped(id: string): Pick<Character, 'standing' | 'raisedWithin'> {
  const { standing, raisedWithin } = BUILT_IN.get(id) ?? {};
  return { ...(standing ? { standing } : {}), ...(raisedWithin ? { raisedWithin } : {}) };
}
