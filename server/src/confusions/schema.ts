import Joi from 'joi';
import type { Scores } from './gather.ts';

/** Whose scores the evidence is taken from. */
export const scoresQuery = Joi.object<{ scores: Scores }>({
  scores: Joi.string().valid('then', 'now').default('now'),
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
