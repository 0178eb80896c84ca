import Joi from 'joi';
import { RANGE_STATUSES, type Range } from '@hurrow/core/range';
import { endpoint, INSTRUCTORS, STAFF, type Revised } from './endpoint.ts';

export interface RangeBody {
  range: Range;
  baseRevision: number;
}

export const all = endpoint<{ answer: { revision: number; ranges: Record<string, Range> } }>()({
  method: 'get',
  path: '/api/library/ranges',
  summary: 'The ranges of all taxa, by the id of the taxon.',
  allow: STAFF,
});

export const one = endpoint<{ answer: { revision: number; range: Range } }>()({
  method: 'get',
  path: '/api/library/taxa/{taxonId}/range',
  summary: 'The range of a taxon: H3 cells of resolution 4, each with its status.',
  allow: STAFF,
});

export const save = endpoint<{ body: RangeBody; answer: Revised }>()({
  method: 'put',
  path: '/api/library/taxa/{taxonId}/range',
  summary: 'Saves the range of a taxon as one revision.',
  allow: INSTRUCTORS,
  body: Joi.object({
    range: Joi.object({
      cells: Joi.object()
        .pattern(Joi.string(), Joi.string().valid(...RANGE_STATUSES))
        .required(),
      note: Joi.string().trim().allow('').max(300),
    }).required(),
    baseRevision: Joi.number().integer().min(0).required(),
  }),
});
