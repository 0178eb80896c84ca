import Joi from 'joi';
import type { Medium } from '@hurrow/core/view';
import { endpoint, STAFF, type Done, type Sent } from './endpoint.ts';
import type { PracticeOf } from './practice.ts';
import type { SentMiniLesson } from './miniLessons.ts';

/** One answer of a student, with its station. */
export interface LearnedAnswer {
  quizId: string;
  stationId: string;
  position: number;
  medium: Medium;
  truth: string;
  named: string | null;
  written: string;
  /** There is a drawing or photograph of it. */
  pictured: boolean;
}

/** What there is to say of one student. */
export interface StudentLearning {
  id: string;
  name: string;
  /** For an advising talk; students do not see it. */
  note: string;
  quizzes: { id: string; title: string; heldOn: string }[];
  answers: LearnedAnswer[];
  seen: { characterId: string; right: boolean }[];
  wentBy: { offered: string[]; told: string[] }[];
  /** Of the whole class. */
  classTold: Record<string, { offered: number; told: number }>;
  classRight: Record<string, { asked: number; right: number }>;
  practice: PracticeOf;
  miniLessons: SentMiniLesson[];
}

export const ofStudent = endpoint<{ answer: StudentLearning }>()({
  method: 'get',
  path: '/api/courses/{courseId}/students/{studentId}/learning',
  summary:
    'What one student answered, read, went by and practiced, with the class’s shares to hold it against.',
  allow: STAFF,
});

export const note = endpoint<{ body: { note: string }; answer: Done }>()({
  method: 'put',
  path: '/api/courses/{courseId}/students/{studentId}/note',
  summary:
    'Keeps a note on a student for an advising talk. Students do not see it; it goes with everything that is handed out of one student.',
  allow: STAFF,
  body: Joi.object({ note: Joi.string().trim().allow('').max(4000).required().label('Note') }),
});

/** One quiz of a class, counted. */
export interface QuizCounts {
  id: string;
  title: string;
  heldOn: string;
  /** Week of its course. */
  week: number;
  asked: number;
  right: number;
  /** By tree. */
  taxa: Record<string, { asked: number; right: number }>;
  /** By pair, its trees in the order of the alphabet: how often one was taken for the other, of the answers to either. */
  pairs: { a: string; b: string; mixed: number; asked: number }[];
  /** By character: how often it was told of how often offered, and read rightly of how often asked. */
  characters: Record<string, { offered: number; told: number; asked: number; right: number }>;
}

export interface ClassCounts {
  courseId: string;
  name: string;
  startsOn: string;
  quizzes: QuizCounts[];
}

export const trends = endpoint<{ answer: { classes: ClassCounts[] } }>()({
  method: 'get',
  path: '/api/courses/{courseId}/trends',
  summary:
    'Counts of every quiz of a course and of earlier courses with the like list: trees, pairs, characters. The course itself stands first.',
  allow: STAFF,
});

/** The tables of a course for others to work on. */
export const TABLES = ['responses', 'pairs', 'findings', 'reteaching', 'practice', 'dictionary'] as const;
export type LearningTable = (typeof TABLES)[number];

interface ReportQuery {
  /** Names of students are replaced by codes. */
  codes: boolean;
}
const codes = Joi.boolean().default(false);

export const table = endpoint<{
  params: { courseId: string; table: LearningTable };
  query: ReportQuery;
  answer: Sent;
}>()({
  method: 'get',
  path: '/api/courses/{courseId}/report/{table}.csv',
  summary:
    'A table of a course as CSV: responses with marks, pairs, findings, what became of what was taught again, practice, and the dictionary of all columns. Names are replaced by codes on request.',
  allow: STAFF,
  answers: 'text/csv',
  params: Joi.object({
    courseId: Joi.string().max(120).required(),
    table: Joi.string()
      .valid(...TABLES)
      .required(),
  }),
  query: Joi.object({ codes }),
});

export const report = endpoint<{ query: { paper: 'a4' | 'letter' }; answer: Sent }>()({
  method: 'get',
  path: '/api/courses/{courseId}/report.pdf',
  summary:
    'Two pages for a colleague or coordinator: what was taught, what is confused, which characters are overlooked, what helped, and how sure it is. It names no student.',
  allow: STAFF,
  answers: 'application/pdf',
  query: Joi.object({ paper: Joi.string().valid('a4', 'letter').default('a4') }),
});
