import type { LibraryImportReport } from '@hurrow/contract/exchange';
import type { RowProblem } from '@hurrow/core/formats';
import { vocabularyOfLibrary, type ReadLibrary, type Source } from '@hurrow/core/library';
import { normaliseName } from '@hurrow/core/names';
import type { Range } from '@hurrow/core/range';
import { checkScores, qualifiersInWords, sameStatement, valueInWords, type Score } from '@hurrow/core/score';
import { scientificName, type Taxon } from '@hurrow/core/taxon';
import type { Character, Vocabulary } from '@hurrow/core/vocabulary';
import { counted } from '@hurrow/core/words';
import { sameRecord } from '../library/same.ts';
import type { TaxonBody } from '@hurrow/contract/library';
import type { LibraryAtRevision } from '../library/store.ts';
import { saysOf, type Incoming, type IncomingTaxon } from './incoming.ts';

/** What an import writes. */
export interface ImportWrites {
  sources: Source[];
  characters: Character[];
  /** Of a taxon that the library has, its id, and what it is where that changes; of another one, what it is. */
  taxa: { id?: string; taxon?: TaxonBody; scores: Score[]; range?: Range }[];
}

/** What the library holds that a file is compared with. */
export interface Ground {
  read: ReadLibrary<LibraryAtRevision>;
  /** Ranges by taxon. */
  ranges: ReadonlyMap<string, Range>;
}

/**
 * What a file that was read would do to the library: what is told of it, and what it would write. Nothing is written.
 *
 * @example
 * planImport(incoming, { read: readLibrary(library), ranges: new Map() }).report.added; // ['Ulmus minor: 2 scores']
 */
export function planImport(
  incoming: Incoming,
  { read, ranges }: Ground,
): { report: LibraryImportReport; writes: ImportWrites } {
  const { library } = read;
  const refused = [...incoming.problems];
  const plan = joined(incoming.taxa, library, refused);
  const characters = incoming.characters.filter(
    (character) => !library.characters.some((held) => sameRecord(held, character)),
  );
  const vocabulary = vocabularyOfLibrary({ characters: [...library.characters, ...characters] });
  const sources = newSources(incoming, library);
  const says = saysOf(incoming, vocabulary);
  const useful = plan.flatMap((row) => {
    const id = row.held?.taxon.id;
    const held = (id && read.statementsOf(id)?.scores) || [];
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
    const { range: told, ...rest } = row;
    const before = ranges.get(id ?? '');
    // Cells are added to those that are there; a file of a few places does not unsay the others.
    const range = told && { ...before, ...told, cells: { ...before?.cells, ...told.cells } };
    const called = row.held && row.taxon ? alsoCalled(row.held.taxon, row.taxon) : undefined;
    return [
      {
        ...rest,
        scores,
        before,
        ...(called ? { called } : {}),
        ...(range && !sameRecord(range, before) ? { range } : {}),
      },
    ];
  });
  const labels = new Map([...library.sources, ...sources].map(({ id, label }) => [id, label]));
  const report: LibraryImportReport = {
    what: incoming.what,
    added: useful.filter((row) => !row.held).map(inWords),
    changed: useful.filter((row) => row.held && (row.scores.length || row.range || row.called)).map(inWords),
    replaced: useful.flatMap((row) => replacedBy(row, read, vocabulary, labels)),
    refused,
    also: [
      ...sources.map(({ label }) => `add the source ${label}`),
      ...characters.map(({ term }) => `add or change the character ${term}`),
    ],
    ignored: incoming.ignored,
    revision: library.revision,
  };
  const taxa = useful.map(({ held, taxon: told, called, scores, range }) => {
    const taxon = held ? called?.taxon : told;
    return {
      ...(held ? { id: held.taxon.id } : {}),
      ...(taxon ? { taxon } : {}),
      scores,
      ...(range ? { range } : {}),
    };
  });
  return { report, writes: { sources, characters, taxa } };
}

const inWords = (row: Planned): string => {
  const parts = [
    ...(row.scores.length || !(row.range || row.called) ? [counted(row.scores.length, 'score')] : []),
    ...(row.called ? [`names in ${row.called.languages.join(', ')}`] : []),
    ...(row.range ? [`${counted(Object.keys(row.range.cells).length, 'cell')} of its range`] : []),
  ];
  return `${row.name}: ${parts.join(', ')}`;
};

/** Sources that scores of the file rest on and the library does not have; one without a label goes by its id. */
function newSources({ sources, taxa }: Incoming, library: LibraryAtRevision): Source[] {
  const known = new Set(library.sources.map(({ id }) => id));
  const used = new Set(taxa.flatMap(({ scores }) => scores.map(({ sourceId }) => sourceId)));
  return [...used]
    .filter((id) => !known.has(id))
    .map((id) => sources.find((source) => source.id === id) ?? { id, label: id });
}

/** Finds the taxon of the library that a name stands for: accepted name or synonym, exactly spelled. */
function finder(library: LibraryAtRevision): (name: string) => { taxon: Taxon } | undefined {
  const taxa = library.taxa.flatMap(({ taxon }) => (taxon.retired ? [] : taxon));
  const named = new Map(taxa.map((taxon) => [scientificName(taxon), taxon]));
  // A file is no student: what is only like a name of the library is another taxon.
  const older = new Map<string, Taxon | undefined>();
  for (const taxon of taxa)
    for (const synonym of taxon.synonyms.map(normaliseName))
      older.set(synonym, older.has(synonym) ? undefined : taxon);
  return (name) => {
    const taxon = named.get(name) ?? older.get(normaliseName(name));
    return taxon && { taxon };
  };
}

/** One taxon of the file beside what the library holds of it. */
interface Planned extends IncomingTaxon {
  held: { taxon: Taxon } | undefined;
  /** The range that is stored. */
  before: Range | undefined;
  /** What it is, with names in languages in which it had none. */
  called?: { taxon: TaxonBody; languages: string[] };
}

/** A taxon of the library takes from a file the names of languages in which it has none; those that it has are its own. */
function alsoCalled({ id: _id, ...held }: Taxon, told: TaxonBody): Planned['called'] {
  const fresh = Object.entries(told.namesIn ?? {}).filter(
    ([language, names]) => names.length > 0 && !held.namesIn?.[language]?.length,
  );
  if (fresh.length === 0) return undefined;
  return {
    taxon: { ...held, namesIn: { ...held.namesIn, ...Object.fromEntries(fresh) } },
    languages: fresh.map(([language]) => language).sort(),
  };
}

/** Rows of one taxon as one, in the order of the file; where two lines say different things of it, the second is refused. */
function joined(
  rows: readonly IncomingTaxon[],
  library: LibraryAtRevision,
  refused: RowProblem[],
): Omit<Planned, 'before' | 'called'>[] {
  const heldAs = finder(library);
  const byTaxon = new Map<string, Omit<Planned, 'before' | 'called'>>();
  for (const row of rows) {
    const held = heldAs(row.name);
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
  read: ReadLibrary,
  vocabulary: Vocabulary,
  labels: ReadonlyMap<string, string>,
): RowProblem[] {
  const stored = (held && read.statementsOf(held.taxon.id)?.scores) ?? [];
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
