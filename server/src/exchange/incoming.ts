import {
  hasColumns,
  readDarwinCore,
  readScoreTable,
  readSdd,
  readTaxonTable,
  type RowProblem,
} from '@hurrow/core/formats';
import { readBundle } from '@hurrow/core/bundle';
import { vocabularyOfLibrary, type Source } from '@hurrow/core/library';
import { done, type Outcome } from '@hurrow/core/outcome';
import { readNamedRanges, type Range } from '@hurrow/core/range';
import { asTyped, type Score } from '@hurrow/core/score';
import { scientificName } from '@hurrow/core/taxon';
import type { Character, Vocabulary } from '@hurrow/core/vocabulary';
import { sameRecord } from '../library/same.ts';
import type { TaxonBody } from '@hurrow/contract/library';
import type { LibraryAtRevision } from '../library/store.ts';

/** One taxon of a file, with what the file says of it. */
export interface IncomingTaxon {
  name: string;
  taxon?: TaxonBody;
  scores: Score[];
  range?: Range;
}

/** What a file holds, whatever its format. */
export interface Incoming {
  what: string;
  sources: Source[];
  characters: Character[];
  taxa: IncomingTaxon[];
  problems: RowProblem[];
  ignored: string[];
  /** How much the format can say of a score: all of it, or what a cell of a table has room for. */
  holds: 'scores' | 'cells';
}

/** Does a score of a file say what the stored one says, as far as its format can say it? */
export const saysOf = (
  { holds }: Pick<Incoming, 'holds'>,
  vocabulary: Vocabulary,
): ((stored: Score, read: Score) => boolean) => (holds === 'cells' ? asACell(vocabulary) : exactly);

const exactly = (stored: Score, read: Score): boolean =>
  sameRecord(stored.value, read.value) && (stored.note ?? '') === (read.note ?? '');

/** A cell has no room for a note: what is missing there is no change. */
const asACell = (vocabulary: Vocabulary) => (stored: Score, read: Score) => {
  const character = vocabulary.get(stored.characterId);
  return character !== undefined && asTyped(stored.value, character) === asTyped(read.value, character);
};

const NOTHING = {
  sources: [],
  characters: [],
  taxa: [],
  problems: [],
  ignored: [],
  holds: 'scores' as const,
};

/** Reads a file in whichever of the formats it is. */
export function readIncoming(text: string, library: LibraryAtRevision, sourceId: string): Outcome<Incoming> {
  const start = text.replace(/^\uFEFF/, '').trimStart();
  if (start.startsWith('<')) return readDescriptions(start, library, sourceId);
  if (/^\{\s*"type"\s*:\s*"FeatureCollection"/.test(start)) return readRanges(start);
  if (start.startsWith('{') || start.startsWith('[')) return readWholeLibrary(start);
  if (hasColumns(text, [['decimalLatitude'], ['decimalLongitude']])) return readOccurrences(text);
  const vocabulary = vocabularyOfLibrary(library);
  if (hasColumns(text, [['scientific name', 'taxon', 'name'], ['character']])) {
    const read = readScoreTable(text, vocabulary, sourceId);
    return read.ok ? done({ ...NOTHING, ...read.value, what: 'rows of scores' }) : read;
  }
  const read = readTaxonTable(text, vocabulary, sourceId);
  if (!read.ok) return read;
  const { rows, problems, ignored } = read.value;
  return done({
    ...NOTHING,
    what: 'a table of taxa',
    problems,
    ignored,
    taxa: rows.map(({ taxon, scores }) => ({ name: scientificName(taxon), taxon, scores })),
    holds: 'cells',
  });
}

function readDescriptions(text: string, library: LibraryAtRevision, sourceId: string): Outcome<Incoming> {
  const read = readSdd(text, vocabularyOfLibrary(library));
  if (!read.ok) return read;
  const { sources, taxa, ignored } = read.value;
  return done({
    ...NOTHING,
    what: 'SDD descriptions',
    sources,
    ignored,
    taxa: taxa.map(({ taxon, scores }) => ({
      name: taxon.name,
      ...namedOnly(taxon, library),
      scores: scores.map((score) => ({ ...score, sourceId: score.sourceId || sourceId })),
    })),
  });
}

function readWholeLibrary(text: string): Outcome<Incoming> {
  const read = readBundle(text);
  if (!read.ok) return read;
  const { taxa, sources, characters, ranges } = read.value;
  return done({
    ...NOTHING,
    what: 'a library bundle',
    ignored: [
      'months, cautions and names of species that are here already, but for names in a language in which they had none',
      'the order of sources and the rule that reconciles them',
    ],
    sources,
    characters,
    taxa: taxa.map(({ taxon: { id, ...taxon }, scores }) => ({
      name: scientificName(taxon),
      taxon,
      scores,
      ...(ranges[id] ? { range: ranges[id] } : {}),
    })),
  });
}

function readOccurrences(text: string): Outcome<Incoming> {
  const read = readDarwinCore(text);
  if (!read.ok) return read;
  const { rows, ranges, problems, ignored } = read.value;
  return done({
    ...NOTHING,
    what: `${rows} occurrence rows`,
    problems,
    ignored,
    taxa: ranges.map(({ scientificName: name, range }) => ({ name, scores: [], range })),
  });
}

function readRanges(text: string): Outcome<Incoming> {
  const read = readNamedRanges(text);
  if (!read.ok) return read;
  const { ranges, ignored } = read.value;
  return done({
    ...NOTHING,
    what: 'ranges',
    ignored,
    taxa: ranges.map(({ scientificName: name, range }) => ({ name, scores: [], range })),
  });
}

/**
 * A taxon of which a file gives the name alone. Its family is taken from its genus in the library; where that is not there
 * it stands as incertae sedis until someone enters it.
 */
function namedOnly(
  {
    name,
    authority,
    commonNames,
    namesIn,
  }: Pick<TaxonBody, 'authority' | 'commonNames' | 'namesIn'> & { name: string },
  library: LibraryAtRevision,
): { taxon?: TaxonBody } {
  const [, genus, cross, epithet] = /^([A-Z][\p{L}-]+)\s+(×\s*)?([a-z-]+)/u.exec(name) ?? [];
  if (!genus || !epithet) return {};
  const family = library.taxa.find(({ taxon }) => taxon.genus === genus)?.taxon.family ?? 'incertae sedis';
  return {
    taxon: {
      rank: 'species',
      genus,
      epithet,
      family,
      commonNames,
      ...(namesIn ? { namesIn } : {}),
      synonyms: [],
      calendar: {},
      cautions: [],
      ...(cross ? { hybrid: true } : {}),
      ...(authority ? { authority } : {}),
    },
  };
}
