import Joi from 'joi';
import { ATTENDANCES } from './limits.ts';
import { endpoint, INSTRUCTORS, STAFF, type Done } from './endpoint.ts';

/** How a student was at a quiz. */
export type Attendance = (typeof ATTENDANCES)[number];

/** Something that happened at a station during the quiz. */
export interface StationNote {
  note: string;
  by: string;
  /** ISO 8601. */
  at: string;
}

/** What those who run a quiz should know beside the answers. */
export interface Running {
  students: {
    studentId: string;
    was: Attendance;
    /** A closed quiz is open still for them. */
    reopened: boolean;
    /** Phones that they answered from. */
    phones: number;
    /** Seconds that the clock of their phone is ahead, where it is off by minutes. */
    clockOff: number | null;
  }[];
  /** Phones from which more than one answered: ids of their students. */
  lent: string[][];
  /** `stands`: where it was moved to, in words; empty where it was not. */
  stations: { stationId: string; stands: string; notes: StationNote[] }[];
}

export const running = endpoint<{ answer: Running }>()({
  method: 'get',
  path: '/api/quizzes/{quizId}/running',
  summary:
    'Who was absent or excused, which phones were lent or have a wrong clock, and what was noted at stations.',
  allow: STAFF,
});

export interface StudentBody {
  was: Attendance;
  reopened: boolean;
}

export const student = endpoint<{ body: StudentBody; answer: Done }>()({
  method: 'put',
  path: '/api/quizzes/{quizId}/students/{studentId}',
  summary: 'Says that a student was absent or excused, or opens a closed quiz for them alone.',
  allow: INSTRUCTORS,
  body: Joi.object({
    was: Joi.string()
      .valid(...ATTENDANCES)
      .required(),
    reopened: Joi.boolean().required(),
  }),
});

export const noteStation = endpoint<{ body: { note: string }; answer: Done }>()({
  method: 'post',
  path: '/api/quizzes/{quizId}/stations/{stationId}/notes',
  summary: 'Notes what happened at a station during the quiz, as a cutting that was replaced.',
  allow: STAFF,
  body: Joi.object({ note: Joi.string().trim().min(1).max(300).required().label('Note') }),
});

export const moveStation = endpoint<{ body: { stands: string }; answer: Done }>()({
  method: 'put',
  path: '/api/quizzes/{quizId}/stations/{stationId}/place',
  summary:
    'Says where a station stands since it was moved during the quiz, for students to find; empty where it stands at its place again.',
  allow: STAFF,
  body: Joi.object({ stands: Joi.string().trim().allow('').max(120).required().label('Where it stands') }),
});
