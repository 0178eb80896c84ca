import { answerText, resolveName, type Answer, type NamedTaxon } from '../names/index.ts';
import { done, type Outcome } from '../outcome/index.ts';
import { commonName, scientificName } from '../taxon/index.ts';
import type { FrozenQuestion } from '../station/index.ts';
import type { Character } from '../vocabulary/index.ts';
import { readSaid } from './said.ts';
import { readSaw } from './saw.ts';
import { readWentBy } from './wentBy.ts';
import { cell, readTable, type RowProblem } from './table.ts';

export interface ResponseRow {
  line: number;
  studentId: string;
  stationId: string;
  answer: Answer;
}

export interface ResponseTable {
  rows: ResponseRow[];
  /** Rows that cannot be taken. */
  problems: RowProblem[];
  /** Rows that are kept as written but name no taxon of the list. */
  unknown: RowProblem[];
}

export interface ResponseContext {
  students: readonly { id: string; name: string; code: string }[];
  /** With the characters that each asks to be read, those it offers as gone by, and what it asks in place of the name. */
  stations: readonly {
    id: string;
    position: number;
    asks?: readonly Character[];
    offered?: readonly Character[];
    asking?: FrozenQuestion;
  }[];
  list: readonly NamedTaxon[];
}

/**
 * Reads paper answers: columns `student` (name or personal code), `station` (number) and `answer`, or `genus`, `epithet`,
 * `family`; and `saw`, what was seen where the station asks (see `readSaw`);
 * `went_by`, what it was named by (see `readWentBy`). Every answer is kept as it is written; answers that name no taxon of the list are pointed out.
 */
export function readResponses(csv: string, context: ResponseContext): Outcome<ResponseTable> {
  const table = readTable(csv, [['student', 'name', 'code'], ['station'], ['answer', 'genus']]);
  if (!table.ok) return table;
  const byName = new Map<string, string>();
  for (const student of context.students) {
    byName.set(student.name.toLowerCase(), student.id);
    byName.set(student.code.toLowerCase(), student.id);
  }
  const byPosition = new Map(context.stations.map((station) => [String(station.position), station]));
  const result: ResponseTable = { rows: [], problems: [], unknown: [] };
  const seen = new Set<string>();
  for (const row of table.value.rows) {
    const who = cell(row, 'student', 'name', 'code');
    const where = cell(row, 'station');
    const studentId = byName.get(who.toLowerCase());
    const station = byPosition.get(where);
    if (!studentId) {
      result.problems.push({
        line: row.line,
        message: `No student “${who}” in this course. Check the spelling against the class list.`,
      });
      continue;
    }
    if (!station) {
      result.problems.push({
        line: row.line,
        message: `There is no station “${where}”; this quiz has stations 1 to ${context.stations.length}.`,
      });
      continue;
    }
    const key = `${studentId} ${station.id}`;
    if (seen.has(key)) {
      result.problems.push({
        line: row.line,
        message: `${who} has two answers at station ${where}. Keep one line.`,
      });
      continue;
    }
    const saw = readSaw(cell(row, 'saw'), station.asks ?? []);
    if (!saw.ok) {
      result.problems.push({ line: row.line, message: saw.problem });
      continue;
    }
    const wentBy = readWentBy(cell(row, 'went_by', 'went by'), station.offered ?? []);
    if (!wentBy.ok) {
      result.problems.push({ line: row.line, message: wentBy.problem });
      continue;
    }
    const written = readAnswer(row, station.asking);
    if (!written.ok) {
      result.problems.push({ line: row.line, message: written.problem });
      continue;
    }
    seen.add(key);
    const { told, unread, doubts } = wentBy.value;
    for (const doubt of doubts)
      result.unknown.push({
        line: row.line,
        message: `${doubt} It is kept as written; rule on it when you mark.`,
      });
    const answer: Answer = {
      ...written.value,
      ...(Object.keys(saw.value).length ? { seen: saw.value } : {}),
      ...(told.length ? { wentBy: told } : {}),
      ...(unread.length ? { wentByUnread: unread } : {}),
    };
    const resolution = resolveName(answerText(answer), context.list);
    if (!station.asking && (resolution.how === 'none' || resolution.how === 'ambiguous'))
      result.unknown.push({
        line: row.line,
        message: unknownMessage(answerText(answer), resolution.candidates, context.list),
      });
    result.rows.push({ line: row.line, studentId, stationId: station.id, answer });
  }
  return done(result);
}

/** What a row answers: a name, or what its station asks in place of one, in whichever column it stands. */
function readAnswer(row: Parameters<typeof cell>[0], asking: FrozenQuestion | undefined): Outcome<Answer> {
  const [name, genus, epithet, family] = (['answer', 'genus', 'epithet', 'family'] as const).map((column) =>
    cell(row, column),
  ) as [string, string, string, string];
  if (asking) return readSaid((asking.kind === 'family' && family) || name || genus, asking);
  if (genus || epithet) return done({ genus, epithet, family });
  return done(family ? { name, family } : { name });
}

function unknownMessage(
  written: string,
  candidates: string[] | undefined,
  list: readonly NamedTaxon[],
): string {
  if (candidates) {
    const names = candidates.map((id) => list.find((taxon) => taxon.id === id)!).map(commonName);
    return `“${written}” could be ${names.join(' or ')}. It is kept as written; rule on it when you mark.`;
  }
  const example = list[0] ? scientificName(list[0]) : '';
  return `“${written}” names no taxon on the list (a name looks like “${example}”). It is kept as written; correct the file, or rule on it when you mark.`;
}
