import Joi from 'joi';
import { QUIZ_PAPERS } from './limits.ts';
import type { BellState, Rounds } from '@hurrow/core/rotation';
import { endpoint, INSTRUCTORS, STAFF, type Done, type Sent } from './endpoint.ts';
import { addressField, paperField, type Paper } from './prints.ts';

export type { Rounds };

export const USUAL_ROUNDS: Rounds = {
  seconds: 60,
  moving: 15,
  capacity: 1,
  together: 1,
  rests: 0,
  away: [],
  extra: {},
};

/** What is printed for the day of a quiz. */
export type QuizPaper = (typeof QUIZ_PAPERS)[number];

const seconds = Joi.number().integer().min(0).max(3600);

export interface BellBody {
  /** By the clock of the page that rings. */
  state: BellState;
  /** What that clock says, in milliseconds since 1970. */
  clock: number;
}

const clock = Joi.number().integer().min(0);

export const ring = endpoint<{ body: BellBody; answer: Done }>()({
  method: 'put',
  path: '/api/quizzes/{quizId}/bell',
  summary: 'Says that the bell of a quiz was started, held or given more time: phones follow it.',
  allow: STAFF,
  body: Joi.object({
    state: Joi.object({
      passed: Joi.number().required(),
      since: clock,
      more: Joi.number().min(0).max(36_000),
    }).required(),
    clock: clock.required(),
  }),
});

export const ofQuiz = endpoint<{ answer: { rounds: Rounds } }>()({
  method: 'get',
  path: '/api/quizzes/{quizId}/rounds',
  summary: 'How a quiz is gone round.',
  allow: STAFF,
});

export const change = endpoint<{ body: Rounds; answer: Done }>()({
  method: 'put',
  path: '/api/quizzes/{quizId}/rounds',
  summary: 'Says how a quiz is gone round: seconds, groups, rests, who is away and who needs more time.',
  allow: INSTRUCTORS,
  body: Joi.object<Rounds>({
    seconds: seconds.min(5).required().label('Seconds at a station'),
    moving: seconds.max(600).required().label('Seconds to move'),
    capacity: Joi.number().integer().min(1).max(12).required().label('At a station together'),
    together: Joi.number()
      .integer()
      .min(1)
      .max(Joi.ref('capacity'))
      .required()
      .label('Going together')
      .messages({ 'number.max': 'A group is no larger than what a station holds. Make the group smaller.' }),
    rests: Joi.number().integer().min(0).max(20).required().label('Rests'),
    away: Joi.array().items(Joi.string().max(60)).max(1000).unique().required(),
    extra: Joi.object().pattern(Joi.string().max(60), Joi.number().min(1).max(4)).required(),
  }),
});

export const papers = endpoint<{
  params: { quizId: string; what: QuizPaper };
  query: { paper: Paper; at: string };
  answer: Sent;
}>()({
  method: 'get',
  path: '/api/quizzes/{quizId}/papers/{what}.pdf',
  summary:
    'What is printed for the day of a quiz: station cards without the answer, answer sheets, a card of the round for each student, the master key, the list of names, a sheet to sign in.',
  allow: STAFF,
  answers: 'application/pdf',
  params: Joi.object({
    quizId: Joi.string().max(60).required(),
    what: Joi.string()
      .valid(...QUIZ_PAPERS)
      .required(),
  }),
  query: Joi.object({
    paper: paperField,
    at: addressField,
  }),
});
