import Joi from 'joi';
import type { Answer } from '@hurrow/core/names';
import { endpoint, STAFF } from './endpoint.ts';
import { answerSchema } from './quizzes.ts';

/** A colleague who has sat a quiz blind before the day. */
export interface Try {
  by: string;
  /** ISO 8601. */
  at: string;
  /** Stations that were answered. */
  answered: number;
  /** Those that were not named rightly, with what was written. */
  missed: { position: number; taxonId: string; written: string }[];
}

/** So many are kept of one quiz, the newest first. */
export const MOST_TRIES = 10;

export const ofQuiz = endpoint<{ answer: { tries: Try[] } }>()({
  method: 'get',
  path: '/api/quizzes/{quizId}/tries',
  summary: 'Who has sat a quiz blind before the day, and what they missed.',
  allow: STAFF,
});

export const sit = endpoint<{ body: { answers: { position: number; answer: Answer }[] }; answer: Try }>()({
  method: 'post',
  path: '/api/quizzes/{quizId}/tries',
  summary:
    'Hands in what a colleague wrote who sat a quiz blind: it is marked as a student’s answers are, and counts for nobody.',
  allow: STAFF,
  body: Joi.object({
    answers: Joi.array()
      .items(
        Joi.object({
          position: Joi.number().integer().min(1).max(200).required(),
          answer: answerSchema.required(),
        }),
      )
      .min(1)
      .max(200)
      .unique('position')
      .required(),
  }),
});
