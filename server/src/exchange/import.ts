import {
  readDarwinCore,
  readScoreTable,
  readSdd,
  readTaxonTable,
  type RowProblem,
} from '@hurrow/core/formats';
import { readBundle } from '@hurrow/core/bundle';
import { vocabularyOfLibrary } from '@hurrow/core/library';
import { resolveName } from '@hurrow/core/names';
import type { Outcome } from '@hurrow/core/outcome';
import type { Range } from '@hurrow/core/range';
import { checkScores, qualifierKey, type Score } from '@hurrow/core/score';
import { scientificName, type Taxon } from '@hurrow/core/taxon';
import type { Character } from '@hurrow/core/vocabulary';
import { badInput } from '../api/problem.ts';
import type { Db } from '../db/index.ts';
import { beginChange } from '../species/change.ts';
import * as queries from '../species/queries.ts';
import { addRecord } from '../species/records.ts';
import { sameRecord } from '../species/same.ts';
import type { TaxonBody } from '../species/schema.ts';
import { freeTaxonId, libraryAt, writeScores, type LibraryAtRevision } from '../species/store.ts';

export interface ImportBody {
  /** The text of the file, in any of the formats. */
  csv: string;
  dryRun: boolean;
  /** Source for files that name none. */
  sourceId?: string;
}

/** What a file holds, whatever its format. */
interface Incoming {
  what: string;
  sources: { id: string; label: string }[];
  characters: Character[];
  taxa: { name: string; taxon?: TaxonBody; scores: Score[]; range?: Range }[];
  problems: RowProblem[];
  ignored: string[];
}

export interface ImportReport {
  what: string;
  added: string[];
  changed: string[];
  /** What else it would do: new sources, characters added or changed. */
  also: string[];
  refused: RowProblem[];
  ignored: string[];
  revision: number;
}

/** Reads a file, says what it would do, and does it unless it is a dry run. Run inside a transaction. */
export async function importFile(
  db: Db,
  { csv, dryRun, sourceId }: ImportBody,
  accountId: string,
  now: Date,
): Promise<ImportReport> {
  const library = await libraryAt(db);
  const read = readAny(csv, library, sourceId ?? library.sources[0]!.id);
  if (!read.ok) throw badInput(read.problem);
  const incoming = read.value;
  const plan = incoming.taxa.map((row) => ({ ...row, held: heldAs(row.name, library) }));
  const refused = [...incoming.problems];
  const characters = incoming.characters.filter(
    (character) => !library.characters.some((held) => sameRecord(held, character)),
  );
  const vocabulary = vocabularyOfLibrary({ characters: [...library.characters, ...characters] });
  const sources = newSources(incoming, library);
  const useful = plan.flatMap((row) => {
    const id = row.held?.taxon.id;
    const held = library.taxa.find(({ taxon }) => taxon.id === id)?.scores ?? [];
    if (!row.held && !row.taxon) {
      refused.push({
        line: 0,
        message: `${row.name} is not in the library, and the file does not say its family.`,
      });
      return [];
    }
    const wrong = new Set(
      checkScores(row.scores, vocabulary)
        .filter((problem) => problem.severity === 'error')
        .map((problem) => {
          refused.push({ line: 0, message: `${row.name}: ${problem.message}` });
          return problem.characterId;
        }),
    );
    const scores = row.scores.filter((score) => !wrong.has(score.characterId) && !isHeld(score, held));
    return [{ ...row, scores }];
  });
  const say = (row: (typeof useful)[number]) => {
    const parts = [
      ...(row.scores.length || !row.range ? [`${row.scores.length} scores`] : []),
      ...(row.range ? [`${Object.keys(row.range.cells).length} cells of its range`] : []),
    ];
    return `${row.name}: ${parts.join(', ')}`;
  };
  const report: ImportReport = {
    what: incoming.what,
    added: useful.filter((row) => !row.held).map(say),
    changed: useful.filter((row) => row.held && (row.scores.length || row.range)).map(say),
    refused,
    also: [
      ...sources.map(({ label }) => `add the source ${label}`),
      ...characters.map(({ term }) => `add or change the character ${term}`),
    ],
    ignored: incoming.ignored,
    revision: library.revision,
  };
  if (dryRun || report.added.length + report.changed.length + report.also.length === 0) return report;
  const { libraryId, revision } = await beginChange(db, accountId, now, `Imported ${useful.length} taxa`);
  for (const [i, source] of sources.entries())
    await queries.addSource(db, libraryId, source.id, source.label, library.sources.length + i);
  for (const character of characters)
    await addRecord(db, libraryId, 'character', character.id, revision, character);
  for (const row of useful) {
    const id = row.held?.taxon.id ?? (await freeTaxonId(db, row.taxon!));
    if (!row.held) {
      await queries.addTaxon(db, id, libraryId);
      await queries.addTaxonVersion(db, id, revision, row.taxon!);
    }
    await writeScores(db, id, revision, row.scores);
    if (row.range) await addRecord(db, libraryId, 'range', id, revision, row.range);
  }
  return { ...report, revision };
}

