import { tagKey } from '@hurrow/core/notebook';
import type { Db } from '../db/index.ts';
import { tagsOf, tagsOfTrees } from './queries.ts';

/** Which tree carries which tag: what the course says of it goes before what stands on the grounds. */
export async function tagsKnown(db: Db, courseId: string): Promise<Record<string, string>> {
  const ofCourse = await tagsOf(db, courseId);
  const said = new Set(Object.keys(ofCourse).map(tagKey));
  const ofTrees = Object.entries(await tagsOfTrees(db)).filter(([tag]) => !said.has(tagKey(tag)));
  return { ...Object.fromEntries(ofTrees), ...ofCourse };
}
