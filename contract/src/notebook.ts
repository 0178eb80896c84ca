import Joi from 'joi';
import { MOST_POINTS, MOST_STROKES, NOTED_ORGANS } from './limits.ts';
import type { Meaning, OwnPhrase } from '@hurrow/core/notebook';
import type { ShownOrgan } from '@hurrow/core/vocabulary';
import { isoDate } from './day.ts';
import { endpoint, INSTRUCTORS, STAFF, type Done, type Sent } from './endpoint.ts';
import type { Picture } from './photos.ts';

/** A drawing: lines of points, each from 0 to 1,000 across and down a sheet of 4 by 3. */
export type Strokes = [x: number, y: number][][];

/** What somebody noted at a tree. */
export interface EntryBody {
  day: string;
  /** What is written on the tree or by it; empty where there is none. */
  tag: string;
  organ: ShownOrgan;
  /** In words of their own. */
  words: string;
  /** States chosen from pictures. */
  chosen: Meaning[];
  drawing: Strokes;
}

export interface Entry extends EntryBody {
  id: string;
  pictures: string[];
}

/** An entry as those who teach see it. */
export interface ReadEntry extends Entry {
  studentId: string;
  student: string;
  /** Written on paper and typed in by somebody who teaches. */
  onPaper: boolean;
}

/** The notebook of a course. */
export interface CourseNotebook {
  entries: ReadEntry[];
  /** Which tree carries a tag, by tag. */
  tags: Record<string, string>;
  /** What the class's own words mean, as it was taught here. */
  phrases: OwnPhrase[];
}

/** So many entries belong to one student of a course. */
export const MOST_ENTRIES = 150;

const coordinate = Joi.number().integer().min(0).max(1000).required();
const meaning = { characterId: Joi.string().max(120).required(), state: Joi.string().max(60).required() };

const entryFields = {
  day: isoDate().required().label('Day'),
  tag: Joi.string().trim().allow('').max(40).required().label('Tag'),
  organ: Joi.string()
    .valid(...NOTED_ORGANS)
    .required()
    .label('Part of the tree'),
  words: Joi.string().trim().allow('').max(2000).required().label('Own words'),
  chosen: Joi.array().items(Joi.object(meaning)).max(80).unique().required(),
  drawing: Joi.array()
    .items(Joi.array().items(Joi.array().ordered(coordinate, coordinate)).min(1).max(MOST_POINTS))
    .max(MOST_STROKES)
    .required(),
};

export const own = endpoint<{ answer: { entries: Entry[] } }>()({
  method: 'get',
  path: '/api/sit/notebook',
  summary: 'The notebook of the student who calls, where the course keeps one.',
  allow: ['student'],
});

export const write = endpoint<{ body: EntryBody; answer: Done }>()({
  method: 'put',
  path: '/api/sit/notebook/{entryId}',
  summary:
    'Writes an entry of the own notebook, under an id made on the phone: sending it again does no harm.',
  allow: ['student'],
  body: Joi.object<EntryBody>(entryFields),
});

export const erase = endpoint<{ answer: Done }>()({
  method: 'delete',
  path: '/api/sit/notebook/{entryId}',
  summary: 'Takes an entry out of the own notebook, with its pictures.',
  allow: ['student'],
});

export const addPicture = endpoint<{ body: Picture; answer: Done }>()({
  method: 'post',
  path: '/api/sit/notebook/{entryId}/pictures/{pictureId}',
  summary:
    'Adds a photograph to an entry of the own notebook, under an id made on the phone: decoded, turned upright, encoded again, its position removed.',
  allow: ['student'],
  takesImage: true,
  limit: '20mb',
});

export const picture = endpoint<{ answer: Sent }>()({
  method: 'get',
  path: '/api/notebook/pictures/{pictureId}',
  summary: 'A photograph of a notebook, for the student whose it is and for those who teach.',
  allow: [...STAFF, 'student'],
  answers: 'image/webp',
});

export const ofCourse = endpoint<{ answer: CourseNotebook }>()({
  method: 'get',
  path: '/api/courses/{courseId}/notebook',
  summary:
    'The notebooks of a class: all entries, which tree carries which tag, and what the class’s own words mean.',
  allow: STAFF,
});

export const writeFor = endpoint<{ body: EntryBody & { studentId: string }; answer: Done }>()({
  method: 'put',
  path: '/api/courses/{courseId}/notebook/{entryId}',
  summary: 'Types in an entry that a student wrote on paper.',
  allow: STAFF,
  body: Joi.object<EntryBody & { studentId: string }>({ ...entryFields, studentId: Joi.string().required() }),
});

export const teach = endpoint<{ body: { phrases: OwnPhrase[] }; answer: Done }>()({
  method: 'put',
  path: '/api/courses/{courseId}/notebook-words',
  summary: 'Keeps what the class’s own words mean: each a phrase and the state of a character.',
  allow: INSTRUCTORS,
  body: Joi.object({
    phrases: Joi.array()
      .items(
        Joi.object({ phrase: Joi.string().trim().min(1).max(120).required().label('Words'), ...meaning }),
      )
      .max(1000)
      .required(),
  }),
});

export const nameTag = endpoint<{ body: { tag: string; taxonId: string | null }; answer: Done }>()({
  method: 'put',
  path: '/api/courses/{courseId}/tags',
  summary: 'Says which tree carries a tag, or that it is not known.',
  allow: STAFF,
  body: Joi.object({
    tag: Joi.string().trim().min(1).max(40).required().label('Tag'),
    taxonId: Joi.string().max(120).allow(null).required(),
  }),
});
