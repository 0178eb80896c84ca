import Joi from 'joi';
import type { Qualifiers, ScoreValue } from '@hurrow/core/score';
import { endpoint, INSTRUCTORS, STAFF, type Revised } from './endpoint.ts';
import { qualifiersSchema } from './library.ts';

/** Own measurements of one character of one taxon, in stored units. */
export interface Sheet {
  taxonId: string;
  characterId: string;
  qualifiers: Qualifiers;
  values: { value: number; photoId?: string; note?: string }[];
}

export const sheets = endpoint<{ answer: { revision: number; sheets: Sheet[] } }>()({
  method: 'get',
  path: '/api/library/taxa/{taxonId}/sheets',
  summary: 'The measuring sheets of a taxon with every value, in stored units.',
  allow: STAFF,
});

export const saveSheet = endpoint<{
  body: Omit<Sheet, 'taxonId'> & { baseRevision: number };
  answer: Revised & { value: ScoreValue | null };
}>()({
  method: 'put',
  path: '/api/library/taxa/{taxonId}/sheets',
  summary: 'Saves one sheet; its statistics become the score of the source “Own measurements”.',
  allow: INSTRUCTORS,
  body: Joi.object({
    characterId: Joi.string().required(),
    qualifiers: qualifiersSchema,
    values: Joi.array()
      .items(
        Joi.object({
          value: Joi.number().positive().required().label('Measured value'),
          photoId: Joi.string().uuid(),
          note: Joi.string().trim().allow('').max(200),
        }),
      )
      .max(2000)
      .required(),
    baseRevision: Joi.number().integer().min(0).required(),
  }),
});
