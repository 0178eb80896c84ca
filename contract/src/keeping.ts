import Joi from 'joi';
import type { Need } from '@hurrow/core/station';
import type { Answer } from '@hurrow/core/names';
import type { MiniLesson } from './miniLessons.ts';
import type { WholeReview } from './practice.ts';
import type { Entry } from './notebook.ts';
import type { Said } from './problem.ts';
import type { KeptSort } from './sorts.ts';
import { endpoint, INSTRUCTORS, type Done } from './endpoint.ts';

export interface HistoryLine {
  /** ISO 8601. */
  at: string;
  /** Who did it; null where Hurrow itself did. */
  by: string | null;
  course: string | null;
  /** To follow the name. */
  what: string;
  /** How it is said in another language; null of what was done before Hurrow spoke any. */
  said: Omit<Said, 'message'> | null;
}

/** Everything that is stored of one student, with the marks as they stand. */
export interface EverythingOfOne {
  name: string;
  course: string;
  /** What is done otherwise for the student. */
  needs: Need[];
  answers: {
    quiz: string;
    heldOn: string;
    station: number;
    answer: Answer;
    text: string;
    by: string;
    writtenAt: string;
    receivedAt: string;
  }[];
  marks: {
    quiz: string;
    station: number;
    answer: string;
    points: number;
    ruling: { by: string; at: string; reason: string | null } | null;
  }[];
  notebook: Entry[];
  sorts: KeptSort[];
  practice: WholeReview[];
  /** Sent to them after findings. */
  miniLessons: MiniLesson[];
  /** What was noted for an advising talk. */
  advisingNote: string;
}

export const history = endpoint<{ query: { courseId?: string }; answer: HistoryLine[] }>()({
  method: 'get',
  path: '/api/history',
  summary: 'Who changed marks, rulings, lists, roles and settings, newest first; of one course or of all.',
  allow: INSTRUCTORS,
  query: Joi.object({ courseId: Joi.string().max(60) }),
});

export const everything = endpoint<{ answer: EverythingOfOne }>()({
  method: 'get',
  path: '/api/courses/{courseId}/students/{studentId}/everything',
  summary: 'Everything that is stored of one student, as a file.',
  allow: INSTRUCTORS,
});

export const removeStudent = endpoint<{ body: { how: 'name' | 'wholly'; sure: string }; answer: Done }>()({
  method: 'post',
  path: '/api/courses/{courseId}/students/{studentId}/remove',
  summary:
    'Takes a student’s name away, so that the answers stay for the class’s analyses, or removes the student with every answer.',
  allow: INSTRUCTORS,
  body: Joi.object({
    how: Joi.string().valid('name', 'wholly').required(),
    sure: Joi.string().max(200).required(),
  }),
});

export const removeCourse = endpoint<{ body: { sure: string }; answer: Done }>()({
  method: 'post',
  path: '/api/courses/{courseId}/remove',
  summary: 'Deletes a course with its students, quizzes and answers. The species stay in the library.',
  allow: INSTRUCTORS,
  body: Joi.object({ sure: Joi.string().max(200).required() }),
});

export const namesKept = endpoint<{ answer: { months: number | null } }>()({
  method: 'get',
  path: '/api/keeping',
  summary: 'How long names of students are kept after the end of their course, in months; null for good.',
  allow: ['owner'],
});

export const keepNames = endpoint<{ body: { months: number | null }; answer: { taken: number } }>()({
  method: 'put',
  path: '/api/keeping',
  summary:
    'Sets how long names of students are kept. Names whose time is up are taken away at once and then daily.',
  allow: ['owner'],
  body: Joi.object({ months: Joi.number().integer().min(1).max(240).allow(null).required() }),
});
