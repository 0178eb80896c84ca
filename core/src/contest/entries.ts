import { cell, readTable, type RowProblem } from '../formats/index.ts';
import { done, type Outcome } from '../outcome/index.ts';
import type { Entry } from './standings.ts';

/**
 * Reads who competes for which team in which division: a column `name` (or `code`), and `team`, `division`. A row of somebody who is not on the class
 * list, or stands there already, is pointed out and left out.
 *
 * @returns entries by the id of the student
 * @example
 * readEntries('name,team,division\nAva Frost,Alders,junior', students); // { ok: true, value: { entries: { a1: { team: 'Alders', … } }, problems: [] } }
 */
export function readEntries(
  csv: string,
  students: readonly { id: string; name: string; code: string }[],
): Outcome<{ entries: Record<string, Entry>; problems: RowProblem[] }> {
  const table = readTable(csv, [
    ['name', 'student', 'code'],
    ['team', 'division'],
  ]);
  if (!table.ok) return table;
  const entries: Record<string, Entry> = {};
  const problems: RowProblem[] = [];
  for (const row of table.value.rows) {
    const who = cell(row, 'name', 'student', 'code');
    const student = students.find(({ name, code }) =>
      [name, code].some((each) => each.toLowerCase() === who.toLowerCase()),
    );
    if (student && entries[student.id])
      problems.push({ line: row.line, message: `${student.name} stands on two lines. Keep one of them.` });
    else if (student)
      entries[student.id] = { team: cell(row, 'team').trim(), division: cell(row, 'division').trim() };
    else
      problems.push({
        line: row.line,
        message: `No student “${who}” in this course. Check the spelling against the class list.`,
      });
  }
  return done({ entries, problems });
}

/**
 * What is odd about the entries, a sentence each: teams in two divisions, which count as two.
 *
 * @example
 * oddEntries([{ team: 'Alders', division: 'junior' }, { team: 'Alders', division: 'senior' }]);
 * // ['Alders stand in two divisions (junior, senior) and count as two teams.']
 */
export function oddEntries(entries: readonly Entry[]): string[] {
  const byTeam = new Map<string, Set<string>>();
  for (const { team, division } of entries)
    if (team) byTeam.set(team, (byTeam.get(team) ?? new Set()).add(division || 'none'));
  return [...byTeam]
    .filter(([, divisions]) => divisions.size > 1)
    .map(
      ([team, divisions]) =>
        `${team} stand in two divisions (${[...divisions].sort().join(', ')}) and count as two teams.`,
    );
}
