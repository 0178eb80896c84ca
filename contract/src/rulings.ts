import Joi from 'joi';
import type { Answer, AnswerPart } from '@hurrow/core/names';
import { endpoint, INSTRUCTORS, type Done } from './endpoint.ts';
import { answerSchema } from './quizzes.ts';

/** What an instructor rules: what an answer counts as, or its points by hand. */
export interface RulingBody {
  truth: string;
  answer: Answer;
  countsAs: string | null;
  /** Points by hand, by part of the answer. */
  points?: Partial<Record<AnswerPart, number>> | null;
  /** The station of an answer that gives no name: points by hand then hold for what was said to its question. */
  stationId?: string;
  /** The one answer that the ruling is on; all equal ones where it is null. */
  only?: { studentId: string; stationId: string } | null;
  reason?: string;
  /** Said yes to: the name counts for another tree as well. */
  both?: boolean;
}

const part = Joi.number().min(0).max(20);

export const rulingSchema = Joi.object<RulingBody>({
  truth: Joi.string().max(120).required(),
  answer: answerSchema.required(),
  countsAs: Joi.string().max(120).allow(null).required(),
  points: Joi.object({ name: part, genus: part, epithet: part, family: part, said: part })
    .allow(null)
    .default(null),
  stationId: Joi.string().uuid(),
  only: Joi.object({
    studentId: Joi.string().uuid().required(),
    stationId: Joi.string().uuid().required(),
  })
    .allow(null)
    .default(null),
  both: Joi.boolean().default(false),
  reason: Joi.string()
    .trim()
    .max(300)
    .allow('')
    .default('')
    .label('Reason')
    // Points by hand outweigh the rules: whoever asks later must find why.
    .when('points', { is: Joi.object().required(), then: Joi.string().invalid('').min(3).required() }),
});

/** What words on paper, of what a tree was named by, count as. */
export interface WordsBody {
  words: string;
  countsAs: string | null;
}

const rulingParams = Joi.object({
  quizId: Joi.string().max(120).required(),
  rulingId: Joi.number()
    .integer()
    .min(1)
    .max(2 ** 31 - 1)
    .required(),
});

export const rule = endpoint<{ body: RulingBody; answer: Done }>()({
  method: 'post',
  path: '/api/quizzes/{quizId}/rulings',
  summary:
    'Rules what an answer counts as, or gives it points by hand, for all equal answers of the course or for one.',
  allow: INSTRUCTORS,
  body: rulingSchema,
});

export const ruleWords = endpoint<{ body: WordsBody; answer: Done }>()({
  method: 'post',
  path: '/api/quizzes/{quizId}/words',
  summary:
    'Rules what words on paper, of what a tree was named by, count as: a character that was offered, the whole look, a guess, or nothing. It holds for the course.',
  allow: INSTRUCTORS,
  body: Joi.object<WordsBody>({
    words: Joi.string().trim().min(1).max(80).required(),
    countsAs: Joi.string().max(80).allow(null).required(),
  }),
});

export const takeWordsBack = endpoint<{ params: { quizId: string; rulingId: number }; answer: Done }>()({
  method: 'delete',
  path: '/api/quizzes/{quizId}/words/{rulingId}',
  summary: 'Takes a ruling on words back: they wait again.',
  allow: INSTRUCTORS,
  params: rulingParams,
});

export const takeRulingBack = endpoint<{ params: { quizId: string; rulingId: number }; answer: Done }>()({
  method: 'delete',
  path: '/api/quizzes/{quizId}/rulings/{rulingId}',
  summary: 'Takes a ruling back: the rules, or a ruling on more answers, hold again.',
  allow: INSTRUCTORS,
  params: rulingParams,
});