function readAny(text: string, library: LibraryAtRevision, sourceId: string): Outcome<Incoming> {
  const vocabulary = vocabularyOfLibrary(library);
  const start = text.trimStart().slice(0, 400);
  const nothing = { sources: [], characters: [], problems: [], ignored: [] };
  if (start.startsWith('<')) {
    const read = readSdd(text, vocabulary);
    if (!read.ok) return read;
    const { sources, taxa, ignored } = read.value;
    return {
      ok: true,
      value: {
        ...nothing,
        what: 'SDD descriptions',
        sources,
        ignored,
        taxa: taxa.map(({ taxon, scores }) => ({
          name: taxon.name,
          ...namedOnly(taxon, library),
          scores: scores.map((score) => ({ ...score, sourceId: score.sourceId || sourceId })),
        })),
      },
    };
  }
  if (start.startsWith('{') || start.startsWith('[')) {
    const read = readBundle(text);
    if (!read.ok) return read;
    const { taxa, sources, characters, ranges } = read.value;
    return {
      ok: true,
      value: {
        ...nothing,
        what: 'a library bundle',
        ignored: [
          'names, months and cautions of species that are here already',
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
      },
    };
  }
  const header = text
    .replace(/^\uFEFF/, '')
    .trimStart()
    .split('\n', 1)[0]!
    .toLowerCase();
  if (/decimallatitude/.test(header.replace(/[^a-z]/g, ''))) {
    const read = readDarwinCore(text);
    if (!read.ok) return read;
    return {
      ok: true,
      value: {
        ...nothing,
        what: `${read.value.rows} occurrence rows`,
        problems: read.value.problems,
        ignored: read.value.ignored,
        taxa: read.value.ranges.map(({ scientificName: name, range }) => ({ name, scores: [], range })),
      },
    };
  }
  if (/(^|[,;\t])"?character"?([,;\t]|$)/.test(header)) {
    const read = readScoreTable(text, vocabulary, sourceId);
    if (!read.ok) return read;
    return { ok: true, value: { ...nothing, ...read.value, what: 'rows of scores' } };
  }
  const read = readTaxonTable(text, vocabulary, sourceId);
  if (!read.ok) return read;
  return {
    ok: true,
    value: {
      ...nothing,
      what: 'a table of taxa',
      problems: read.value.problems,
      ignored: read.value.ignored,
      taxa: read.value.rows.map(({ taxon, scores }) => ({ name: scientificName(taxon), taxon, scores })),
    },
  };
}

/** Sources that scores of the file rest on and the library does not have; one without a label goes by its id. */
function newSources({ sources, taxa }: Incoming, library: LibraryAtRevision): Incoming['sources'] {
  const known = new Set(library.sources.map(({ id }) => id));
  const used = new Set(taxa.flatMap(({ scores }) => scores.map(({ sourceId }) => sourceId)));
  return [...used]
    .filter((id) => !known.has(id))
    .map((id) => sources.find((source) => source.id === id) ?? { id, label: id });
}

/**
 * A taxon of which a file gives the name alone. Its family is taken from its genus in the library; where that is not there
 * it stands as incertae sedis until someone enters it.
 */
function namedOnly(
  { name, authority, commonNames }: { name: string; authority?: string; commonNames: string[] },
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
      synonyms: [],
      calendar: {},
      cautions: [],
      ...(cross ? { hybrid: true } : {}),
      ...(authority ? { authority } : {}),
    },
  };
}

/** The taxon of the library that a name stands for: accepted name or synonym, exactly spelled. */
function heldAs(name: string, library: LibraryAtRevision): { taxon: Taxon } | undefined {
  const taxa = library.taxa.filter(({ taxon }) => !taxon.retired);
  const exact = taxa.find(({ taxon }) => scientificName(taxon) === name);
  if (exact) return exact;
  const found = resolveName(
    name,
    taxa.map(({ taxon }) => taxon),
  );
  return found.how === 'synonym' ? taxa.find(({ taxon }) => taxon.id === found.taxonId) : undefined;
}

const isHeld = (score: Score, held: readonly Score[]): boolean =>
  held.some(
    (other) =>
      other.characterId === score.characterId &&
      other.sourceId === score.sourceId &&
      qualifierKey(other.qualifiers) === qualifierKey(score.qualifiers) &&
      sameRecord(other.value, score.value) &&
      (other.note ?? '') === (score.note ?? ''),
  );
