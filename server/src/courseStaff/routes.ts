import * as staff from '@hurrow/contract/courseStaff';
import { badInput } from '../api/problem.ts';
import { say } from '../api/say.ts';
import { serve } from '../api/route.ts';
import { courseOf } from '../courses/course.ts';
import { note } from '../keeping/queries.ts';
import * as queries from './queries.ts';

export const courseStaffRoutes = [
  serve(staff.ofCourse, async ({ db, params }) => {
    const { id } = await courseOf(db, params.courseId);
    return queries.teachers(db, id);
  }),
  serve(staff.name, ({ db, params, body: { named }, who, now }) =>
    db.transaction(async (tx) => {
      const course = await courseOf(tx, params.courseId);
      const known = new Set((await queries.teachers(tx, course.id)).map(({ accountId }) => accountId));
      if (named.some(({ accountId }) => !known.has(accountId)))
        throw badInput(
          say`Somebody who is named does not teach here any more. Open the page again and choose anew.`,
        );
      const leads = named.filter(({ role }) => role === 'leads');
      if (named.length > 0 && leads.length === 0)
        throw badInput(say`A course that names who teaches it needs one who leads it.`);
      // Nobody shuts the door behind themselves; the owner comes in everywhere.
      if (
        who!.role !== 'owner' &&
        named.length > 0 &&
        !leads.some(({ accountId }) => accountId === who!.accountId)
      )
        throw badInput(
          say`You would not lead this course any more. Name yourself as well, or ask the owner to do it.`,
        );
      await queries.name(tx, course.id, named);
      await note(tx, { who, now }, course.id, say`changed who teaches the course`);
    }),
  ),
];
