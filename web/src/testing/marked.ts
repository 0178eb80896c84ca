import type { MarkedAnswer, Marks } from '@hurrow/contract/quizzes';
import { markAnswer, type Answer, type NamedTaxon } from '@hurrow/core/names';

const taxon = (epithet: string, common: string): NamedTaxon => ({
  id: epithet,
  rank: 'species',
  genus: 'Acer',
  epithet,
  family: 'Sapindaceae',
  commonNames: [common],
  synonyms: [],
});
export const list = [taxon('rubrum', 'red maple'), taxon('saccharum', 'sugar maple')];
export const marking = {
  policy: 'binomial' as const,
  points: { name: 2, genus: 1, epithet: 1, family: 1 },
  deduction: 0.25,
};

/** An answer at one of two stations, as it is marked. */
export const answer = (
  studentId: string,
  stationId: string,
  written: Answer,
  more: Partial<MarkedAnswer> = {},
): MarkedAnswer => ({
  responseId: `${studentId}${stationId}`,
  studentId,
  stationId,
  by: 'student',
  written,
  text: [written.genus, written.epithet].filter(Boolean).join(' '),
  mark: markAnswer(written, list[stationId === 's1' ? 0 : 1]!, list, marking),
  told: written.wentBy ?? [],
  ruling: null,
  conflicting: [],
  ...more,
});
/** A closed quiz of two maples, red before sugar. */
export const marksOf = (answers: MarkedAnswer[], voided = false): Marks => ({
  quiz: {
    id: 'q',
    courseId: 'c',
    title: 'Quiz',
    heldOn: '2026-09-10',
    state: 'closed',
    released: false,
    releasedTo: [],
    regradeUntil: null,
  },
  students: [
    { id: 'rowan', name: 'Rowan' },
    { id: 'selma', name: 'Selma' },
  ],
  stations: [
    { id: 's1', position: 1, taxonId: 'rubrum', voided: false, credited: false, asking: null },
    { id: 's2', position: 2, taxonId: 'saccharum', voided, credited: false, asking: null },
  ],
  list,
  policy: 'binomial',
  outOf: 2,
  answers,
  words: [],
});
