import { randomUUID } from 'node:crypto';
import type { Course } from '@hurrow/contract/courses';
import type { ImportReport } from '@hurrow/contract/reports';
import { readRoster } from '@hurrow/core/formats';
import type { Said } from '@hurrow/contract/problem';
import { badInput } from '../api/problem.ts';
import { say } from '../api/say.ts';
import type { Db } from '../db/index.ts';
import { readableCode } from './codes.ts';
import * as queries from './queries.ts';

/**
 * Says whom a class list would add, and adds them unless it is a dry run. Run inside a transaction.
 *
 * @param told is told what was done, in words for the history
 */
export async function importStudents(
  tx: Db,
  course: Course,
  body: { csv: string; dryRun: boolean },
  told: (what: Said) => Promise<unknown>,
): Promise<ImportReport> {
  const existing = await queries.students(tx, course.id);
  const roster = readRoster(
    body.csv,
    existing.map((student) => student.name),
  );
  if (!roster.ok) throw badInput(roster.problem);
  const codes = new Set(existing.map((student) => student.code));
  const problems = [...roster.value.problems];
  const added: string[] = [];
  for (const entry of roster.value.rows) {
    const code = entry.code.toUpperCase() || readableCode(6);
    if (codes.has(code)) {
      problems.push({
        line: entry.line,
        message: `The personal code ${code} of ${entry.name} is taken. Choose another or leave it empty.`,
      });
      continue;
    }
    codes.add(code);
    added.push(entry.name);
    if (!body.dryRun) await queries.addStudent(tx, randomUUID(), course.id, entry.name, code);
  }
  if (!body.dryRun && added.length > 0)
    await told(
      added.length === 1
        ? say`added one student to the class list`
        : say`added ${added.length} students to the class list`,
    );
  return { added, changed: [], refused: problems, ignored: [] };
}
