import type { EarlierClasses, PromptFinding } from '@hurrow/core/confusion';
import type { Course } from '@hurrow/contract/courses';
import { coursesBefore, sets } from '../courses/queries.ts';
import type { Db } from '../db/index.ts';
import { reportsBefore } from './queries.ts';

/** Lists of which so much is shared are alike. */
const ALIKE = 0.7;
/** So many earlier classes with the like list are looked at, the latest: a department has taught it fifty times. */
const MOST = 4;

/**
 * What earlier classes of the library passed over and what a hint did in them, by the newest report of each: only of classes with the like list that said
 * what they went by or were given hints.
 * Undefined where there are none.
 */
export async function earlierClasses(db: Db, course: Course): Promise<EarlierClasses | undefined> {
  const taught = await taughtIn(db, course.id);
  const names: string[] = [];
  const prompts: PromptFinding[][] = [];
  const chances = new Map<string, number[]>();
  for (const { courseId, name, report } of await reportsBefore(db, course.id)) {
    const told = report.characters.filter((found) => found.told);
    if (names.length === MOST) break;
    if (told.length + report.prompts.length === 0 || !alike(taught, await taughtIn(db, courseId))) continue;
    if (report.prompts.length > 0) prompts.push(report.prompts);
    if (told.length === 0) continue;
    names.push(name);
    for (const { characterId, overlooked } of told)
      chances.set(characterId, [...(chances.get(characterId) ?? []), overlooked]);
  }
  if (names.length + prompts.length === 0) return undefined;
  const mean = (values: number[]) => values.reduce((sum, x) => sum + x, 0) / values.length;
  return {
    names,
    overlooked: Object.fromEntries([...chances].map(([id, all]) => [id, mean(all)])),
    ...(prompts.length > 0 ? { prompts } : {}),
  };
}

/** Earlier courses of the library with the like list, the latest first. */
export async function alikeBefore(db: Db, course: Course): Promise<Course[]> {
  const taught = await taughtIn(db, course.id);
  const found: Course[] = [];
  for (const other of await coursesBefore(db, course.id))
    if (found.length < MOST && alike(taught, await taughtIn(db, other.id))) found.push(other);
  return found;
}

const taughtIn = async (db: Db, courseId: string) =>
  new Set((await sets(db, courseId)).flatMap((set) => set.taxa));

function alike(a: ReadonlySet<string>, b: ReadonlySet<string>): boolean {
  const shared = [...a].filter((id) => b.has(id)).length;
  return shared > 0 && shared >= ALIKE * Math.min(a.size, b.size);
}
