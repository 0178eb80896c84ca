import Joi from 'joi';
import type { Condition } from '@hurrow/core/condition';
import type { Key } from '@hurrow/core/key';
import type { KeptRule } from '@hurrow/core/rule';
import { viewSchema } from '../quizzes/schema.ts';

/** What an instructor calls the sure way to tell two taxa apart, and the characters that it rests on. */
export interface SureWay {
  text: string;
  characters: string[];
}

/** A key as it is kept: with the name it is found by and who it is worded for. */
export interface KeptKey {
  title: string;
  key: Key;
  /** What it was made with, so that a part can be made again in the same way. */
  options: { level: 'beginner' | 'intermediate' | 'advanced'; banned: string[]; manyLeads: boolean };
}

const base = Joi.number().integer().min(0).required();
const taxonId = Joi.string().max(120);

export const conditionSchema = Joi.object<Condition>({
  characterId: Joi.string().max(120).required(),
  states: Joi.array().items(Joi.string().max(80)).min(1).max(40),
  present: Joi.boolean(),
  from: Joi.number(),
  below: Joi.number(),
});

export const sureWaySchema = Joi.object<SureWay & { baseRevision: number }>({
  text: Joi.string().trim().allow('').max(600).required().label('The sure way'),
  characters: Joi.array().items(Joi.string().max(120)).max(12).unique().required(),
  baseRevision: base,
});

export const ruleSchema = Joi.object<{ rule: Omit<KeptRule, 'id'>; baseRevision: number }>({
  rule: Joi.object({
    words: Joi.string().trim().max(300).label('Wording of the rule'),
    conditions: Joi.array().items(conditionSchema).min(1).max(4).required().messages({
      'array.min': 'A rule needs at least one state after IF. Choose one.',
    }),
    then: Joi.alternatives(
      Joi.object({
        kind: Joi.string().valid('genus', 'family').required(),
        name: Joi.string().trim().max(80).required(),
      }),
      Joi.object({
        kind: Joi.string().valid('taxa').required(),
        taxa: Joi.array().items(taxonId).min(1).max(60).required(),
      }),
    )
      .required()
      .messages({ 'alternatives.match': 'Say after THEN what it is: a genus, a family or trees by name.' }),
  }).required(),
  baseRevision: base,
});

const leadSchema = Joi.object({
  condition: conditionSchema.required(),
  also: Joi.array().items(conditionSchema).max(3).required(),
  words: Joi.string().trim().max(400),
  to: Joi.link('#node').required(),
});

/** A view on a day: what a contrast or a key is worked out for. */
export const datedViewSchema = viewSchema.fork('day', (day) => day.required().label('Day of the year'));

/** A key as JSON. Its nodes hold nodes, to any depth. */
export const keySchema = Joi.object<Key>({
  view: datedViewSchema.required(),
  taxa: Joi.array().items(taxonId).min(1).max(2000).required(),
  root: Joi.object({
    kind: Joi.string().valid('couplet', 'end').required(),
    leads: Joi.array().items(leadSchema).min(2),
    taxa: Joi.array().items(taxonId),
    byHand: Joi.boolean(),
    share: Joi.number().min(0).max(1.000001).required(),
  })
    .id('node')
    .required(),
});

export const keptKeySchema = Joi.object<KeptKey & { baseRevision: number }>({
  title: Joi.string().trim().min(1).max(120).required().label('Name of the key'),
  key: keySchema.required(),
  options: Joi.object({
    level: Joi.string().valid('beginner', 'intermediate', 'advanced').required(),
    banned: Joi.array().items(Joi.string().max(120)).max(300).required(),
    manyLeads: Joi.boolean().required(),
  }).required(),
  baseRevision: base,
});
