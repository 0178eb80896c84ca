import Joi from 'joi';
import type { Key } from '@hurrow/core/key';
import type { View } from '@hurrow/core/view';
import { badInput } from '../api/problem.ts';
import { route, STAFF } from '../api/route.ts';
import { course as courseNow, sets } from '../courses/queries.ts';
import type { Db } from '../db/index.ts';
import { datedViewSchema, keySchema, type SureWay } from '../lookalikes/schema.ts';
import { recordNow } from '../library/records.ts';
import { committedLibrary } from '../library/committed.ts';
import { PAPERS, type Paper } from './paper.ts';
import { printed } from './printed.ts';

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
  paper: Joi.string()
    .valid(...PAPERS)
    .default('letter'),
};
const title = Joi.string().trim().min(1).max(160).required().label('Title');

/** The library and how a course wants it put: its words, units, list and site. */
async function settingOf(db: Db, courseId: string) {
  const read = await committedLibrary(db);
  const { library, vocabulary } = read;
  const course = await courseNow(db, courseId);
  const taught = new Set(course ? (await sets(db, course.id)).flatMap((set) => set.taxa) : []);
  return {
    read,
    taught: library.taxa.flatMap(({ taxon: { id } }) => (taught.has(id) ? (read.profileOf(id) ?? []) : [])),
    options: {
      audience: course?.audience ?? ('technical' as const),
      units: course?.units ?? ('metric' as const),
      black: false,
      vocabulary,
      day: 230,
      sources: library.sources,
      reference: library.reference,
      ...(course ? { site: course } : {}),
    },
  };
}

export const lookalikePrintRoutes = [
  route<ContrastBody & Asked>({
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
    handle: async ({ db, body }) => {
      const { read, taught, options } = await settingOf(db, body.course);
      const chosen = read.profilesOf(body.taxa);
      if (chosen.length < body.taxa.length)
        throw badInput('One of these species is no longer in the library. Choose again.');
      const list = [...new Set([...taught, ...chosen])];
      const pair = body.taxa.length === 2 ? [...body.taxa].sort().join('|') : undefined;
      const sure = pair && (await recordNow<SureWay>(db, read.library.id, 'pair', pair))?.record?.text;
      return printed(body.paper, 'contrast', list, chosen, body.view, sure, options);
    },
  }),
  route<KeyBody & Asked>({
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
    handle: async ({ db, body }) => {
      const { read, options } = await settingOf(db, body.course);
      return printed(body.paper, 'key', body.title, body.key, read.profiles, body.layout, options);
    },
  }),
  route<MarksBody & Asked>({
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
    handle: async ({ db, body }) => {
      const { read } = await settingOf(db, body.course);
      return printed(body.paper, 'marks', body.title, body.rows, read.profiles);
    },
  }),
];
