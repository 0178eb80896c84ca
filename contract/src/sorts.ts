import Joi from 'joi';
import type { Pile, SaidWays, TaggedTwig } from '@hurrow/core/sorting';
import { endpoint, INSTRUCTORS, STAFF, type Done } from './endpoint.ts';

/** A table of twigs as it was sorted: what lies on it follows from its trees, its day and its seed. */
export interface SortBody {
  /** Of the year, 1–366. */
  day: number;
  seed: number;
  /** The trees that the table was laid from, in order. */
  taxa: string[];
  /** Real twigs by their tags, where these lie on the table and not drawings. */
  real?: TaggedTwig[];
  piles: Pile;
  /** Which way of parting a pile was meant, by the path to it. */
  said: SaidWays;
}

export interface KeptSort extends SortBody {
  id: string;
  /** When it was last changed. */
  at: string;
  /** The revision of the library that the twigs were drawn from. */
  revision: number;
}

export interface SortOfClass extends KeptSort {
  /** Who sorted: a student, or what a group or the class was called. */
  who: string;
}

const place = Joi.number().integer().min(0).max(59);
/** Piles are sorted no deeper than this. */
const DEEPEST = 12;

const pileSchema = (depth: number): Joi.ObjectSchema<Pile> =>
  Joi.object<Pile>({
    specimens: Joi.array().items(place).min(1).max(60).unique().required(),
    ...(depth > 0
      ? {
          into: Joi.array()
            .items(pileSchema(depth - 1))
            .length(2),
        }
      : {}),
  })
    .custom((pile: Pile, helpers) => (isParted(pile) ? pile : helpers.error('pile.parted')))
    .messages({
      'pile.parted': 'Sort a pile again so that each twig of it lies on one of the two, and no other',
    });

/** Do the two piles that a pile was sorted into hold its own specimens, each once? */
const isParted = ({ specimens, into }: Pile): boolean => {
  if (!into) return true;
  const lying = into.flatMap((pile) => pile.specimens);
  return lying.length === specimens.length && specimens.every((each) => lying.includes(each));
};

/** As many as fit on a table, and places to name them by. */
const MOST_TWIGS = 60;

const twigs = Joi.array()
  .items(
    Joi.object<TaggedTwig>({
      tag: Joi.string().trim().min(1).max(12).required().label('Tag'),
      taxonId: Joi.string().max(120).required().label('Tree'),
    }),
  )
  .max(MOST_TWIGS)
  .unique('tag')
  .messages({ 'array.unique': 'Two twigs have the same tag. Give each a tag of its own.' });

const sortFields = {
  day: Joi.number().integer().min(1).max(366).required(),
  seed: Joi.number()
    .integer()
    .min(1)
    .max(2 ** 31 - 1)
    .required(),
  taxa: Joi.array().items(Joi.string().max(120)).min(2).max(400).unique().required(),
  real: twigs,
  piles: pileSchema(DEEPEST).required(),
  said: Joi.object()
    .pattern(
      Joi.string()
        .pattern(/^[01]*$/)
        .allow('')
        .max(DEEPEST),
      place,
    )
    .required(),
};

export const own = endpoint<{ answer: { sorts: KeptSort[] } }>()({
  method: 'get',
  path: '/api/sit/sorts',
  summary: 'The tables of twigs that the student who calls has sorted, the newest first.',
  allow: ['student'],
});

export const keep = endpoint<{ body: SortBody; answer: Done }>()({
  method: 'put',
  path: '/api/sit/sorts/{sortId}',
  summary: 'Keeps a table of twigs as a student has sorted it, under an id made on the phone.',
  allow: ['student'],
  body: Joi.object<SortBody>(sortFields),
});

export const ofCourse = endpoint<{ answer: { sorts: SortOfClass[] } }>()({
  method: 'get',
  path: '/api/courses/{courseId}/sorts',
  summary: 'The tables of twigs that the class has sorted, alone, in groups or together.',
  allow: STAFF,
});

export const keepForClass = endpoint<{ body: SortBody & { who: string }; answer: Done }>()({
  method: 'put',
  path: '/api/courses/{courseId}/sorts/{sortId}',
  summary: 'Keeps a table of twigs as a group or the class has sorted it.',
  allow: STAFF,
  body: Joi.object<SortBody & { who: string }>({
    ...sortFields,
    who: Joi.string().trim().min(1).max(60).required().label('Who sorted'),
  }),
});

export const bag = endpoint<{ answer: { twigs: TaggedTwig[] } }>()({
  method: 'get',
  path: '/api/courses/{courseId}/bag',
  summary:
    'The real twigs of a course that are sorted by their tags. A student gets those of the own course, where it opens lessons.',
  allow: [...STAFF, 'student'],
});

export const fillBag = endpoint<{ body: { twigs: TaggedTwig[] }; answer: Done }>()({
  method: 'put',
  path: '/api/courses/{courseId}/bag',
  summary:
    'Says which real twigs lie on the table: what is written on each tag, and the tree that it was cut from.',
  allow: INSTRUCTORS,
  body: Joi.object({ twigs: twigs.required() }),
});
