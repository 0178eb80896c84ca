import type { Course } from '@hurrow/contract/courses';
import type { ClassSoFar } from '@hurrow/core/assembly';
import { doubtsOf, type ToldById } from '@hurrow/core/attention';
import { OFTEN_MIXED_UP } from '@hurrow/core/term';
import { sets as setsOf } from '../courses/queries.ts';
import type { Db } from '../db/index.ts';
import { marksOf, ofNames } from './marking.ts';
import { quizStates } from './queries.ts';

/** What the answers of a class that count have shown so far: of each tree, of pairs, and of what is known of the use of characters. */
export async function classSoFar(db: Db, course: Course): Promise<ClassSoFar> {
  const answered: Record<string, { answers: number; right: number }> = {};
  const reports: ToldById[] = [];
  const pairs = new Map<string, { a: string; b: string; count: number }>();
  for (const quiz of await quizStates(db, course.id)) {
    if (quiz.state === 'planned') continue;
    const marks = ofNames(await marksOf(db, quiz));
    const counted = new Map(
      marks.stations.flatMap((station) =>
        station.frozen && !station.voided && !station.leftOut ? [[station.id, station.frozen] as const] : [],
      ),
    );
    for (const { stationId, mark, written } of marks.answers) {
      const frozen = counted.get(stationId);
      if (!frozen) continue;
      const { truth, wentBy = [] } = frozen;
      const named = mark.resolution.taxonId;
      const held = (answered[truth] ??= { answers: 0, right: 0 });
      held.answers += 1;
      if (named === truth) held.right += 1;
      if (written.wentBy?.length) reports.push({ offered: wentBy, told: written.wentBy });
      if (!named || named === truth) continue;
      const [a, b] = [truth, named].sort() as [string, string];
      const pair = pairs.get(`${a} ${b}`) ?? { a, b, count: 0 };
      pair.count += 1;
      pairs.set(`${a} ${b}`, pair);
    }
  }
  return {
    sets: (await setsOf(db, course.id)).map(({ id, title, taxa }) => ({ id, title, taxa })),
    answered,
    mixedUp: [...pairs.values()]
      .filter(({ count }) => count >= OFTEN_MIXED_UP)
      .sort((x, y) => y.count - x.count)
      .map(({ a, b }) => ({ a, b })),
    doubtful: doubtsOf(reports),
  };
}
