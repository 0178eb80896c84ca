import Joi from 'joi';
import { badInput } from '../api/problem.ts';
import { route, STAFF } from '../api/route.ts';
import { courseOf } from '../courses/routes.ts';
import * as courseQueries from '../courses/queries.ts';
import { PAPERS, type Paper } from './paper.ts';
import { printed } from './printed.ts';

interface SlipQuery {
  courseId: string;
  /** Address under which phones reach this Hurrow, such as http://192.168.1.20:4680. */
  at: string;
  paper: Paper;
  students: string;
}

/** Slips with what a student signs in with, to be cut apart. */
export const slipRoutes = [
  route<unknown, Record<string, string>, SlipQuery>({
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
      paper: Joi.string()
        .valid(...PAPERS)
        .default('letter'),
      students: Joi.string().max(8000).allow('').default(''),
    }),
    handle: async ({ db, query }) => {
      const course = await courseOf(db, query.courseId);
      const wanted = query.students.split(',').filter(Boolean);
      const students = (await courseQueries.students(db, course.id)).filter(
        ({ id, nameless }) => !nameless && (wanted.length === 0 || wanted.includes(id)),
      );
      if (students.length === 0)
        throw badInput('The course has no students yet. Import the class list first.');
      return printed(query.paper, 'slips', course, students, query.at, query.paper);
    },
  }),
];
