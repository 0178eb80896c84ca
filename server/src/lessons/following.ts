import type { CourseSet } from '@hurrow/contract/courses';
import { movedEdits, NO_EDITS, type LessonEdits } from '@hurrow/core/lesson';
import type { Db } from '../db/index.ts';
import * as queries from './queries.ts';

/** What was changed of a tree's points goes with the tree where it is put into another set, so that no word of the instructor's is lost. */
export async function followSets(
  db: Db,
  courseId: string,
  before: readonly CourseSet[],
  after: readonly CourseSet[],
): Promise<void> {
  const rows = await queries.lessonsOf(db, courseId);
  if (rows.length === 0) return;
  const lessons = new Map<string, LessonEdits>(rows.map(({ setId, edits }) => [setId, edits]));
  const changed = new Set<string>();
  for (const { id: to, taxa } of after)
    for (const taxonId of taxa) {
      const from = before.find((set) => set.taxa.includes(taxonId))?.id;
      const held = from === undefined || from === to ? undefined : lessons.get(from);
      if (!from || !held) continue;
      const { left, moved } = movedEdits(held, lessons.get(to) ?? NO_EDITS, taxonId);
      lessons.set(from, left);
      lessons.set(to, moved);
      changed.add(from).add(to);
    }
  for (const setId of changed) await queries.keepEdits(db, courseId, setId, lessons.get(setId)!);
}

/** The lessons of a course for a copy of it; `copied` gives the new set of each. */
export async function copyLessons(
  db: Db,
  from: string,
  to: string,
  copied: ReadonlyMap<string, string>,
): Promise<void> {
  for (const { setId, edits } of await queries.lessonsOf(db, from)) {
    const target = copied.get(setId);
    if (target) await queries.keepEdits(db, to, target, edits);
  }
}
