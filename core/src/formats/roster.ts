import { done, type Outcome } from '../outcome/index.ts';
import { cell, readTable, type RowProblem } from './table.ts';

export interface RosterRow {
  line: number;
  name: string;
  /** A code of the instructor's own choosing; made by Hurrow where empty. */
  code: string;
}

export interface Roster {
  rows: RosterRow[];
  problems: RowProblem[];
}

/** Reads a class list: a column `name`, and `code` if the instructor sets the personal codes. */
export function readRoster(csv: string, existing: readonly string[]): Outcome<Roster> {
  const table = readTable(csv, [['name', 'student', 'full name']]);
  if (!table.ok) return table;
  const taken = new Set(existing.map((name) => name.toLowerCase()));
  const rows: RosterRow[] = [];
  const problems: RowProblem[] = [];
  for (const row of table.value.rows) {
    const name = cell(row, 'name', 'student', 'full name').replace(/\s+/g, ' ');
    if (!name)
      problems.push({ line: row.line, message: 'No name on this line. Write one or delete the line.' });
    else if (taken.has(name.toLowerCase()))
      problems.push({
        line: row.line,
        message: `${name} is already on the list. Add an initial if these are two people.`,
      });
    else {
      taken.add(name.toLowerCase());
      rows.push({ line: row.line, name, code: cell(row, 'code', 'personal code') });
    }
  }
  return done({ rows, problems });
}
