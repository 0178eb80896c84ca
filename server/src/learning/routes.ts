import * as learning from '@hurrow/contract/learning';
import type { Course } from '@hurrow/contract/courses';
import { commonName, scientificName } from '@hurrow/core/taxon';
import { characterName } from '@hurrow/core/score';
import { notFound } from '../api/problem.ts';
import { serve } from '../api/route.ts';
import type { HurrowJobs } from '../jobs/kinds.ts';
import { alikeBefore } from '../confusions/earlier.ts';
import { closedFor } from '../courseStaff/standing.ts';
import { gather } from '../confusions/gather.ts';
import { report as keptReport } from '../confusions/queries.ts';
import { courseOf } from '../courses/course.ts';
import { sets, students } from '../courses/queries.ts';
import type { Db } from '../db/index.ts';
import { studentOf } from '../keeping/queries.ts';
import { courseLibrary } from '../library/committed.ts';
import { miniLessonsOf } from '../miniLessons/queries.ts';
import { practiceOfCourse } from '../practice/ofCourse.ts';
import { spokenIn } from '../language/spokenIn.ts';
import { printed } from '../prints/printed.ts';
import { countedAnswers, countsOf, recordOf } from './record.ts';
import { countsOfEarlier } from './earlierCounts.ts';
import { reportedPairs } from './pairs.ts';
import * as queries from './queries.ts';
import { sinceAll } from './since.ts';
import { codesOf, tableOf } from './tables.ts';

export const learningRoutes = [
  serve(learning.ofStudent, async ({ db, params, now }) => {
    const course = await courseOf(db, params.courseId);
    const { id, name } = await ofCourse(db, course, params.studentId);
    const practice = await practiceOfCourse(db, course, now);
    return {
      id,
      name,
      note: await queries.advisingNote(db, id),
      ...recordOf(await countedAnswers(db, course.id), id),
      practice: practice.find(({ studentId }) => studentId === id)!,
      miniLessons: (await miniLessonsOf(db, course.id)).filter((lesson) =>
        lesson.students.some((student) => student.id === id),
      ),
    };
  }),
  serve(learning.note, async ({ db, params, body }) => {
    const course = await courseOf(db, params.courseId);
    const { id } = await ofCourse(db, course, params.studentId);
    await queries.setAdvisingNote(db, id, body.note);
  }),
  serve(learning.trends, async ({ db, params, who }) => {
    const course = await courseOf(db, params.courseId);
    const now = countsOf(course, await countedAnswers(db, course.id));
    const closed = await closedFor(db, who!);
    const alike = (await alikeBefore(db, course)).filter(({ id }) => !closed.has(id));
    const before = await countsOfEarlier(db, alike);
    return { classes: [now, ...before.filter(({ quizzes }) => quizzes.length > 0)] };
  }),
  serve(learning.table, async ({ db, jobs, params, query, now, response }) => {
    const course = await courseOf(db, params.courseId);
    const { vocabulary, profileOf } = await words(db, course);
    const report = await reportNow(db, jobs, course, now);
    const all = await students(db, course.id);
    const codes = codesOf(all.map(({ id }) => id));
    const names = new Map(all.map(({ id, name }) => [id, name]));
    response.attachment(`${course.code.toLowerCase()}-${params.table}.csv`);
    const answers = await countedAnswers(db, course.id);
    return tableOf(params.table, {
      answers,
      report,
      pairs: reportedPairs(answers, report),
      since: await sinceAll(db, course.id, report),
      practice: await practiceOfCourse(db, course, now),
      vocabulary,
      student: (id) => (query.codes ? codes.get(id) : names.get(id)) ?? 'a former student',
      taxon: (id) => (profileOf(id) ? scientificName(profileOf(id)!.taxon) : id),
      character: (id) => (vocabulary.has(id) ? characterName(vocabulary.get(id)!, 'technical') : id),
    });
  }),
  serve(learning.report, async ({ db, jobs, params, query, now }) => {
    const course = await courseOf(db, params.courseId);
    const report = await reportNow(db, jobs, course, now);
    const { vocabulary, profileOf } = await words(db, course);
    const taught = await sets(db, course.id);
    const answers = await countedAnswers(db, course.id);
    const pairs = reportedPairs(answers, report);
    const ids = new Set([
      ...taught.flatMap(({ taxa }) => taxa),
      ...pairs.flatMap(({ truth, answer }) => [truth, answer]),
    ]);
    const names: Record<string, string> = {};
    for (const id of ids) {
      const found = profileOf(id);
      if (found) names[id] = commonName(found.taxon);
    }
    const practice = await practiceOfCourse(db, course, now);
    return printed(query.paper, 'courseReport', {
      course,
      on: now.toISOString().slice(0, 10),
      sets: taught,
      counts: countsOf(course, answers),
      report,
      pairs,
      since: await sinceAll(db, course.id, report),
      practice,
      names,
      vocabulary: spokenIn(vocabulary, course.namesIn),
    });
  }),
];

/** A student of a course. Throws (404) where there is none. */
async function ofCourse(db: Db, course: Course, studentId: string) {
  const found = await studentOf(db, course.id, studentId);
  if (!found) throw notFound('student');
  return found;
}

async function words(db: Db, course: Course) {
  const read = await courseLibrary(db, course);
  return { vocabulary: read.vocabulary, profileOf: (id: string) => read.profileOf(id) };
}

/** The report on a class as it stands: the one that is kept, else worked out now. */
async function reportNow(db: Db, jobs: HurrowJobs, course: Course, now: Date) {
  const { key } = await gather(db, course, 'now');
  const kept = await keptReport(db, course.id, key);
  if (kept) return kept.report;
  const asked = { courseId: course.id, scores: 'now' as const, earlier: true, at: now.toISOString() };
  const made = await jobs.ask('confusions', key, asked);
  return (await keptReport(db, course.id, made.key))!.report;
}
