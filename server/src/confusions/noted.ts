import type { Seen, WentBy } from '@hurrow/core/confusion';
import { readAtTree, taxonByTag, type Verdict } from '@hurrow/core/notebook';
import { dayOfYear } from '@hurrow/core/season';
import type { Course } from '@hurrow/contract/courses';
import type { Db } from '../db/index.ts';
import { committedLibrary } from '../library/committed.ts';
import { entriesOfCourse } from '../notebook/queries.ts';
import { tagsKnown } from '../notebook/tags.ts';
import { sortsOfCourse } from '../sorts/queries.ts';
import { toldInPractice } from '../practice/queries.ts';
import { readSort } from '../sorts/reading.ts';

/** What students chose from pictures at trees of which it is known what they are, with what was right there. */
export async function readInNotebooks(db: Db, course: Course): Promise<Seen[]> {
  const entries = await entriesOfCourse(db, course.id);
  if (entries.length === 0) return [];
  const taxonOf = taxonByTag(await tagsKnown(db, course.id));
  const { library, profiles, vocabulary } = await committedLibrary(db);
  const { latitude, longitude, elevation } = course;
  const options = { reference: library.reference, site: { latitude, longitude, elevation } };
  return entries.flatMap(({ id, studentId, day, tag, chosen }) => {
    const profiled = profiles.find(({ taxon }) => taxon.id === taxonOf(tag));
    if (!profiled) return [];
    return readAtTree(chosen, profiled, vocabulary, dayOfYear(day), options).flatMap(
      ({ characterId, state, verdict, right }) =>
        !COUNTED.includes(verdict)
          ? []
          : [{ characterId, stationId: `notebook ${id}`, studentId, right, said: state }],
    );
  });
}

/** What the scores do not say counts neither way, and a neighboring color is no misreading to be taught. */
const COUNTED: readonly Verdict[] = ['agrees', 'seldom', 'misread'];

/** What students read off drawn twigs by the piles that they put them on, and what they said they went by. Of a group or the class nobody in particular is named. */
export async function readInSorts(db: Db, courseId: string): Promise<{ seen: Seen[]; wentBy: WentBy[] }> {
  const seen: Seen[] = [];
  const wentBy: WentBy[] = [];
  for (const { id, studentId, body, revision, ...kept } of await sortsOfCourse(db, courseId)) {
    const { readings, told } =
      kept.readings && kept.told
        ? { readings: kept.readings, told: kept.told }
        : readSort(await committedLibrary(db, revision), body);
    for (const { characterId, specimen, right, said } of readings)
      seen.push({
        characterId,
        stationId: `sort ${id} ${specimen}`,
        studentId: studentId ?? id,
        right,
        said,
      });
    for (const each of told)
      wentBy.push({ ...each, stationId: `sort ${id}`, studentId: studentId ?? id, from: 'sorting' });
  }
  return { seen, wentBy };
}

/** What students said in practice they went by. */
export const toldInPracticeOf = async (db: Db, courseId: string): Promise<WentBy[]> =>
  (await toldInPractice(db, courseId)).map(({ id, studentId, offered, told }) => ({
    studentId,
    stationId: `practice ${id}`,
    offered,
    told: told.filter((each) => offered.includes(each)),
    from: 'practice',
  }));
