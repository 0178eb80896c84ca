import * as prints from '@hurrow/contract/prints';
import { badInput } from '../api/problem.ts';
import { say } from '../api/say.ts';
import { serve } from '../api/route.ts';
import { courseOf } from '../courses/course.ts';
import * as courseQueries from '../courses/queries.ts';
import { printed } from './printed.ts';

/** Slips with what a student signs in with, to be cut apart. */
export const slipRoutes = [
  serve(prints.slips, async ({ db, query }) => {
    const course = await courseOf(db, query.courseId);
    const wanted = query.students.split(',').filter(Boolean);
    const students = (await courseQueries.students(db, course.id)).filter(
      ({ id, nameless }) => !nameless && (wanted.length === 0 || wanted.includes(id)),
    );
    if (students.length === 0)
      throw badInput(say`The course has no students yet. Import the class list first.`);
    return printed(query.paper, 'slips', course, students, query.at, query.paper);
  }),
];
