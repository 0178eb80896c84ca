import { done, type Outcome } from '../outcome/index.ts';
import { checkScores, parseScore, type Qualifiers, type Score } from '../score/index.ts';
import { CALENDAR_PARTS, parseArcs, type Calendar } from '../season/index.ts';
import { languageTag, type Taxon } from '../taxon/index.ts';
import type { Character, Vocabulary } from '../vocabulary/index.ts';
import {
  cell,
  columnKey,
  dateInstead,
  readTable,
  withPoint,
  type RowProblem,
  type TableRow,
} from './table.ts';

export interface TaxonRow {
  line: number;
  taxon: Omit<Taxon, 'id'>;
  scores: Score[];
}

export interface TaxonTable {
  rows: TaxonRow[];
  problems: RowProblem[];
  /** Columns that are neither names nor characters. */
  ignored: string[];
}

const NAME_COLUMNS = [
  'scientific name',
  'family',
  'family common',
  'common names',
  'synonyms',
  'authority',
  'meaning',
  'memory aid',
  'fact',
];

/**
 * Reads a taxa × characters table: one row a taxon, a column `scientific name`, names, `calendar.leaves` and the like, and a
 * column for each character by its id, with qualifiers in brackets: `bark.surface [plantAge=young]`.
 */
export function readTaxonTable(csv: string, vocabulary: Vocabulary, sourceId: string): Outcome<TaxonTable> {
  const table = readTable(csv, [['scientific name', 'name', 'species'], ['family']]);
  if (!table.ok) return table;
  const nameKeys = new Set([...NAME_COLUMNS, 'name', 'species', 'common name'].map(columnKey));
  const characters = table.value.columns.flatMap((column) => {
    const [, name, qualifiers] = /^([^[]+?)\s*(?:\[(.+)\])?$/.exec(column.trim()) ?? [];
    const character = name && !nameKeys.has(columnKey(column)) ? characterNamed(name, vocabulary) : undefined;
    return character ? [{ column, character, qualifiers: readQualifiers(qualifiers) }] : [];
  });
  const languages = languageColumns(table.value.columns);
  const calendarColumns = CALENDAR_PARTS.map((part) => ({ part, column: `calendar.${part}` }));
  const known = new Set([
    ...nameKeys,
    ...characters.map(({ column }) => columnKey(column)),
    ...calendarColumns.map(({ column }) => columnKey(column)),
    ...languages.map(({ column }) => columnKey(column)),
  ]);
  const problems: RowProblem[] = [];
  const rows: TaxonRow[] = [];
  for (const row of table.value.rows) {
    const name = cell(row, 'scientific name', 'name', 'species');
    const [genus, ...rest] = name.replace(/[×]/g, ' ').split(/\s+/).filter(Boolean);
    if (!genus || rest.length === 0) {
      problems.push({
        line: row.line,
        message: `“${name}” is no scientific name. Write genus and epithet, such as Acer rubrum.`,
      });
      continue;
    }
    const calendar: Calendar = {};
    for (const { part, column } of calendarColumns) {
      const written = cell(row, column);
      if (!written) continue;
      const arcs = parseArcs(written);
      if (arcs.ok) calendar[part] = arcs.value;
      else problems.push({ line: row.line, message: arcs.problem });
    }
    const scores: Score[] = [];
    for (const { column, character, qualifiers } of characters) {
      const written = cell(row, column);
      if (!written) continue;
      const numeric = character.kind === 'measure' || character.kind === 'count';
      const date = numeric ? dateInstead(written) : undefined;
      if (date) {
        problems.push({ line: row.line, message: `${genus} ${rest[0]}, ${character.term}: ${date}` });
        continue;
      }
      const value = parseScore(numeric ? withPoint(written, table.value) : written, character);
      if (value.ok) scores.push({ characterId: character.id, sourceId, qualifiers, value: value.value });
      else problems.push({ line: row.line, message: `${genus} ${rest[0]}: ${value.problem}` });
    }
    const wrong = checkScores(scores, vocabulary).filter((problem) => problem.severity === 'error');
    for (const problem of wrong)
      problems.push({ line: row.line, message: `${genus} ${rest[0]}: ${problem.message}` });
    const refusedIds = new Set(wrong.map((problem) => problem.characterId));
    rows.push({
      line: row.line,
      taxon: {
        ...namesOf(row.cells, name, genus, rest),
        ...namesInOf(row, languages),
        calendar,
        cautions: [],
      },
      scores: scores.filter((score) => !refusedIds.has(score.characterId)),
    });
  }
  return done({
    rows,
    problems,
    ignored: table.value.columns.filter((column) => column && !known.has(columnKey(column))),
  });
}

interface LanguageColumn {
  column: string;
  tag: string;
}

/** Columns with common names in other languages, as “common names [de]”. */
const languageColumns = (columns: readonly string[]): LanguageColumn[] =>
  columns.flatMap((column) => {
    const [, written] = /^common names? \[([a-z-]+)\]$/i.exec(column.trim()) ?? [];
    const tag = written && languageTag(written);
    return tag ? [{ column, tag }] : [];
  });

function namesInOf(row: TableRow, languages: readonly LanguageColumn[]): Pick<Taxon, 'namesIn'> {
  const said = languages
    .map(({ column, tag }): [string, string[]] => [tag, list(cell(row, column))])
    .filter(([, names]) => names.length > 0);
  return said.length > 0 ? { namesIn: Object.fromEntries(said) } : {};
}

/** Names in one cell, with commas or semicolons. */
const list = (text: string): string[] =>
  text
    .split(/[;,]/)
    .map((part) => part.trim())
    .filter(Boolean);

function namesOf(cells: Record<string, string>, name: string, genus: string, rest: string[]) {
  const get = (column: string) => cells[columnKey(column)] ?? '';
  const infra = /\b(subsp|ssp|var)\.?\s+(\S+)/.exec(name);
  const optional = Object.fromEntries(
    Object.entries({
      authority: get('authority'),
      familyCommon: get('family common'),
      meaning: get('meaning'),
      memoryAid: get('memory aid'),
      fact: get('fact'),
      infraEpithet: infra?.[2] ?? '',
    }).filter(([, value]) => value),
  );
  return {
    rank: infra
      ? infra[1] === 'var'
        ? ('variety' as const)
        : ('subspecies' as const)
      : ('species' as const),
    genus,
    epithet: rest[0]!.toLowerCase(),
    ...(name.includes('×') ? { hybrid: true } : {}),
    family: get('family'),
    commonNames: list(get('common names') || get('common name')),
    synonyms: list(get('synonyms')),
    ...optional,
  };
}

/** Characters by everything they may be called in a header; a name that two of them share names neither. */
const headers = new WeakMap<Vocabulary, Map<string, Character | undefined>>();

function headersOf(vocabulary: Vocabulary): Map<string, Character | undefined> {
  const held = headers.get(vocabulary);
  if (held) return held;
  const made = new Map<string, Character | undefined>();
  for (const entry of vocabulary.values())
    for (const key of new Set([entry.term, entry.plain, `${entry.organ} ${entry.term}`].map(columnKey)))
      made.set(key, made.has(key) ? undefined : entry);
  for (const entry of vocabulary.values()) made.set(columnKey(entry.id), entry);
  headers.set(vocabulary, made);
  return made;
}

/** A character by its id, or by its term or plain words where no other has them. */
const characterNamed = (name: string, vocabulary: Vocabulary): Character | undefined =>
  headersOf(vocabulary).get(columnKey(name));

const readQualifiers = (text: string | undefined): Qualifiers =>
  Object.fromEntries(
    (text ?? '')
      .split(',')
      .filter((pair) => pair.includes('='))
      .map((pair) => pair.trim().split('=')),
  );
