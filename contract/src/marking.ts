import Joi from 'joi';
import {
  SECOND_VERDICTS,
  type QuizResult,
  type SecondVerdict,
  type StudentChange,
  type TermResult,
  type TermScheme,
} from '@hurrow/core/marks';
import type { MarkingPolicy } from '@hurrow/core/names';
import { markingSchema } from './courses.ts';
import { endpoint, INSTRUCTORS, STAFF, type Done, type Sent } from './endpoint.ts';

/** Points and deductions of a quiz: as it is marked now, and as it was opened. */
export interface QuizMarking {
  now: MarkingPolicy;
  opened: MarkingPolicy;
}

export const policy = endpoint<{ answer: QuizMarking }>()({
  method: 'get',
  path: '/api/quizzes/{quizId}/marking',
  summary: 'What a quiz that was opened is marked by.',
  allow: STAFF,
});

export interface MarkingBody {
  /** null takes back whatever was changed since it was opened. */
  marking: MarkingPolicy | null;
  /** It is only said what would change. */
  dryRun: boolean;
}

export const changePolicy = endpoint<{ body: MarkingBody; answer: { changes: StudentChange[] } }>()({
  method: 'put',
  path: '/api/quizzes/{quizId}/marking',
  summary:
    'Marks a quiz by other points and deductions, all answers anew; with dryRun it only says what changes for whom.',
  allow: INSTRUCTORS,
  body: Joi.object({
    marking: markingSchema.allow(null).required(),
    dryRun: Joi.boolean().required(),
  }),
});

/** A mark that a student asks to be looked at again. */
export interface Regrade {
  id: string;
  studentId: string;
  stationId: string;
  note: string;
  /** ISO 8601. */
  askedAt: string;
  /** What was answered; null while it waits. */
  answer: string | null;
}

export const regrades = endpoint<{ answer: { regrades: Regrade[] } }>()({
  method: 'get',
  path: '/api/quizzes/{quizId}/regrades',
  summary: 'Marks that students ask to be looked at again, those that wait first.',
  allow: STAFF,
});

export const answerRegrade = endpoint<{ body: { answer: string }; answer: Done }>()({
  method: 'post',
  path: '/api/quizzes/{quizId}/regrades/{regradeId}',
  summary:
    'Answers a student who asked for a mark to be looked at again. The mark itself is changed by a ruling.',
  allow: INSTRUCTORS,
  body: Joi.object({ answer: Joi.string().trim().min(1).max(600).required().label('Answer') }),
});

/** The marks of a course: every quiz of every student, and what they come to. */
export interface TermMarks {
  scheme: TermScheme;
  quizzes: { id: string; title: string; heldOn: string }[];
  students: (TermResult & { id: string; name: string; results: QuizResult[] })[];
}

export const term = endpoint<{ answer: TermMarks }>()({
  method: 'get',
  path: '/api/courses/{courseId}/marks',
  summary:
    'The marks of a course, student by student and quiz by quiz, with what they come to under its weights.',
  allow: STAFF,
});

export const changeScheme = endpoint<{ body: TermScheme; answer: Done }>()({
  method: 'put',
  path: '/api/courses/{courseId}/marks/scheme',
  summary:
    'Says what the quizzes of a course weigh, how many of the lowest are dropped, and what is given on top.',
  allow: INSTRUCTORS,
  body: Joi.object<TermScheme>({
    weights: Joi.object().pattern(Joi.string().max(80), Joi.number().min(0).max(1000)).required(),
    drop: Joi.number().integer().min(0).max(50).required().label('Dropped'),
    bonus: Joi.object().pattern(Joi.string().max(80), Joi.number().min(-100).max(100)).required(),
  }),
});

export const table = endpoint<{ answer: Sent }>()({
  method: 'get',
  path: '/api/courses/{courseId}/marks/table.csv',
  summary: 'The marks of a course as a table: a row a student, a column a quiz, and the percent of the term.',
  allow: STAFF,
  answers: 'text/csv',
});

export const oneRoster = endpoint<{ answer: Sent }>()({
  method: 'get',
  path: '/api/courses/{courseId}/marks/one-roster.zip',
  summary:
    'The marks of a course as a package of OneRoster 1.1 in CSV, for a learning-management system: class, students, quizzes and results.',
  allow: STAFF,
  answers: 'application/zip',
});

/** What a second marker said of equal answers. */
export interface SecondWord {
  /** The tree, what was asked and what was written, as one text (`equalAnswers` of the pages). */
  answer: string;
  verdict: SecondVerdict;
  /** Who said it, and whether that is whoever asks. */
  by: string;
  own: boolean;
}

export const secondWords = endpoint<{ answer: { words: SecondWord[] } }>()({
  method: 'get',
  path: '/api/quizzes/{quizId}/second',
  summary: 'What second markers said of the answers of a quiz.',
  allow: STAFF,
});

export const saySecond = endpoint<{
  body: { answer: string; verdict: SecondVerdict | null };
  answer: Done;
}>()({
  method: 'put',
  path: '/api/quizzes/{quizId}/second',
  summary:
    'Says as a second marker what equal answers are worth; null takes the word back. Marks are not changed by it.',
  allow: STAFF,
  body: Joi.object({
    answer: Joi.string().min(1).max(800).required(),
    verdict: Joi.string()
      .valid(...SECOND_VERDICTS)
      .allow(null)
      .required(),
  }),
});
