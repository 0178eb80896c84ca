import Joi from 'joi';
import { isoDate } from './day.ts';
import { endpoint, INSTRUCTORS, STAFF, type Done, type Sent } from './endpoint.ts';

/** A contrast of two trees, sent after a finding. */
export interface MiniLesson {
  id: string;
  a: string;
  b: string;
  /** The character that it is about; null where it is about the pair. */
  characterId: string | null;
  note: string;
  sentOn: string;
}

/** The same as those who teach see it. */
export interface SentMiniLesson extends MiniLesson {
  /** Whom it was sent to, and who has opened it. */
  students: { id: string; opened: boolean }[];
}

export interface MiniLessonBody {
  id: string;
  a: string;
  b: string;
  characterId: string | null;
  note: string;
  sentOn: string;
  /** Ids of students. */
  to: string[];
}

const taxon = (label: string) => Joi.string().max(80).required().label(label);

const miniLessonSchema = Joi.object<MiniLessonBody>({
  id: Joi.string().uuid().required(),
  a: taxon('Species'),
  b: taxon('Other species').invalid(Joi.ref('a')),
  characterId: Joi.string().max(120).allow(null).required(),
  note: Joi.string().trim().allow('').max(600).required().label('Your line to the students'),
  sentOn: isoDate().required().label('Day'),
  to: Joi.array().items(Joi.string().uuid()).min(1).max(1000).unique().required().label('Students').messages({
    'array.min': 'Choose a student at least to send it to',
  }),
});

export const ofCourse = endpoint<{ answer: { miniLessons: SentMiniLesson[] } }>()({
  method: 'get',
  path: '/api/courses/{courseId}/mini-lessons',
  summary: 'The mini-lessons that were sent in a course, the newest first, with who has opened them.',
  allow: STAFF,
});

export const send = endpoint<{ body: MiniLessonBody; answer: Done }>()({
  method: 'post',
  path: '/api/courses/{courseId}/mini-lessons',
  summary:
    'Sends a mini-lesson to students, and notes that the pair was taught again to them on that day. The same id is sent once.',
  allow: INSTRUCTORS,
  body: miniLessonSchema,
});

export const takeBack = endpoint<{ answer: Done }>()({
  method: 'delete',
  path: '/api/courses/{courseId}/mini-lessons/{id}',
  summary: 'Takes a mini-lesson back, with the note that the pair was taught again.',
  allow: INSTRUCTORS,
});

export const opened = endpoint<{ answer: Done }>()({
  method: 'post',
  path: '/api/sit/mini-lessons/{id}/opened',
  summary: 'Notes that a student has opened a mini-lesson.',
  allow: ['student'],
});

export const print = endpoint<{ query: { paper: 'a4' | 'letter'; day: number }; answer: Sent }>()({
  method: 'get',
  path: '/api/courses/{courseId}/mini-lessons/{a}/{b}/sheet.pdf',
  summary:
    'A mini-lesson on paper: the two trees beside each other, what tells them apart and where it fails, ten specimens to call and their names.',
  allow: STAFF,
  answers: 'application/pdf',
  query: Joi.object({
    paper: Joi.string().valid('a4', 'letter').default('a4'),
    day: Joi.number().integer().min(1).max(366).required(),
  }),
});
