import Joi from 'joi';
import { CAUTION_KINDS, LANGUAGE_TAG, type Taxon } from '@hurrow/core/taxon';
import { CALENDAR_PARTS } from '@hurrow/core/season';
import type { Found, Library } from '@hurrow/core/library';
import { FREQUENCIES, type Qualifiers, type ScoreValue } from '@hurrow/core/score';

import { endpoint, INSTRUCTORS, STAFF, type Revised } from './endpoint.ts';

/** The library at a revision. Retired taxa are in it: old quizzes need their names. */
export interface LibraryAnswer extends Library {
  id: string;
  name: string;
  revision: number;
}

/** A taxon as it is sent; its id is in the address. */
export type TaxonBody = Omit<Taxon, 'id'>;

const arc = Joi.object({
  from: Joi.number().integer().min(1).max(365).required(),
  to: Joi.number().integer().min(1).max(365).required(),
});
const words = (max = 200) => Joi.string().trim().allow('').max(max);

export const taxonSchema = Joi.object<TaxonBody>({
  rank: Joi.string().valid('species', 'subspecies', 'variety', 'genus', 'group').default('species'),
  genus: Joi.string()
    .trim()
    .max(60)
    .pattern(/^[A-Z][\p{L}-]+$/u)
    .required()
    .label('Genus')
    .messages({
      'string.pattern.base': '“Genus” begins with a capital letter and has letters only, such as Acer',
    }),
  epithet: words(60).lowercase().required().label('Epithet'),
  infraEpithet: words(60),
  hybrid: Joi.boolean(),
  authority: words(),
  family: Joi.string().trim().max(60).required().label('Family'),
  familyCommon: words(60),
  olderFamilies: Joi.array().items(Joi.string().trim().max(60)),
  commonNames: Joi.array().items(Joi.string().trim().max(80)).required().label('Common names'),
  namesIn: Joi.object()
    .pattern(
      Joi.string().pattern(LANGUAGE_TAG),
      Joi.array().items(Joi.string().trim().max(80)).min(1).label('Names in another language'),
    )
    .label('Names in other languages')
    .messages({ 'object.unknown': 'A language is named by its tag, such as de, fr or pt-BR' }),
  synonyms: Joi.array().items(Joi.string().trim().max(120)).required().label('Synonyms'),
  meaning: words(500),
  calendar: Joi.object(
    Object.fromEntries(CALENDAR_PARTS.map((part) => [part, Joi.array().items(arc)])),
  ).required(),
  cautions: Joi.array()
    .items(
      Joi.object({
        kind: Joi.string()
          .valid(...CAUTION_KINDS)
          .required(),
        part: words().required(),
        effect: words(500).required(),
        care: words(500).required(),
      }),
    )
    .required(),
  memoryAid: words(500),
  fact: words(1000),
  uses: words(1000),
  wildlife: words(1000),
  largest: Joi.array().items(
    Joi.object({
      place: words(120).required().label('Place of the largest tree'),
      year: Joi.number().integer().min(1800).max(2200),
      girth: Joi.number().positive().max(60).required().label('Girth'),
      height: Joi.number().positive().max(130).required().label('Height'),
      crownSpread: Joi.number().positive().max(80).required().label('Crown spread'),
    }),
  ),
  retired: Joi.boolean(),
});

const share = Joi.string().valid(...FREQUENCIES);
const number = Joi.number();

export const valueSchema = Joi.alternatives(
  Joi.object({
    kind: Joi.string().valid('states').required(),
    states: Joi.array()
      .items(Joi.object({ state: Joi.string().required(), frequency: share.required() }))
      .min(1)
      .required(),
    exhaustive: Joi.boolean(),
  }),
  Joi.object({ kind: Joi.string().valid('flag').required(), frequency: share.required() }),
  Joi.object({
    kind: Joi.string().valid('range').required(),
    min: number,
    low: number,
    high: number,
    max: number,
    typical: number,
    step: number.integer().min(1),
    open: Joi.boolean(),
    n: number.integer().min(1),
  }),
  Joi.object({
    kind: Joi.string().valid('months').required(),
    arcs: Joi.array().items(arc).min(1).required(),
  }),
);

export interface ScoreChange {
  characterId: string;
  sourceId: string;
  qualifiers: Qualifiers;
  /** null withdraws the score. */
  value: ScoreValue | null;
  note?: string;
}

export interface SaveBody {
  taxon: TaxonBody;
  changes: ScoreChange[];
  /** The revision that the editor was opened at; 0 for a new taxon. */
  baseRevision: number;
}

