import type { Course } from '@hurrow/contract/courses';
import type { TermBody } from '@hurrow/contract/terms';
import type { Range } from '@hurrow/core/range';
import { commonnessAt, middleOfWeek } from '@hurrow/core/term';
import { badInput } from '../api/problem.ts';
import { say } from '../api/say.ts';
import type { Db } from '../db/index.ts';
import { courseLibrary } from '../library/committed.ts';
import { recordsAt } from '../library/records.ts';
import { classSoFar } from '../quizzes/classSoFar.ts';
import type { TermGround } from '../lessons/worker.ts';

/** All that the sets of a course are planned from, with what its class has mixed up so far. Throws (422) where a species is not in the library. */
export async function termGround(db: Db, course: Course, { taxa }: TermBody): Promise<TermGround> {
  const read = await courseLibrary(db, course);
  const missing = taxa.find((id) => !read.profileOf(id));
  if (missing) throw badInput(say`There is no species “${missing}” in the library. Take it off the list.`);
  const { library, vocabulary } = read;
  const { mixedUp } = await classSoFar(db, course);
  const list = read.profilesOf(taxa);
  const ranges = await recordsAt<Range>(db, library.id, 'range', library.revision);
  const ofTaxon = new Map(ranges.map(({ key, record }) => [key, record]));
  const weeks = Array.from({ length: course.weeks }, (_, i) => i + 1);
  const { startsOn, latitude, longitude, elevation } = course;
  return {
    key: JSON.stringify([
      library.revision,
      startsOn,
      course.weeks,
      latitude,
      longitude,
      elevation,
      taxa,
      mixedUp,
    ]),
    list,
    vocabulary,
    options: {
      weeks,
      days: weeks.map((week) => middleOfWeek(course.startsOn, week)),
      reference: library.reference,
      site: course,
      mixedUp,
      commonness: commonnessAt(list, course, (id) => ofTaxon.get(id)),
    },
  };
}
