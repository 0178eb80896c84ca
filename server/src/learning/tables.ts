import type { LearningTable } from '@hurrow/contract/learning';
import type { ClassReport } from '@hurrow/contract/confusions';
import type { PracticeOf } from '@hurrow/contract/practice';
import type { SinceTaught } from '@hurrow/core/confusion';
import { writeTable } from '@hurrow/core/formats';
import { isRankOnly, isSure, rankedFindings, verdictOf } from '@hurrow/core/finding';
import type { Vocabulary } from '@hurrow/core/vocabulary';
import type { ReportedPair } from './pairs.ts';
import type { CountedAnswer } from './record.ts';

/** What the tables are written from. */
export interface Tabled {
  answers: readonly CountedAnswer[];
  report: ClassReport;
  pairs: readonly ReportedPair[];
  since: readonly (SinceTaught & { a: string; b: string; students: number | null })[];
  practice: readonly PracticeOf[];
  vocabulary: Vocabulary;
  /** What stands for a student: the name, or a code. */
  student(id: string): string;
  taxon(id: string): string;
  character(id: string): string;
}

type Cell = string | number;
/** A table with what each of its columns means. */
interface Columns {
  columns: Record<string, string>;
  rows(of: Tabled): Cell[][];
}

const share = (value: number): string => value.toFixed(3);

const RESPONSES: Columns = {
  columns: {
    quiz: 'Title of the quiz',
    held_on: 'Day of the quiz, ISO 8601',
    station: 'Number of the station',
    medium: 'What lay there: cutting, livingTree, barkPiece, fruit, pressed, photo, drawing',
    tree: 'The tree that was there, scientific name',
    student: 'Name of the student, or a code that stands for the same student in all tables',
    written: 'The answer as it was written',
    named: 'The tree that the answer names, scientific name; empty where it names none of the list',
    read_as: 'How the name was read: exact, synonym, common, misspelled, ambiguous, genus, none, blank',
    points: 'Points given',
    given_by: 'Who gave the answer: student on a phone, or staff from paper',
  },
  rows: ({ answers, student, taxon }) =>
    answers.map((row) => [
      row.quiz.title,
      row.quiz.heldOn,
      row.position,
      row.medium,
      taxon(row.truth),
      student(row.studentId),
      row.written,
      row.named ? taxon(row.named) : '',
      row.how,
      row.points,
      row.by,
    ]),
};

const PAIRS: Columns = {
  columns: {
    tree: 'The tree that was there, scientific name',
    taken_for: 'The tree that it was called, scientific name',
    times: 'Number of answers that called it so',
    asked: 'Number of answers to stations with the tree',
    rate: 'times over asked, 0 to 1',
    rate_low: 'Lower end of the 90 % Wilson interval of the rate',
    rate_high: 'Upper end of the same',
    expected: 'Share expected if hard trees and ready names alone brought it, 0 to 1',
    stands_out: 'yes where it exceeds that at a false discovery rate of 5 %',
    students: 'Number of students who called it so',
    quizzes: 'Number of quizzes in which it happened',
  },
  rows: ({ pairs, taxon }) =>
    pairs.map((pair) => [
      taxon(pair.truth),
      taxon(pair.answer),
      pair.count,
      pair.asked,
      share(pair.rate),
      share(pair.interval[0]),
      share(pair.interval[1]),
      share(pair.expectedRate),
      pair.standsOut ? 'yes' : 'no',
      pair.students,
      pair.quizzes,
    ]),
};

