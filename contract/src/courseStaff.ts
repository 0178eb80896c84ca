import Joi from 'joi';
import { endpoint, INSTRUCTORS, type Done, type Role } from './endpoint.ts';

/** What someone does in a course: leads it as an instructor does, or helps as an assistant does. */
export const COURSE_ROLES = ['leads', 'helps'] as const;
export type CourseRole = (typeof COURSE_ROLES)[number];

/** Someone who teaches here, and what they do in a course. */
export interface CourseTeacher {
  accountId: string;
  name: string;
  /** What they may do in courses that name nobody. */
  role: Role;
  /** Nothing where they are not named. */
  here: CourseRole | null;
}

export interface Named {
  accountId: string;
  role: CourseRole;
}

export const ofCourse = endpoint<{ answer: CourseTeacher[] }>()({
  method: 'get',
  path: '/api/courses/{courseId}/staff',
  summary: 'Everyone who teaches here, and what they do in a course. Where none is named, it is everyone’s.',
  allow: INSTRUCTORS,
});

export const name = endpoint<{ body: { named: Named[] }; answer: Done }>()({
  method: 'put',
  path: '/api/courses/{courseId}/staff',
  summary:
    'Names those who teach a course: nobody else but the owner sees it then. With none named it is everyone’s who teaches here.',
  allow: INSTRUCTORS,
  body: Joi.object({
    named: Joi.array()
      .items(
        Joi.object({
          accountId: Joi.string().uuid().required(),
          role: Joi.string()
            .valid(...COURSE_ROLES)
            .required(),
        }),
      )
      .max(200)
      .unique('accountId')
      .required(),
  }),
});
