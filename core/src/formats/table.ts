import Papa from 'papaparse';
import { done, refused, type Outcome } from '../outcome/index.ts';

export interface TableRow {
  /** Line of the file, the header being line 1. */
  line: number;
  cells: Record<string, string>;
}

export interface Table {
  columns: string[];
  rows: TableRow[];
}

/** Why a row of a file was refused, with what to do. */
export interface RowProblem {
  line: number;
  message: string;
}

/** Column names made equal: "Given name" and "given_name" are one. */
export const columnKey = (name: string): string => name.toLowerCase().replace(/[^a-z0-9.=[\]]+/g, '');

/**
 * Reads a CSV (comma, semicolon or tab) with a header line and checks that the columns needed are there. Cells are kept as
 * they are written, trimmed. Blank lines are passed over.
 */
export function readTable(csv: string, needed: readonly (readonly string[])[]): Outcome<Table> {
  const parsed = Papa.parse<string[]>(csv.replace(/^\uFEFF/, ''), { skipEmptyLines: false });
  const lines = parsed.data.map((cells, i) => ({ line: i + 1, cells: cells.map((cell) => cell.trim()) }));
  const filled = lines.filter(({ cells }) => cells.some(Boolean));
  const header = filled[0];
  if (!header) return refused('The file is empty. It needs a header line with the names of the columns.');
  const columns = header.cells;
  for (const names of needed) {
    if (columns.some((column) => names.some((name) => columnKey(name) === columnKey(column)))) continue;
    const found = columns.filter(Boolean).join(', ') || 'none';
    return refused(
      `The column “${names[0]}” is missing (columns found: ${found}). Add it to the header line and import the file again.`,
    );
  }
  const rows = filled.slice(1).map(({ line, cells }) => ({
    line,
    cells: Object.fromEntries(columns.map((column, i) => [columnKey(column), cells[i] ?? ''])),
  }));
  return done({ columns, rows });
}

/** The first filled cell under any of these column names. */
export const cell = (row: TableRow, ...names: string[]): string =>
  names.map((name) => row.cells[columnKey(name)] ?? '').find(Boolean) ?? '';

/** CSV text; cells that a spreadsheet would take for a formula get a leading apostrophe. */
export function writeTable(
  columns: readonly string[],
  rows: readonly (readonly (string | number)[])[],
): string {
  return Papa.unparse([[...columns], ...rows.map((row) => [...row])], {
    escapeFormulae: true,
    newline: '\n',
  });
}
