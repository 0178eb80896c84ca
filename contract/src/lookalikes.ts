import Joi from 'joi';
import type { Condition } from '@hurrow/core/condition';
import { KEY_ORDERS, type Key, type KeyOrder } from '@hurrow/core/key';
import type { KeptRule } from '@hurrow/core/rule';
import { endpoint, INSTRUCTORS, STAFF, type Revised } from './endpoint.ts';
import { viewSchema } from './quizzes.ts';

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
  options: {
    level: 'beginner' | 'intermediate' | 'advanced';
    banned: string[];
    manyLeads: boolean;
    /** By the book where it is not given. */
    order?: KeyOrder;
  };
}

/** A kept key with its id. */
export type NamedKey = KeptKey & { id: string };

/** The sure ways of all pairs, the rules of thumb and the kept keys. */
export interface Lookalikes extends Revised {
  /** By both ids in alphabetical order, with a bar between them. */
  sureWays: Record<string, SureWay>;
  rules: KeptRule[];
  keys: NamedKey[];
}

const uuid = Joi.object({ id: Joi.string().uuid().required() });
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
    clinch: conditionSchema,
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
    order: Joi.string().valid(...KEY_ORDERS),
  }).required(),
  baseRevision: base,
});
export const all = endpoint<{ answer: Lookalikes }>()({
  method: 'get',
  path: '/api/library/lookalikes',
  summary:
    'The sure ways of all pairs, the rules of thumb and the kept keys, with the revision they stand at.',
  allow: STAFF,
});

export const saySureWay = endpoint<{
  body: SureWay & { baseRevision: number };
  answer: Revised & { id: string };
}>()({
  method: 'put',
  path: '/api/library/pairs/{a}/{b}/sure-way',
  summary: 'What tells two taxa apart for sure, in the instructor’s words; an empty text takes it away.',
  allow: INSTRUCTORS,
  body: sureWaySchema,
});

export const addRule = endpoint<{
  body: { rule: Omit<KeptRule, 'id'>; baseRevision: number };
  answer: Revised & { id: string };
}>()({
  method: 'post',
  path: '/api/library/rules',
  summary: 'Adds a rule of thumb.',
  allow: INSTRUCTORS,
  body: ruleSchema,
});

export const changeRule = endpoint<{
  body: { rule: Omit<KeptRule, 'id'>; baseRevision: number };
  answer: Revised & { id: string };
}>()({
  method: 'put',
  path: '/api/library/rules/{id}',
  summary: 'Changes a rule of thumb.',
  allow: INSTRUCTORS,
  params: uuid,
  body: ruleSchema,
});

export const removeRule = endpoint<{ answer: Revised & { id: string } }>()({
  method: 'delete',
  path: '/api/library/rules/{id}',
  summary: 'Takes a rule of thumb away. Can be undone.',
  allow: INSTRUCTORS,
  params: uuid,
});

export const keepKey = endpoint<{
  body: KeptKey & { baseRevision: number };
  answer: Revised & { id: string };
}>()({
  method: 'post',
  path: '/api/library/keys',
  summary: 'Keeps a key under a name.',
  allow: INSTRUCTORS,
  body: keptKeySchema,
});

export const changeKey = endpoint<{
  body: KeptKey & { baseRevision: number };
  answer: Revised & { id: string };
}>()({
  method: 'put',
  path: '/api/library/keys/{id}',
  summary: 'Changes a kept key.',
  allow: INSTRUCTORS,
  params: uuid,
  body: keptKeySchema,
});

export const removeKey = endpoint<{ answer: Revised & { id: string } }>()({
  method: 'delete',
  path: '/api/library/keys/{id}',
  summary: 'Takes a kept key away. Can be undone.',
  allow: INSTRUCTORS,
  params: uuid,
});
