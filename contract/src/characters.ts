import Joi from 'joi';
import { ORGANS, STANDINGS, type Character } from '@hurrow/core/vocabulary';
import { endpoint, INSTRUCTORS, STAFF, type Revised } from './endpoint.ts';

export interface CharacterBody {
  character: Character;
  baseRevision: number;
}

const term = Joi.string().trim().min(1).max(120).required();
const share = Joi.number().min(0).max(0.5).required();

const characterSchema = Joi.object<Character>({
  id: Joi.string()
    .pattern(/^[a-zA-Z]+\.[a-zA-Z0-9-]+$/)
    .required()
    .label('Id'),
  organ: Joi.string()
    .valid(...ORGANS.map(({ organ }) => organ))
    .required()
    .label('Organ'),
  term: term.label('Technical term'),
  plain: term.label('Plain words'),
  kind: Joi.string().valid('categorical', 'ordinal', 'measure', 'count', 'flag').required(),
  anyOf: Joi.boolean().required(),
  states: Joi.array()
    .items(
      Joi.object({
        id: Joi.string()
          .pattern(/^[a-zA-Z0-9-]+$/)
          .required(),
        term: term.label('Term of a state'),
        plain: term.label('Plain words of a state'),
        definition: term.max(300).label('Definition of a state'),
        apart: Joi.boolean(),
      }),
    )
    .unique('id')
    .required()
    .messages({ 'array.unique': 'Two states are the same. Give each its own term.' }),
  unit: Joi.string().valid('m', 'cm', 'mm', 'years', '°', '%', 'kg/m³', 'pH', '1/cm', '1'),
  requires: Joi.array()
    .items(
      Joi.object({ character: Joi.string().required(), states: Joi.array().items(Joi.string()).required() }),
    )
    .required(),
  part: Joi.string().required(),
  distance: Joi.string().valid('afar', 'binoculars', 'arm', 'hand', 'lens', 'cut').required(),
  sense: Joi.string().valid('eye', 'touch', 'smell').required(),
  level: Joi.string().valid('beginner', 'intermediate', 'advanced').required(),
  misread: Joi.object({ careful: share, novice: share }).required().label('Misread rate'),
  group: Joi.string().trim().max(60),
  standing: Joi.string()
    .valid(...STANDINGS)
    .label('Standing'),
  raisedWithin: Joi.array()
    .items(
      Joi.string()
        .trim()
        .pattern(/^[A-Z][a-z-]+$/)
        .max(60)
        .label('Genus'),
    )
    .max(60),
  derived: Joi.boolean(),
});

export const uses = endpoint<{ answer: { scores: number; taxa: string[] } }>()({
  method: 'get',
  path: '/api/library/characters/{characterId}/uses',
  summary: 'How many scores of which taxa a character has: what deleting it would lose.',
  allow: STAFF,
});

export const save = endpoint<{ body: CharacterBody; answer: Revised }>()({
  method: 'put',
  path: '/api/library/characters/{characterId}',
  summary: 'Adds a character of the library’s own, or changes words, states and misread rates of any.',
  allow: INSTRUCTORS,
  body: Joi.object({
    character: characterSchema.required(),
    baseRevision: Joi.number().integer().min(0).required(),
  }),
});

export const remove = endpoint<{ answer: Revised }>()({
  method: 'delete',
  path: '/api/library/characters/{characterId}',
  summary:
    'Takes a character of the library’s own away, or a changed one back to the built-in form. Can be undone.',
  allow: INSTRUCTORS,
});
