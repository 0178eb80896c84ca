import Joi from 'joi';
import type { Key } from '@hurrow/core/key';
import type { Audience, UnitSystem } from '@hurrow/core/score';
import type { View } from '@hurrow/core/view';
import { endpoint, STAFF, type Sent } from './endpoint.ts';
import { LANGUAGE_TAG } from '@hurrow/core/taxon';
import { datedViewSchema, keySchema } from './lookalikes.ts';

export type Paper = 'a4' | 'letter';
export const PAPERS: Paper[] = ['a4', 'letter'];

/** The paper of a print, where a call takes one. */
export const paperField = Joi.string()
  .valid(...PAPERS)
  .default('letter');
/** The address under which phones reach this Hurrow, for codes that are scanned. */
export const addressField = Joi.string()
  .uri({ scheme: ['http', 'https'] })
  .replace(/\/+$/, '')
  .max(200)
  .default('http://localhost:4680')
  .label('Address');

interface PrintQuery {
  taxa: string;
  paper: Paper;
  audience: Audience;
  units: UnitSystem;
  ink: 'color' | 'black';
  /** The language of common names, a tag of BCP 47; that of the library where it is left out. */
  names?: string;
}

interface ContrastBody {
  taxa: string[];
  view: View;
}
interface KeyBody {
  title: string;
  key: Key;
  layout: 'bracketed' | 'indented';
}
interface MarksBody {
  title: string;
  rows: { taxonId: string; marks: string[]; notSettled: string[] }[];
}
type Asked = { course: string; paper: Paper };

const common = {
  course: Joi.string().max(80).default('-'),
  paper: paperField,
};
const title = Joi.string().trim().min(1).max(160).required().label('Title');

interface SlipQuery {
  courseId: string;
  /** Address under which phones reach this Hurrow, such as http://192.168.1.20:4680. */
  at: string;
  paper: Paper;
  students: string;
}

interface PictureQuery {
  course: string;
  day: number;
  /** 0 is the typical specimen. */
  seed: number;
  organs: string;
  /** As `qualifierKey` writes them: `plantAge=mature;sex=male`. */
  qualifiers: string;
  ink: 'color' | 'line';
  lying: boolean;
}

export const species = endpoint<{ query: PrintQuery; params: { kind: 'profile' | 'cards' }; answer: Sent }>()(
  {
    method: 'get',
    path: '/api/prints/{kind}.pdf',
    summary:
      'A profile sheet of one taxon, or cards of many with the drawing in front and the name behind, as PDF on A4 or Letter.',
    allow: STAFF,
    answers: 'application/pdf',
    params: Joi.object({ kind: Joi.string().valid('profile', 'cards').required() }),
    query: Joi.object({
      taxa: Joi.string().max(8000).required(),
      paper: paperField,
      audience: Joi.string().valid('technical', 'plain').default('technical'),
      units: Joi.string().valid('metric', 'imperial').default('metric'),
      ink: Joi.string().valid('color', 'black').default('color'),
      names: Joi.string().pattern(LANGUAGE_TAG),
    }),
  },
);

export const contrast = endpoint<{ body: ContrastBody & Asked; answer: Sent }>()({
  method: 'post',
  path: '/api/prints/contrast.pdf',
  summary: 'A contrast sheet of two to four taxa in a view, as PDF.',
  allow: STAFF,
  answers: 'application/pdf',
  body: Joi.object({
    taxa: Joi.array()
      .items(Joi.string().max(120))
      .min(2)
      .max(4)
      .unique()
      .required()
      .label('Trees to contrast'),
    view: datedViewSchema.required(),
    ...common,
  }),
});

export const key = endpoint<{ body: KeyBody & Asked; answer: Sent }>()({
  method: 'post',
  path: '/api/prints/key.pdf',
  summary: 'An identification key, bracketed or indented, with drawings of states on its leads, as PDF.',
  allow: STAFF,
  answers: 'application/pdf',
  body: Joi.object({
    title,
    key: keySchema.required(),
    layout: Joi.string().valid('bracketed', 'indented').default('bracketed'),
    ...common,
  }),
});

export const marks = endpoint<{ body: MarksBody & Asked; answer: Sent }>()({
  method: 'post',
  path: '/api/prints/marks.pdf',
  summary: 'The marks that single out each taxon of a list, as PDF: the recap of a set.',
  allow: STAFF,
  answers: 'application/pdf',
  body: Joi.object({
    title,
    rows: Joi.array()
      .items(
        Joi.object({
          taxonId: Joi.string().max(120).required(),
          marks: Joi.array().items(Joi.string().max(400)).max(30).required(),
          notSettled: Joi.array().items(Joi.string().max(120)).max(500).required(),
        }),
      )
      .min(1)
      .max(300)
      .required(),
    ...common,
  }),
});

export const slips = endpoint<{ query: SlipQuery; answer: Sent }>()({
  method: 'get',
  path: '/api/prints/slips.pdf',
  summary: 'A slip a student with course code, personal code and a QR code that signs in, as PDF.',
  allow: STAFF,
  answers: 'application/pdf',
  query: Joi.object({
    courseId: Joi.string().uuid().required(),
    at: Joi.string()
      .uri({ scheme: ['http', 'https'] })
      .max(200)
      .required()
      .label('Address'),
    paper: paperField,
    students: Joi.string().max(8000).allow('').default(''),
  }),
});

export const specimen = endpoint<{ query: PictureQuery; answer: Sent }>()({
  method: 'get',
  path: '/api/library/taxa/{taxonId}/specimen.png',
  summary: 'One individual of a taxon, drawn from its scores for a day at the site of a course, as PNG.',
  allow: STAFF,
  answers: 'image/png',
  query: Joi.object({
    course: Joi.string().max(80).default('-'),
    day: Joi.number().integer().min(1).max(366).required(),
    seed: Joi.number().integer().min(0).max(1_000_000).default(0),
    organs: Joi.string().max(120).default('twig,bud,leaf'),
    qualifiers: Joi.string().max(200).default('plantAge=mature'),
    ink: Joi.string().valid('color', 'line').default('color'),
    lying: Joi.boolean().default(false),
  }),
});
