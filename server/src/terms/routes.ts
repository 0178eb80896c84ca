import * as terms from '@hurrow/contract/terms';
import type { Prospects, TermProposal } from '@hurrow/core/term';
import { badInput } from '../api/problem.ts';
import { say } from '../api/say.ts';
import { serve } from '../api/route.ts';
import { courseOf } from '../courses/course.ts';
import { sets } from '../courses/queries.ts';
import { quizzesOfCourse } from '../quizzes/queries.ts';
import { inThread } from '../thread.ts';
import { calendarOf } from './calendar.ts';
import { termGround } from './ground.ts';

export const termRoutes = [
  serve(terms.prospects, async ({ db, params, body }) => {
    const ground = await termGround(db, await courseOf(db, params.courseId), body);
    return inThread<Prospects>('teachingWorker', { kind: 'prospects', ground });
  }),
  serve(terms.propose, async ({ db, params, body }) => {
    const course = await courseOf(db, params.courseId);
    const { wishes, ...asked } = body;
    if (wishes.to > course.weeks)
      throw badInput(
        say`The course has ${course.weeks} weeks. Let the sets end with week ${course.weeks} or before.`,
      );
    const ground = await termGround(db, course, asked);
    try {
      return await inThread<TermProposal>('teachingWorker', { kind: 'proposal', ground, wishes });
    } catch (error) {
      // What keeps a plan from being made is said in words that can be acted on.
      throw badInput((error as Error).message);
    }
  }),
  serve(terms.calendar, async ({ db, params, response }) => {
    const course = await courseOf(db, params.courseId);
    response.attachment(`${course.code.toLowerCase()}.ics`);
    return calendarOf(course, await sets(db, course.id), await quizzesOfCourse(db, course.id));
  }),
];
