import Joi from 'joi';
import type { Prospects, TermProposal, TermWishes } from '@hurrow/core/term';
import { endpoint, INSTRUCTORS, STAFF, type Sent } from './endpoint.ts';

/** What the sets of a term are planned from. */
export interface TermBody {
  taxa: string[];
}

const termFields = {
  taxa: Joi.array().items(Joi.string()).min(1).max(200).unique().required().label('Species'),
};

const week = Joi.number().integer().min(1).max(60);

const wishes = Joi.object<TermWishes>({
  from: week.required().label('First week'),
  to: week.min(Joi.ref('from')).required().label('Last week'),
  closed: Joi.array().items(week).unique().required(),
  least: Joi.number().integer().min(1).max(20).required().label('Least species in a set'),
  most: Joi.number().integer().min(Joi.ref('least')).max(30).required().label('Most species in a set'),
  pace: Joi.string().valid('weekly', 'spread').required(),
  lookalikes: Joi.string().valid('together', 'apart').required(),
  pins: Joi.array()
    .items(Joi.object({ taxonId: Joi.string().required(), week: week.required() }))
    .unique('taxonId')
    .required(),
}).required();

export const prospects = endpoint<{ body: TermBody; answer: Prospects }>()({
  method: 'post',
  path: '/api/courses/{courseId}/term/prospects',
  summary:
    'What a list offers week by week at the site of a course: what of each species can be seen, which are bare, which look alike or were mixed up by the class. Nothing is changed.',
  allow: STAFF,
  body: Joi.object(termFields),
});

export const propose = endpoint<{ body: TermBody & { wishes: TermWishes }; answer: TermProposal }>()({
  method: 'post',
  path: '/api/courses/{courseId}/term/proposal',
  summary:
    'Proposes sets for a list, as good as can be under the wishes, and says what could not be had. Nothing is changed.',
  allow: INSTRUCTORS,
  body: Joi.object({ ...termFields, wishes }),
});

export const calendar = endpoint<{ answer: Sent }>()({
  method: 'get',
  path: '/api/courses/{courseId}/term.ics',
  summary: 'The sets and quizzes of a course as an iCalendar file, a whole day each.',
  allow: STAFF,
  answers: 'text/calendar',
});