export const qualifiersSchema = Joi.object({
  plantAge: Joi.string().valid('seedling', 'young', 'mature', 'old'),
  partAge: Joi.string().valid('current', 'last', 'older'),
  shoot: Joi.string().valid('long', 'spur', 'sprout', 'coneBearing'),
  light: Joi.string().valid('sun', 'shade'),
  sex: Joi.string().valid('male', 'female'),
  setting: Joi.string().valid('forest', 'open'),
}).default({});

export const saveSchema = Joi.object<SaveBody>({
  taxon: taxonSchema.required(),
  changes: Joi.array()
    .items(
      Joi.object({
        characterId: Joi.string().required(),
        sourceId: Joi.string().required(),
        qualifiers: qualifiersSchema,
        value: valueSchema.allow(null).required(),
        note: words(500),
      }),
    )
    .required(),
  baseRevision: Joi.number().integer().min(0).required(),
});

export interface BulkBody {
  changes: (ScoreChange & { taxonId: string })[];
  baseRevision: number;
  summary: string;
}

export const bulkSchema = Joi.object<BulkBody>({
  changes: Joi.array()
    .items(
      Joi.object({
        taxonId: Joi.string().required(),
        characterId: Joi.string().required(),
        sourceId: Joi.string().required(),
        qualifiers: qualifiersSchema,
        value: valueSchema.allow(null).required(),
        note: words(500),
      }),
    )
    .min(1)
    .required(),
  baseRevision: Joi.number().integer().min(0).required(),
  summary: words(200).required(),
});
/** Which library there is now. */
export interface LibraryState extends Revised {
  /** Changes with anything that the caller may see of the library. */
  tag: string;
}

export const state = endpoint<{ answer: LibraryState }>()({
  method: 'get',
  path: '/api/library/state',
  summary: 'Which library there is now, so that it is fetched again only when it has changed.',
  allow: [...STAFF, 'student'],
});

export const whole = endpoint<{ query: { revision?: number }; answer: LibraryAnswer }>()({
  method: 'get',
  path: '/api/library',
  summary:
    'The library: taxa with what every source says of them, as now or as at a revision. A student gets the taught list as it is now, if the course opens it.',
  allow: [...STAFF, 'student'],
  query: Joi.object({
    revision: Joi.number()
      .integer()
      .min(0)
      .max(2 ** 31 - 1),
  }),
});

export const addTaxon = endpoint<{ body: SaveBody; answer: Revised & { id: string } }>()({
  method: 'post',
  path: '/api/library/taxa',
  summary: 'Adds a taxon with its first scores.',
  allow: INSTRUCTORS,
  body: saveSchema,
});

export const saveTaxon = endpoint<{ body: SaveBody; answer: Revised & { id: string } }>()({
  method: 'put',
  path: '/api/library/taxa/{taxonId}',
  summary:
    'Saves names and changed scores of a taxon as one revision. Merges with other people’s changes by character.',
  allow: INSTRUCTORS,
  body: saveSchema,
});

export const deleteTaxon = endpoint<{ answer: Revised }>()({
  method: 'delete',
  path: '/api/library/taxa/{taxonId}',
  summary:
    'Deletes a taxon on which no list, quiz, ruling or reteaching rests. Older revisions keep it, and undoing brings it back.',
  allow: INSTRUCTORS,
});

export const undo = endpoint<{ params: { revision: number }; answer: Revised }>()({
  method: 'post',
  path: '/api/library/revisions/{revision}/undo',
  params: Joi.object({
    revision: Joi.number()
      .integer()
      .min(1)
      .max(2 ** 31 - 1)
      .required()
      .label('Revision'),
  }),
  summary: 'Takes a revision back by writing the values before it as a new revision.',
  allow: INSTRUCTORS,
});

export const saveScores = endpoint<{ body: BulkBody; answer: Revised }>()({
  method: 'post',
  path: '/api/library/scores',
  summary: 'Saves scores of many taxa as one revision: one character down a list, for example.',
  allow: INSTRUCTORS,
  body: bulkSchema,
  limit: '20mb',
});

export const search = endpoint<{ query: { q: string; limit: number }; answer: { found: Found[] } }>()({
  method: 'get',
  path: '/api/library/search',
  summary: 'Finds taxa by any names and states: “needles 5 blue white bark”. Typing errors are tolerated.',
  allow: STAFF,
  query: Joi.object({
    q: Joi.string().allow('').max(200).required(),
    limit: Joi.number().integer().min(1).max(2000).default(200),
  }),
});
