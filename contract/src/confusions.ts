import Joi from 'joi';
import type { ConfusionReport, FirstLook } from '@hurrow/core/confusion';
import type { Fairness } from '@hurrow/core/station';
import type { Medium, View } from '@hurrow/core/view';
import type { ClassAnswer, PackedAnswers } from './packedAnswers.ts';
import { endpoint, INSTRUCTORS, STAFF, type Done } from './endpoint.ts';

/** Whose scores the evidence is taken from: as they stood when each quiz was opened, or as they stand now. */
export type Scores = 'then' | 'now';

/** Every marked answer of a course, with what its station showed. */
export interface ConfusionData {
  quizzes: { id: string; title: string; heldOn: string; state: 'planned' | 'open' | 'closed' }[];
  stations: {
    id: string;
    quizId: string;
    position: number;
    truth: string;
    view: View;
    medium: Medium;
    revision: number;
    voided: boolean;
    /** Left out of the analyses; its marks stay. */
    leftOut: boolean;
  }[];
  answers: ClassAnswer[];
  /** Pairs that were taught again, a before b in the alphabet. */
  reteachings: (ReteachingBody & {
    /** Whom it was taught to; null for the whole class. */
    students: string[] | null;
  })[];
}

/**
 * The report on a class, with how fair its stations were: an ideal reader's chance of naming the tree there, and what a beginner takes it for, with
 * the share of readings.
 */
export interface ClassReport extends ConfusionReport {
  fairness: (Pick<Fairness, 'right' | 'judgement'> & { stationId: string; taken: Fairness['rivals'] })[];
}

/** How far a computation is. */
export interface Progress {
  /** 0 to 1. */
  share: number;
  doing: string;
  /** What can be said before it is through. */
  first?: FirstLook | null;
}

/** Whose scores the evidence is taken from, and what is taken in from elsewhere. */
export interface ReportQuery {
  scores: Scores;
  /** Whether what earlier classes with the like list passed over is taken in. */
  earlier?: 'with' | 'without';
}

export const reportQuery = Joi.object<ReportQuery>({
  scores: Joi.string().valid('then', 'now').default('now'),
  earlier: Joi.string().valid('with', 'without').default('with'),
});

export interface ReteachingBody {
  a: string;
  b: string;
  taughtOn: string;
}

export const reteachingSchema = Joi.object<ReteachingBody>({
  a: Joi.string().max(80).required().label('Species'),
  b: Joi.string().max(80).required().invalid(Joi.ref('a')).label('Other species'),
  taughtOn: Joi.string()
    .pattern(/^\d{4}-\d{2}-\d{2}$/)
    .required()
    .label('Day it was taught again')
    .messages({ 'string.pattern.base': '{#label} must be a date such as 2026-10-01' }),
});
/** The same as it travels. */
export type SentConfusions = Omit<ConfusionData, 'answers'> & { answers: PackedAnswers };

export const ofCourse = endpoint<{ answer: SentConfusions }>()({
  method: 'get',
  path: '/api/courses/{courseId}/confusions',
  summary:
    'Every marked answer of a course with its station’s view: what the confusions are counted from. Ids and words stand once, and each answer is a row of places in these lists.',
  allow: STAFF,
});

export const report = endpoint<{
  query: ReportQuery;
  answer: { key: string; report?: ClassReport };
}>()({
  method: 'get',
  path: '/api/courses/{courseId}/confusions/report',
  summary:
    'What the confusion model finds in a course. If that has still to be computed, computing begins, and the key is told by which to ask how far it is.',
  allow: STAFF,
  query: reportQuery,
});

export const progress = endpoint<{ answer: { computing: Progress | null } }>()({
  method: 'get',
  path: '/api/courses/{courseId}/confusions/report/{key}',
  summary: 'How far the computation of a report is; nothing once it has ended.',
  allow: STAFF,
});

export const stop = endpoint<{ body: { key: string }; answer: Done }>()({
  method: 'post',
  path: '/api/courses/{courseId}/confusions/report/stop',
  summary: 'Stops the computation of a report.',
  allow: STAFF,
  body: Joi.object({ key: Joi.string().hex().length(64).required() }),
});

export const leaveOut = endpoint<{ body: { leftOut: boolean }; answer: Done }>()({
  method: 'post',
  path: '/api/courses/{courseId}/confusions/stations/{stationId}',
  summary: 'Leaves a station out of the analyses, or takes it in again. Its marks stay.',
  allow: INSTRUCTORS,
  body: Joi.object({ leftOut: Joi.boolean().required() }),
});

export const taughtAgain = endpoint<{ body: ReteachingBody; answer: Done }>()({
  method: 'post',
  path: '/api/courses/{courseId}/reteachings',
  summary: 'Notes that a pair was taught again on a day, so that answers before and after can be compared.',
  allow: INSTRUCTORS,
  body: reteachingSchema,
});

export const notTaughtAgain = endpoint<{ body: ReteachingBody; answer: Done }>()({
  method: 'post',
  path: '/api/courses/{courseId}/reteachings/remove',
  summary: 'Takes back the note that a pair was taught again.',
  allow: INSTRUCTORS,
  body: reteachingSchema,
});
