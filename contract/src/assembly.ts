import Joi from 'joi';
import type {
  AssembledQuiz,
  Candidate,
  ClassSoFar,
  NotPossible,
  QuizCame,
  QuizWishes,
  Relaxation,
} from '@hurrow/core/assembly';
import { QUESTION_KINDS } from '@hurrow/core/station';
import { isoDate } from './day.ts';
import { endpoint, INSTRUCTORS, STAFF } from './endpoint.ts';

/** What is asked of a proposal. */
export interface QuizAsked {
  heldOn: string;
  wishes: QuizWishes;
  /** Forms that are alike, for those who sit it at another time. */
  forms: number;
}

/** A quiz as it is proposed, with all that it was chosen from. */
export interface QuizProposed {
  forms: AssembledQuiz[];
  /** What could not be had, and by how much. A pin that cannot be shown stands in `notPossible` alone. */
  relaxed: Relaxation[];
  worth: number;
  bound: number;
  candidates: Candidate[];
  notPossible: Record<string, NotPossible>;
  so: ClassSoFar;
}

const count = Joi.object({
  least: Joi.number().integer().min(0).max(200).required(),
  most: Joi.number().integer().min(0).max(200).required(),
}).required();
const share = Joi.number().min(0).max(1);

const wishes = Joi.object<QuizWishes>({
  stations: Joi.number().integer().min(1).max(80).required().label('Stations'),
  kinds: Joi.object().pattern(Joi.string().max(40), count).min(1).required().label('What is shown').messages({
    'object.min': 'Choose at least one kind of station.',
  }),
  asked: Joi.object().pattern(Joi.valid('name', 'choose', ...QUESTION_KINDS), count),
  sets: Joi.object().pattern(Joi.string().max(60), count).min(1).required().label('Sets').messages({
    'object.min': 'Choose at least one set to examine.',
  }),
  again: count,
  mixedUp: Joi.number().integer().min(0).max(80).required(),
  fair: share.required(),
  expected: Joi.array().ordered(share.required(), share.required()).required(),
  perTree: Joi.number().integer().min(1).max(3).required(),
  toLearn: share.required(),
  pins: Joi.array().items(Joi.string().max(200)).max(200).unique().required(),
  bans: Joi.array().items(Joi.string().max(200)).max(1000).unique().required(),
});

export const propose = endpoint<{ body: QuizAsked; answer: QuizProposed }>()({
  method: 'post',
  path: '/api/courses/{courseId}/quiz-proposal',
  summary:
    'Puts a quiz together: as good as can be under the wishes, every station fair for careful readers, in an order in which no neighbour gives another away; and says what could not be had. Nothing is changed.',
  allow: INSTRUCTORS,
  body: Joi.object<QuizAsked>({
    heldOn: isoDate().required().label('Held on'),
    wishes: wishes.required(),
    forms: Joi.number().integer().min(1).max(4).default(1),
  }),
});

export const came = endpoint<{ answer: { quizzes: QuizCame[] } }>()({
  method: 'get',
  path: '/api/courses/{courseId}/expected-results',
  summary:
    'How far what is expected of a quiz can be trusted: for each that was held, what would have been expected of it by the answers of the others, and what came. Only stations that ask for a name count.',
  allow: STAFF,
});
