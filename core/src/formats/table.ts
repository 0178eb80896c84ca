import Papa from 'papaparse';
import { done, refused, type Outcome } from '../outcome/index.ts';

export interface TableRow {
  /** Line of the file on which the row begins, the first line being 1. */
  line: number;
  cells: Record<string, string>;
}

export interface Table {
  /** Names of the columns that have one, as they are written. */
  columns: string[];
  rows: TableRow[];
  /** Numbers have a comma where others have a point: so do spreadsheets that part cells by semicolons. */
  decimalComma: boolean;
}

/** Why a row of a file was refused, with what to do. */
export interface RowProblem {
  line: number;
  message: string;
}

/** A column that must be there, under any of these names. */
export type Needed = readonly string[];

const SEPARATORS = [',', ';', '\t'] as const;
type Separator = (typeof SEPARATORS)[number];

/** Lines above the header in which a spreadsheet may have a title. */
const TITLE_LINES = 12;

/** Column names made equal: "Given name" and "given_name" are one. */
export const columnKey = (name: string): string => name.toLowerCase().replace(/[^a-z0-9.=[\]]+/g, '');

/**
 * Reads a table as a spreadsheet writes it: comma, semicolon or tab; quotes or none; a byte-order mark; any line ends; blank lines and
 * lines of empty cells; empty columns; title lines above the header; columns in any order. Cells are trimmed. An apostrophe that keeps a
 * cell from being run as a formula is taken off.
 *
 * @param text the file
 * @param needed the columns without which it says nothing, each with the names it may go by
 * @returns the rows by column key, or what is missing, what was found and what to write
 * @example
 * readTable('Code;Name\n;Ava', [['name']]); // { ok: true, value: { columns: ['Code', 'Name'], rows: [{ line: 2, cells: { code: '', name: 'Ava' } }], decimalComma: true } }
 */
export function readTable(text: string, needed: readonly Needed[]): Outcome<Table> {
  const plain = text.replace(/^\uFEFF/, '').replace(/\r\n?/g, '\n');
  // The separator is the one that makes most of the needed columns; a list of names in one cell must not outvote it.
  const tried = SEPARATORS.map((separator) => headed(plain, separator, needed));
  const [best] = tried.sort((a, b) => b.found - a.found || b.header.cells.length - a.header.cells.length);
  const { separator, lines, header, errors } = best!;
  if (header.line === 0)
    return refused('The file is empty. It needs a header line with the names of the columns.');
  const missing = needed.find((names) => !hasColumn(header.cells, names));
  if (missing) {
    const columns = header.cells.filter(Boolean).join(', ') || 'none';
    return refused(
      `Line ${header.line}: the column “${missing[0]}” is missing (columns found: ${columns}). Add it to the header line and import the file again.`,
    );
  }
  if (errors.length > 0)
    return refused(
      `Line ${errors[0]!}: a quotation mark is opened and never closed, so that the rest of the file reads as one cell. Close it, or take it out.`,
    );
  const keys = header.cells.map(columnKey);
  const rows = lines
    .filter(({ line, cells }) => line > header.line && cells.some(Boolean))
    .map(({ line, cells }) => {
      const row: Record<string, string> = {};
      // Of two columns with one name the first that is filled counts.
      keys.forEach((key, i) => key && (row[key] ||= cells[i] ?? ''));
      return { line, cells: row };
    });
  return done({ columns: header.cells.filter(Boolean), rows, decimalComma: separator === ';' });
}

interface Line {
  line: number;
  cells: string[];
}

/** The file parted by one separator, with the line that is most like its header. */
function headed(text: string, separator: Separator, needed: readonly Needed[]) {
  const parsed = Papa.parse<string[]>(text, { delimiter: separator, newline: '\n' });
  let line = 1;
  const lines: Line[] = parsed.data.map((cells) => {
    const row = { line, cells: cells.map((cell) => unescaped(cell.trim())) };
    line += 1 + cells.reduce((sum, cell) => sum + (cell.match(/\n/g)?.length ?? 0), 0);
    return row;
  });
  const filled = lines.filter(({ cells }) => cells.some(Boolean) && !/^sep=.$/i.test(cells.join('')));
  const foundIn = (row: Line) => needed.filter((names) => hasColumn(row.cells, names)).length;
  const candidates = filled.slice(0, TITLE_LINES);
  const whole = candidates.find((row) => foundIn(row) === needed.length);
  const header = whole ?? filled[0] ?? { line: 0, cells: [] };
  const errors = parsed.errors
    .filter(({ code }) => code === 'MissingQuotes')
    .map(({ row }) => lines[row ?? 0]?.line ?? 1);
  return { separator, lines, header, errors, found: foundIn(header) };
}

/** Has a table these columns? Looks at its beginning only. */
export function hasColumns(text: string, needed: readonly Needed[]): boolean {
  const plain = text
    .slice(0, 20_000)
    .replace(/^\uFEFF/, '')
    .replace(/\r\n?/g, '\n');
  return SEPARATORS.some((separator) => headed(plain, separator, needed).found === needed.length);
}

const hasColumn = (cells: readonly string[], names: Needed): boolean =>
  cells.some((cell) => names.some((name) => columnKey(name) === columnKey(cell)));

/** Text that was kept from being taken for a formula has an apostrophe before it. */
const unescaped = (cell: string): string => cell.replace(/^'(?='*[=+\-@\t\r])/, '');

/** The first filled cell under any of these column names. */
export const cell = (row: TableRow, ...names: string[]): string =>
  names.map((name) => row.cells[columnKey(name)] ?? '').find(Boolean) ?? '';

/**
 * A number or range as it is written in a table, with a decimal point: "3,5–7,2 cm" of a table with decimal commas becomes "3.5–7.2 cm".
 */
export const withPoint = (text: string, { decimalComma }: Pick<Table, 'decimalComma'>): string =>
  decimalComma ? text.replace(/(?<=\d),(?=\d)/g, '.') : text;

const MONTH_NAMES = 'jan|feb|mar|apr|may|jun|jul|aug|sep|oct|nov|dec';

/** Spreadsheets make dates of ranges: 5–9 becomes "9-May" or "05.Sep". Says so where a cell reads like one. */
export function dateInstead(text: string): string | undefined {
  if (
    !new RegExp(
      `^(\\d{1,2}[-. ](${MONTH_NAMES})|(${MONTH_NAMES})[-. ]\\d{1,4}|\\d{4}-\\d{2}-\\d{2})`,
      'i',
    ).test(text)
  )
    return undefined;
  return `“${text}” is a date. A spreadsheet makes dates of ranges such as 5–9: format the column as text and write the range again.`;
}

/** CSV text; cells that a spreadsheet would take for a formula get a leading apostrophe. */
export function writeTable(
  columns: readonly string[],
  rows: readonly (readonly (string | number)[])[],
): string {
  return Papa.unparse([[...columns], ...rows.map((row) => [...row])], {
    // A cell that begins with an apostrophe of its own gets a second, or it would lose it on the way back.
    escapeFormulae: /^'*[=+\-@\t\r]/,
    newline: '\n',
  });
}
