import { plural, t } from '@lingui/core/macro';
import type { Marks } from '@hurrow/contract/quizzes';
import { answerText, resolveName, type Answer, type AnswerPart } from '@hurrow/core/names';
import { scientificName } from '@hurrow/core/taxon';
import { same } from '../drafts/afterSave.ts';
import { listInWords } from '../language/inWords.ts';

/** What was typed of papers and is not stored: by student, then by station. */
export type Papers = Record<string, Record<string, Answer>>;

/** One line of one paper. */
export interface PaperLine {
  studentId: string;
  stationId: string;
  answer: Answer;
}

/**
 * The lines that were typed and are not stored, of one student or of one station.
 *
 * @example
 * linesOf({ ava: { s1: { name: 'elm' } } }, { stationId: 's1' }); // [{ studentId: 'ava', stationId: 's1', answer: { name: 'elm' } }]
 */
export const linesOf = (papers: Papers, of: { studentId?: string; stationId?: string }): PaperLine[] =>
  Object.entries(papers)
    .filter(([studentId]) => of.studentId === undefined || studentId === of.studentId)
    .flatMap(([studentId, paper]) =>
      Object.entries(paper)
        .filter(([stationId]) => of.stationId === undefined || stationId === of.stationId)
        .map(([stationId, answer]) => ({ studentId, stationId, answer })),
    );

/** What may be written in a field of a paper, by the list: offered to be taken, never put in place of what was typed. */
export function namesFor(part: AnswerPart, list: Marks['list'] | undefined): string[] {
  const all = (list ?? []).flatMap(({ genus, epithet, family, commonNames }) =>
    part === 'genus' ? [genus] : part === 'epithet' ? [epithet] : part === 'family' ? [family] : commonNames,
  );
  return [...new Set(all)].sort();
}

/** The papers with an answer of one station. */
export const withAnswer = (papers: Papers, studentId: string, stationId: string, answer: Answer): Papers => ({
  ...papers,
  [studentId]: { ...papers[studentId], [stationId]: answer },
});

/** The papers without an answer that was stored; one that was typed over meanwhile stays. */
export function withoutStored(papers: Papers, studentId: string, stationId: string, stored: Answer): Papers {
  const { [stationId]: now, ...rest } = papers[studentId] ?? {};
  return now && same(now, stored) ? { ...papers, [studentId]: rest } : papers;
}

/**
 * Which stations of a paper are not stored yet; nothing where all are.
 *
 * @example
 * notStored({ s2: { genus: 'Abies' } }, [{ id: 's2', position: 2 }]); // 'Station 2 is not stored yet.'
 */
export function notStored(
  paper: Record<string, Answer> | undefined,
  stations: readonly { id: string; position: number }[],
): string {
  const left = stations.filter(({ id }) => paper?.[id]).map(({ position }) => String(position));
  if (left.length === 0) return '';
  return plural(left.length, {
    one: `Station ${left[0] ?? ''} is not stored yet.`,
    other: `Stations ${listInWords(left)} are not stored yet.`,
  });
}

/** Whose paper comes after one; nobody’s after the last. */
export const nextStudent = (students: readonly { id: string }[], id: string): string =>
  students[students.findIndex((student) => student.id === id) + 1]?.id ?? '';

/** How an answer will be read, as it is typed. */
export function readsAs(answer: Answer, list: Marks['list'] | undefined): string {
  const text = answerText(answer);
  if (!text || !list) return '';
  const found = resolveName(text, list);
  const taxon = list.find((entry) => entry.id === found.taxonId);
  if (taxon) return found.how === 'exact' ? '✓' : `${found.how}: ${scientificName(taxon)}`;
  // “Thuja occidentalis” is more than the genus of a redcedar.
  if (found.other) return t`${found.other}, not on the list`;
  if (found.how === 'genus') return t`genus ${found.genus ?? ''} only`;
  return found.how === 'ambiguous' ? t`more than one taxon` : t`names no tree of the list`;
}
