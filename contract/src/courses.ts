import { NEEDS, type Need } from '@hurrow/core/station';
import Joi from 'joi';
import { isoDate } from './day.ts';
import { LANGUAGE_TAG } from '@hurrow/core/taxon';
import type { MarkingPolicy } from '@hurrow/core/names';
import { NAMING_POLICIES } from '@hurrow/core/names';
import { TEACHING_STARTS, type TeachingStart } from '@hurrow/core/vocabulary';
import { endpoint, INSTRUCTORS, STAFF, type Done, type Role } from './endpoint.ts';
import type { ImportReport } from './reports.ts';
import type { QuizSummary } from './quizzes.ts';

/** What students of a course may open beside their quizzes. */
export const OPEN_TO_STUDENTS = [
  'profiles',
  'contrasts',
  'keys',
  'recap',
  'lessons',
  'notebook',
  'practice',
] as const;
export type OpenToStudents = (typeof OPEN_TO_STUDENTS)[number];

export interface CourseBody {
  name: string;
  startsOn: string;
  weeks: number;
  audience: 'technical' | 'plain';
  units: 'metric' | 'imperial';
  marking: MarkingPolicy;
  latitude: number;
  longitude: number;
  elevation: number;
  /** The organ that profiles begin with. */
  startsWith?: TeachingStart;
  opens?: OpenToStudents[];
  /** Weeks without a lesson. */
  closedWeeks?: number[];
  /** Those who teach see each slip of practice. */
  seesSlips?: boolean;
  /** In practice it is asked now and then what a tree was named by. */
  asksInPractice?: boolean;
  /**
   * The language in which the course says common names, a tag of BCP 47; null for that of the library. In one of CLASS_LANGUAGES its lessons
   * are made as well.
   */
  namesIn?: string | null;
}

/** A course as it stands. */
export interface Course extends CourseBody {
  id: string;
  /** What its students sign in with, beside their own code. */
  code: string;
  startsWith: TeachingStart;
  opens: OpenToStudents[];
  closedWeeks: number[];
  seesSlips: boolean;
  asksInPractice: boolean;
  namesIn: string | null;
}

/** A part of the taught list. */
export interface CourseSet {
  id: string;
  title: string;
  week: number | null;
  taxa: string[];
}

export interface Student {
  id: string;
  name: string;
  /** Personal code. */
  code: string;
  /** The name was taken away, and the code opens nothing. */
  nameless: boolean;
  /** What is done otherwise for this student; for staff alone, and in no print that others see. */
  needs: Need[];
}

/** A course with what is in it. */
export interface WholeCourse extends Course {
  /** What the one who asks may do in it. */
  role: Role;
  sets: CourseSet[];
  students: Student[];
  quizzes: QuizSummary[];
}

const points = Joi.number().min(0).max(20).required();

/** Points and deductions. */
export const markingSchema = Joi.object<MarkingPolicy>({
  policy: Joi.string()
    .valid(...NAMING_POLICIES)
    .required(),
  points: Joi.object({ name: points, genus: points, epithet: points, family: points }).required(),
  deduction: Joi.number().min(0).max(20).required(),
});

export const courseSchema = Joi.object<CourseBody>({
  name: Joi.string().trim().max(120).required().label('Name of the course'),
  startsOn: isoDate().required().label('First day'),
  weeks: Joi.number().integer().min(1).max(60).required().label('Weeks'),
  audience: Joi.string().valid('technical', 'plain').required().label('Audience'),
  units: Joi.string().valid('metric', 'imperial').required().label('Units'),
  marking: markingSchema.required().label('Marking'),
  latitude: Joi.number().min(-90).max(90).required().label('Latitude'),
  longitude: Joi.number().min(-180).max(180).required().label('Longitude'),
  elevation: Joi.number().min(-450).max(6000).required().label('Elevation'),
  startsWith: Joi.string()
    .valid(...TEACHING_STARTS)
    .default('leaf'),
  opens: Joi.array()
    .items(Joi.string().valid(...OPEN_TO_STUDENTS))
    .unique()
    .default([]),
  closedWeeks: Joi.array().items(Joi.number().integer().min(1).max(60)).unique().default([]),
  seesSlips: Joi.boolean().default(false),
  asksInPractice: Joi.boolean().default(true),
  namesIn: Joi.string().pattern(LANGUAGE_TAG).allow(null).default(null),
});

