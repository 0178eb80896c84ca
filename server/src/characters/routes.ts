import Joi from 'joi';
import { BUILT_IN, ORGANS, type Character } from '@hurrow/core/vocabulary';
import { badInput, conflict, notFound } from '../api/problem.ts';
import { accountOf, INSTRUCTORS, route, STAFF } from '../api/route.ts';
import { beginChange, refuseStale } from '../library/change.ts';
import * as queries from '../library/queries.ts';
import { addRecord, recordNow, usesOfCharacter } from '../library/records.ts';

interface CharacterBody {
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
  derived: Joi.boolean(),
});

export const characterRoutes = [
  route<unknown, { characterId: string }>({
    method: 'get',
    path: '/api/library/characters/{characterId}/uses',
    summary: 'How many scores of which taxa a character has: what deleting it would lose.',
    allow: STAFF,
    handle: async ({ db, params }) => {
      const library = (await queries.theLibrary(db))!;
      return usesOfCharacter(db, library.id, params.characterId);
    },
  }),
  route<CharacterBody, { characterId: string }>({
    method: 'put',
    path: '/api/library/characters/{characterId}',
    summary: 'Adds a character of the library’s own, or changes words, states and misread rates of any.',
    allow: INSTRUCTORS,
    body: Joi.object({
      character: characterSchema.required(),
      baseRevision: Joi.number().integer().min(0).required(),
    }),
    handle: ({ db, body: { character, baseRevision }, params, who, now }) =>
      db.transaction(async (tx) => {
        if (character.id !== params.characterId) throw badInput('The id of a character cannot be changed.');
        await refuseStale(tx, 'character', character.id, baseRevision, `“${character.term}”`);
        const { libraryId, revision } = await beginChange(
          tx,
          accountOf(who),
          now,
          `Changed the character ${character.term}`,
        );
        const before =
          (await recordNow<Character>(tx, libraryId, 'character', character.id))?.record ??
          BUILT_IN.get(character.id);
        refuseOtherKind(character, before);
        const { taxa } = await usesOfCharacter(tx, libraryId, character.id);
        const lost = (before?.states ?? []).filter(
          (state) => !character.states.some((kept) => kept.id === state.id),
        );
        if (lost.length > 0 && taxa.length > 0)
          throw conflict(
            `“${lost.map((state) => state.term).join('”, “')}” may be in use: ${taxa.length} taxa are scored for ${character.term}. Reword the state instead of taking it out.`,
          );
        await addRecord(tx, libraryId, 'character', character.id, revision, character);
        return { revision };
      }),
  }),
  route<unknown, { characterId: string }>({
    method: 'delete',
    path: '/api/library/characters/{characterId}',
    summary:
      'Takes a character of the library’s own away, or a changed one back to the built-in form. Can be undone.',
    allow: INSTRUCTORS,
    handle: ({ db, params, who, now }) =>
      db.transaction(async (tx) => {
        const { libraryId, revision } = await beginChange(
          tx,
          accountOf(who),
          now,
          `Took the character ${params.characterId} away`,
        );
        const held = await recordNow<Character>(tx, libraryId, 'character', params.characterId);
        if (!held?.record) throw notFound('character of the library’s own');
        await addRecord(tx, libraryId, 'character', params.characterId, revision, null);
        return { revision };
      }),
  }),
];

/** The kind, unit and organ of a character that exists decide what its scores mean, and stay. */
function refuseOtherKind(wanted: Character, held: Character | undefined): void {
  if (!held) {
    if ((wanted.kind === 'categorical' || wanted.kind === 'ordinal') && wanted.states.length < 2)
      throw badInput('A character with states needs at least two of them.');
    return;
  }
  for (const part of ['kind', 'unit', 'organ', 'anyOf'] as const)
    if (held[part] !== wanted[part])
      throw badInput(
        `The ${part === 'anyOf' ? 'choice of one or several states' : part} of ${held.term} cannot be changed, since its scores rest on it. Add a new character instead.`,
      );
}
