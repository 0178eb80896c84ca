import Joi from 'joi';
import { MOST_PHOTOS, type LessonEdits, type LessonStop } from '@hurrow/core/lesson';
import { MOST_ROUNDS } from './limits.ts';
import { endpoint, INSTRUCTORS, STAFF, type Done, type Sent } from './endpoint.ts';
import type { Photo } from './photos.ts';
import { paperField, type Paper } from './prints.ts';

/** The lesson of a set, generated from the library and changed by the instructor. */
export interface LessonAnswer {
  setId: string;
  title: string;
  week: number | null;
  taxa: string[];
  stops: LessonStop[];
  edits: LessonEdits;
  /** Photos of its trees, to stand in the place of drawings; a student is told of those that do. */
  photos: Photo[];
  /** What showing it takes, about. */
  minutes: number;
}

const words = Joi.string().trim().min(1).max(2000);
const key = Joi.string().max(200);

export const lesson = endpoint<{ answer: LessonAnswer }>()({
  method: 'get',
  path: '/api/courses/{courseId}/lessons/{setId}',
  summary:
    'The lesson of a set, point by point. A student sees it where the course opens lessons, once its week has begun, without notes and hidden points.',
  allow: [...STAFF, 'student'],
});

export const change = endpoint<{ body: LessonEdits; answer: Done }>()({
  method: 'put',
  path: '/api/courses/{courseId}/lessons/{setId}',
  summary:
    'Keeps what an instructor has changed in the lesson of a set: order, hidden points, own words, slides, notes and photos.',
  allow: INSTRUCTORS,
  body: Joi.object<LessonEdits>({
    order: Joi.array().items(key).max(2000).required(),
    hidden: Joi.array().items(key).max(2000).required(),
    reworded: Joi.object()
      .pattern(key, Joi.object({ words: words.required(), from: Joi.string().max(4000).required() }))
      .required(),
    own: Joi.array()
      .items(
        Joi.object({
          key: key.pattern(/^own\//).required(),
          title: Joi.string().trim().min(1).max(200).required().label('Title of the slide'),
          words: Joi.string().trim().max(2000).allow('').required(),
          taxonId: Joi.string(),
        }),
      )
      .max(200)
      .unique('key')
      .required(),
    notes: Joi.object().pattern(key, Joi.string().max(4000)).required(),
    pictures: Joi.object()
      .pattern(key, Joi.array().items(Joi.string().guid()).min(1).max(MOST_PHOTOS).unique())
      .default({}),
  }),
});

export const photo = endpoint<{
  params: { courseId: string; setId: string; photoId: string };
  answer: Sent;
}>()({
  method: 'get',
  path: '/api/courses/{courseId}/lessons/{setId}/photos/{photoId}',
  summary:
    'A photo of a lesson. A student gets one that stands on a point which is shown, where it has a credit and a licence.',
  allow: [...STAFF, 'student'],
  answers: 'image/webp',
});

export const slides = endpoint<{ query: { shape: 'wide' | 'classic' }; answer: Sent }>()({
  method: 'get',
  path: '/api/courses/{courseId}/lessons/{setId}/slides.pptx',
  summary: 'The lesson of a set as slides (PPTX), 16:9 or 4:3, with the notes.',
  allow: STAFF,
  answers: 'application/vnd.openxmlformats-officedocument.presentationml.presentation',
  query: Joi.object({ shape: Joi.string().valid('wide', 'classic').default('wide') }),
});

export const handout = endpoint<{
  query: { paper: Paper; audience: 'technical' | 'plain' | 'course' };
  answer: Sent;
}>()({
  method: 'get',
  path: '/api/courses/{courseId}/lessons/{setId}/handout.pdf',
  summary: 'The lesson of a set on paper, three points a page with lines to write on.',
  allow: STAFF,
  answers: 'application/pdf',
  query: Joi.object({
    paper: paperField,
    audience: Joi.string().valid('technical', 'plain', 'course').default('course'),
  }),
});

export const glossary = endpoint<{ query: { paper: Paper }; answer: Sent }>()({
  method: 'get',
  path: '/api/courses/{courseId}/words.pdf',
  summary: 'The words that the trees of a course are described with, drawn, on paper.',
  allow: STAFF,
  answers: 'application/pdf',
  query: Joi.object({
    paper: paperField,
  }),
});

const round = Joi.number().integer().min(1).max(MOST_ROUNDS).default(1);

export const characterSlides = endpoint<{
  query: { shape: 'wide' | 'classic'; round: number };
  answer: Sent;
}>()({
  method: 'get',
  path: '/api/courses/{courseId}/characters/{about}/slides.pptx',
  summary:
    'A lesson about a character, or about a group of them that are looked at together, as slides (PPTX), with ten specimens to call.',
  allow: STAFF,
  answers: 'application/vnd.openxmlformats-officedocument.presentationml.presentation',
  query: Joi.object({ shape: Joi.string().valid('wide', 'classic').default('wide'), round }),
});

export const characterHandout = endpoint<{
  query: { paper: Paper; audience: 'technical' | 'plain' | 'course'; round: number };
  answer: Sent;
}>()({
  method: 'get',
  path: '/api/courses/{courseId}/characters/{about}/handout.pdf',
  summary:
    'A lesson about a character, or about a group of them, on paper: states side by side, ten specimens to call, the answers on a page of their own.',
  allow: STAFF,
  answers: 'application/pdf',
  query: Joi.object({
    paper: paperField,
    audience: Joi.string().valid('technical', 'plain', 'course').default('course'),
    round,
  }),
});