export interface SetBody {
  /** Of a set that is there already: its lesson stays with it. */
  id?: string;
  title: string;
  week?: number | null;
  taxa: string[];
}

export const listSchema = Joi.object<{ sets: SetBody[] }>({
  sets: Joi.array()
    .items(
      Joi.object({
        id: Joi.string().uuid(),
        title: Joi.string().trim().max(120).required().label('Title of the set'),
        week: Joi.number().integer().min(1).max(60).allow(null),
        taxa: Joi.array().items(Joi.string()).required(),
      }),
    )
    .unique((a: SetBody, b: SetBody) => a.id !== undefined && a.id === b.id)
    .required(),
});

/** What is new in a copy of a course. */
export interface CopyBody {
  name: string;
  startsOn: string;
}
export const all = endpoint<{ answer: Course[] }>()({
  method: 'get',
  path: '/api/courses',
  summary: 'All courses.',
  allow: STAFF,
});

export const add = endpoint<{ body: CourseBody; answer: { id: string } }>()({
  method: 'post',
  path: '/api/courses',
  summary: 'Makes a course with an empty list.',
  allow: INSTRUCTORS,
  body: courseSchema,
});

export const one = endpoint<{ answer: WholeCourse }>()({
  method: 'get',
  path: '/api/courses/{courseId}',
  summary:
    'A course with its sets, students and quizzes. A student gets the own course, with nothing of other students or of quizzes.',
  allow: [...STAFF, 'student'],
});

export const change = endpoint<{ body: CourseBody; answer: Done }>()({
  method: 'put',
  path: '/api/courses/{courseId}',
  summary: 'Changes the settings of a course. Open and closed quizzes keep those they were opened with.',
  allow: INSTRUCTORS,
  body: courseSchema,
});

export const changeList = endpoint<{ body: { sets: SetBody[] }; answer: Done }>()({
  method: 'put',
  path: '/api/courses/{courseId}/list',
  summary: 'Replaces the taught list: sets in order, taxa in order within them.',
  allow: INSTRUCTORS,
  body: listSchema,
});

export const copy = endpoint<{ body: CopyBody; answer: { id: string } }>()({
  method: 'post',
  path: '/api/courses/{courseId}/copy',
  summary:
    'Makes a course for the next class: settings, list and lessons of this one from another first day, without its students and quizzes.',
  allow: INSTRUCTORS,
  body: Joi.object<CopyBody>({
    name: Joi.string().trim().max(120).required().label('Name of the course'),
    startsOn: isoDate().required().label('First day'),
  }),
});

export const importStudents = endpoint<{ body: { csv: string; dryRun: boolean }; answer: ImportReport }>()({
  method: 'post',
  path: '/api/courses/{courseId}/students/import',
  summary: 'Imports a class list (CSV with a column “name”); with dryRun it only says what it would do.',
  allow: INSTRUCTORS,
  body: Joi.object({ csv: Joi.string().required().label('File'), dryRun: Joi.boolean().required() }),
});

export const setNeeds = endpoint<{ body: { needs: Need[] }; answer: Done }>()({
  method: 'put',
  path: '/api/courses/{courseId}/students/{studentId}/needs',
  summary:
    'Says what is done otherwise for a student: senses that are not used, a way without steps, spelling that is not counted.',
  allow: INSTRUCTORS,
  body: Joi.object({
    needs: Joi.array()
      .items(Joi.string().valid(...NEEDS))
      .unique()
      .required(),
  }),
});

export const renewCode = endpoint<{ answer: { code: string } }>()({
  method: 'post',
  path: '/api/courses/{courseId}/students/{studentId}/code',
  summary: 'Gives a student a new personal code in place of one that is lost or known to others.',
  allow: STAFF,
});

export const takeOff = endpoint<{ answer: Done }>()({
  method: 'delete',
  path: '/api/courses/{courseId}/students/{studentId}',
  summary: 'Takes a student without answers off the class list.',
  allow: INSTRUCTORS,
});