const FINDINGS: Columns = {
  columns: {
    kind: 'character: overlooked or misread; species: missed more than its likeness explains; name: given too readily',
    subject: 'The character, or the tree by its scientific name',
    firm: 'yes where it is said as sure: of all firm findings one in ten at most is expected to be wrong',
    verdict:
      'Of a character: misread, hardly looked at, used too little, perhaps overlooked, used no better than the rest',
    prevented:
      'Errors that it would have prevented, had the class used it as its typical character; empty where only its rank can be said: the lines stand in that order',
    prevented_low: 'Lower end of the 90 % interval of the same',
    prevented_high: 'Upper end of the same',
  },
  rows: ({ report, vocabulary, taxon, character }) => {
    if (report.state !== 'enough') return [];
    const { firm, unsure } = rankedFindings(report, vocabulary);
    return [...firm, ...unsure].map((found) => {
      const subject =
        found.kind === 'character'
          ? character(found.character.characterId)
          : taxon(found.kind === 'species' ? found.species.taxonId : found.name.taxonId);
      const reading =
        found.kind === 'character'
          ? report.readings.find(({ characterId }) => characterId === found.character.characterId)
          : undefined;
      return [
        found.kind,
        subject,
        isSure(found) ? 'yes' : 'no',
        found.kind === 'character' ? verdictOf(found.character, reading) : '',
        ...[found.prevented.prevented, ...found.prevented.interval].map((errors) =>
          isRankOnly(found) ? '' : errors.toFixed(1),
        ),
      ];
    });
  },
};

const RETEACHING: Columns = {
  columns: {
    tree: 'One tree of the pair, scientific name',
    other: 'The other',
    taught_on: 'Day on which it was taught again, ISO 8601',
    taught_to: 'Number of students, or class',
    mixed_before: 'Answers before that named the other tree',
    asked_before: 'Answers before to stations with either tree',
    mixed_after: 'The same from that day on',
    asked_after: 'The same from that day on',
    fewer: 'Share before less share after at specimens like the later ones, 0 to 1',
    fewer_low: 'Lower end of its 90 % interval',
    fewer_high: 'Upper end of the same',
    specimens: 'The later specimens by the evidence: as hard, easier, harder; it is taken out',
    verdict: 'resolved, improving, still mixed up (may have improved), as before, too few to say',
  },
  rows: ({ since, taxon }) =>
    since.map((row) => [
      taxon(row.a),
      taxon(row.b),
      row.taughtOn,
      row.students ?? 'class',
      row.counted.before.mixed,
      row.counted.before.asked,
      row.counted.after.mixed,
      row.counted.after.asked,
      share(row.before - row.after),
      share(row.difference[0]),
      share(row.difference[1]),
      row.specimens,
      row.verdict,
    ]),
};

const PRACTICE: Columns = {
  columns: {
    student: 'Name of the student, or the code',
    answers: 'Number of answers to practice cards',
    minutes: 'Minutes, by what the answers took',
    days: 'Number of days on which was practiced',
    last_on: 'The last of them, ISO 8601',
    cards: 'Number of cards of what was taught so far',
    known: 'Cards that will be known for a week, by the schedule',
    due: 'Cards that are about to fade, by the schedule',
  },
  rows: ({ practice, student }) =>
    practice.map((row) => [
      student(row.studentId),
      row.answers,
      row.minutes,
      row.days,
      row.lastOn ?? '',
      row.cards,
      row.known,
      row.due,
    ]),
};

const WRITTEN: Record<Exclude<LearningTable, 'dictionary'>, Columns> = {
  responses: RESPONSES,
  pairs: PAIRS,
  findings: FINDINGS,
  reteaching: RETEACHING,
  practice: PRACTICE,
};

/** A table of a course as CSV; the dictionary says what the columns of all of them mean. */
export function tableOf(name: LearningTable, of: Tabled): string {
  if (name === 'dictionary')
    return writeTable(
      ['table', 'column', 'meaning'],
      Object.entries(WRITTEN).flatMap(([table, { columns }]) =>
        Object.entries(columns).map(([column, meaning]) => [table, column, meaning]),
      ),
    );
  const { columns, rows } = WRITTEN[name];
  return writeTable(Object.keys(columns), rows(of));
}

/** Codes that stand for students, by their place in the list: S01, S02 … No code that anybody signs in with. */
export const codesOf = (ids: readonly string[]): Map<string, string> =>
  new Map(
    ids.map((id, i) => [id, `S${String(i + 1).padStart(Math.max(2, String(ids.length).length), '0')}`]),
  );
