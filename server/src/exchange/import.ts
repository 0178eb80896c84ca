import type { RowProblem } from '@hurrow/core/formats';
import { vocabularyOfLibrary, type Source, type SourceDetails } from '@hurrow/core/library';
import { resolveName } from '@hurrow/core/names';
import type { Range } from '@hurrow/core/range';
import { checkScores, qualifiersInWords, sameStatement, valueInWords } from '@hurrow/core/score';
import { scientificName, type Taxon } from '@hurrow/core/taxon';
import type { Vocabulary } from '@hurrow/core/vocabulary';
import { counted } from '@hurrow/core/words';
import { badInput } from '../api/problem.ts';
import type { Db } from '../db/index.ts';
import { beginChange } from '../species/change.ts';
import * as queries from '../species/queries.ts';
import { addRecord, recordsAt } from '../species/records.ts';
import { sameRecord } from '../species/same.ts';
import { freeTaxonId, libraryAt, writeScores, type LibraryAtRevision } from '../species/store.ts';
import { sourceFor, stateOf, type FileRead } from './reading.ts';
import { readIncoming, saysOf, type Incoming, type IncomingTaxon } from './incoming.ts';

export interface ImportBody {
  /** The text of the file, in any of the formats. */
  csv: string;
  dryRun: boolean;
  /** Source for files that name none. */
  sourceId?: string;
}

export interface ImportReport {
  what: string;
  added: string[];
  changed: string[];
  /** Stored scores and cells that would have another value, each with what is stored now. */
  replaced: RowProblem[];
  /** What else it would do: new sources, characters added or changed. */
  also: string[];
  refused: RowProblem[];
  ignored: string[];
  revision: number;
}

/**
 * Says what a file that was read would do, and does it unless it is a dry run. Run inside a transaction.
 *
 * @param before the file as it was read with the library of a moment ago; if that has changed, it is read again
 */
export async function importFile(
  db: Db,
  body: ImportBody,
  before: FileRead,
  accountId: string,
  now: Date,
): Promise<ImportReport> {
  const { csv, dryRun } = body;
  const library = await libraryAt(db);
  const sourceId = sourceFor(body, library);
  const read = before.with === stateOf(library) ? before.read : readIncoming(csv, library, sourceId);
  if (!read.ok) throw badInput(read.problem);
  const incoming = read.value;
  const refused = [...incoming.problems];
  const plan = joined(incoming.taxa, library, refused);
  const characters = incoming.characters.filter(
    (character) => !library.characters.some((held) => sameRecord(held, character)),
  );
  const vocabulary = vocabularyOfLibrary({ characters: [...library.characters, ...characters] });
  const sources = newSources(incoming, library);
  const ranges = new Map(
    (await recordsAt<Range>(db, library.id, 'range', library.revision)).map(({ key, record }) => [
      key,
      record,
    ]),
  );
  const says = saysOf(incoming, vocabulary);
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
    const scores = row.scores.filter(
      (score) =>
        !wrong.has(score.characterId) &&
        !held.some((other) => sameStatement(other, score) && says(other, score)),
    );
    const { range: read, ...rest } = row;
    const before = ranges.get(id ?? '');
    // Cells are added to those that are there; a file of a few places does not unsay the others.
    const range = read && { ...before, ...read, cells: { ...before?.cells, ...read.cells } };
    return [{ ...rest, scores, before, ...(range && !sameRecord(range, before) ? { range } : {}) }];
  });
  const say = (row: (typeof useful)[number]) => {
    const parts = [
      ...(row.scores.length || !row.range ? [counted(row.scores.length, 'score')] : []),
      ...(row.range ? [`${counted(Object.keys(row.range.cells).length, 'cell')} of its range`] : []),
    ];
    return `${row.name}: ${parts.join(', ')}`;
  };
  const labels = new Map([...library.sources, ...sources].map(({ id, label }) => [id, label]));
  const report: ImportReport = {
    what: incoming.what,
    added: useful.filter((row) => !row.held).map(say),
    changed: useful.filter((row) => row.held && (row.scores.length || row.range)).map(say),
    replaced: useful.flatMap((row) => replacedBy(row, library, vocabulary, labels)),
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
    await queries.addSource(
      db,
      libraryId,
      source.id,
      source.label,
      library.sources.length + i,
      detailsOf(source),
    );
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

/** Sources that scores of the file rest on and the library does not have; one without a label goes by its id. */
function newSources({ sources, taxa }: Incoming, library: LibraryAtRevision): Source[] {
  const known = new Set(library.sources.map(({ id }) => id));
  const used = new Set(taxa.flatMap(({ scores }) => scores.map(({ sourceId }) => sourceId)));
  return [...used]
    .filter((id) => !known.has(id))
    .map((id) => sources.find((source) => source.id === id) ?? { id, label: id });
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

const detailsOf = ({ id: _id, label: _label, ...details }: Source): SourceDetails => details;

/** One taxon of the file beside what the library holds of it. */
interface Planned extends IncomingTaxon {
  held: { taxon: Taxon } | undefined;
  /** The range that is stored. */
  before: Range | undefined;
}

/** Rows of one taxon as one, in the order of the file; where two lines say different things of it, the second is refused. */
function joined(
  rows: readonly IncomingTaxon[],
  library: LibraryAtRevision,
  refused: RowProblem[],
): Omit<Planned, 'before'>[] {
  const byTaxon = new Map<string, Omit<Planned, 'before'>>();
  for (const row of rows) {
    const held = heldAs(row.name, library);
    const key = held?.taxon.id ?? row.name;
    const first = byTaxon.get(key);
    if (!first) {
      byTaxon.set(key, { ...row, scores: [...row.scores], held });
      continue;
    }
    for (const score of row.scores) {
      const twice = first.scores.find((other) => sameStatement(other, score));
      if (!twice) first.scores.push(score);
      else if (!sameRecord(twice.value, score.value))
        refused.push({
          line: 0,
          message: `${row.name} stands in the file twice, with two values of ${score.characterId}. The first is taken; keep one of the two.`,
        });
    }
    if (row.range) first.range = { ...row.range, cells: { ...row.range.cells, ...first.range?.cells } };
  }
  return [...byTaxon.values()];
}

/** What an import would put in the place of something stored, row by row. */
function replacedBy(
  { name, held, scores, before, range }: Planned,
  library: LibraryAtRevision,
  vocabulary: Vocabulary,
  labels: ReadonlyMap<string, string>,
): RowProblem[] {
  const stored = library.taxa.find(({ taxon }) => taxon.id === held?.taxon.id)?.scores ?? [];
  const otherwise = Object.entries(range?.cells ?? {}).filter(
    ([cell, status]) => before?.cells[cell] !== undefined && before.cells[cell] !== status,
  );
  const cells = otherwise.length
    ? [
        {
          line: 0,
          message: `${name}: ${counted(otherwise.length, 'cell')} of its range would have another status`,
        },
      ]
    : [];
  const rows = scores.flatMap((score) => {
    const said = stored.find((other) => sameStatement(other, score));
    const character = vocabulary.get(score.characterId);
    if (!said || !character) return [];
    const [was, will] = [said, score].map(
      ({ value, note }) => `“${valueInWords(value, character)}”${note ? ` (${note})` : ''}`,
    );
    const scope = qualifiersInWords(score.qualifiers);
    const source = labels.get(score.sourceId) ?? score.sourceId;
    return [
      {
        line: 0,
        message: `${name}, ${character.term}${scope && ` (${scope})`}, ${source}: ${was} is stored and would become ${will}`,
      },
    ];
  });
  return [...rows, ...cells];
}
