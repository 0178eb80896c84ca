import Joi from 'joi';
import { SOURCE_DETAILS, type Source } from '@hurrow/core/library';
import type { Reconciliation } from '@hurrow/core/score';
import { endpoint, INSTRUCTORS, type Revised } from './endpoint.ts';

export interface SourcesBody {
  /** The most trusted first. A source without an id is new. */
  sources: (Omit<Source, 'id'> & { id?: string })[];
  rule: Reconciliation['rule'];
  picks: NonNullable<Reconciliation['picks']>;
  baseRevision: number;
}

const sourcesSchema = Joi.object<SourcesBody>({
  sources: Joi.array()
    .items(
      Joi.object({
        id: Joi.string().max(60),
        label: Joi.string().trim().max(120).required().label('Name of the source'),
        ...Object.fromEntries(SOURCE_DETAILS.map((part) => [part, Joi.string().trim().allow('').max(300)])),
      }),
    )
    .min(1)
    .unique('label')
    .required()
    .messages({ 'array.unique': 'Two sources have the same name. Give each its own.' }),
  rule: Joi.string().valid('preferred', 'envelope').required(),
  picks: Joi.object()
    .pattern(
      Joi.string(),
      Joi.object({
        sourceId: Joi.string().required(),
        reason: Joi.string().trim().min(3).max(300).required().label('Reason'),
      }),
    )
    .required(),
  baseRevision: Joi.number().integer().min(0).required(),
});

export const save = endpoint<{ body: SourcesBody; answer: Revised & { ids: string[] } }>()({
  method: 'put',
  path: '/api/library/sources',
  summary:
    'The sources in order of trust, the rule that reconciles them, and picks by hand with their reasons.',
  allow: INSTRUCTORS,
  body: sourcesSchema,
});
