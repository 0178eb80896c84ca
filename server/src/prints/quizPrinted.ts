import type { Content, TDocumentDefinitions } from 'pdfmake/interfaces.js';
import type { Contest } from '@hurrow/contract/contests';
import type { Course, Student } from '@hurrow/contract/courses';
import type { QuizHead } from '@hurrow/contract/quizzes';
import type { Rounds } from '@hurrow/contract/rounds';
import type { ProfiledTaxon } from '@hurrow/core/evidence';
import type { Rotation } from '@hurrow/core/rotation';
import type { Place } from '@hurrow/core/season';
import type { FrozenQuestion, PlannedStation } from '@hurrow/core/station';
import type { Vocabulary } from '@hurrow/core/vocabulary';

/** All that the papers of a quiz are made of: plain data, which travels to a thread. */
export interface QuizPrinted {
  /** Address under which phones reach this Hurrow. */
  at: string;
  course: Course;
  quiz: QuizHead;
  /** With the ids of the taxa whose names are to choose from, or what is asked in place of the name. */
  stations: (PlannedStation & { position: number; choices: string[]; asked: FrozenQuestion | undefined })[];
  list: readonly ProfiledTaxon[];
  vocabulary: Vocabulary;
  reference: Place;
  /** Those who are there. */
  students: Student[];
  rounds: Rounds;
  rotation: Rotation | undefined;
  /** What it goes by as a contest; null where it is none. */
  contest: Contest | null;
}

/** A paper, whose size is chosen by whoever prints it. */
export type Sheet = Omit<TDocumentDefinitions, 'pageSize'>;

export const GREY = '#4c5d60';
export const MARGIN = 40;

/** The quiz and its course, above a table. */
export const heading = ({ title, heldOn }: QuizHead, { name }: Course): Content => ({
  columns: [
    { text: title, font: 'Serif', bold: true, fontSize: 15 },
    { text: `${name}, ${heldOn}`, alignment: 'right', color: GREY },
  ],
  margin: [0, 0, 0, 4],
});

export const lines = {
  hLineWidth: () => 0.5,
  vLineWidth: () => 0.5,
  hLineColor: () => '#8a9a98',
  vLineColor: () => '#8a9a98',
};
