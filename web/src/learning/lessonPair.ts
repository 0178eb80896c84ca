import type { ConfusionData } from '@hurrow/contract/confusions';
import { answerId } from '@hurrow/core/confusion';
import type { Finding } from '@hurrow/core/finding';

/** Two trees of which a finding can be taught. */
export interface LessonPair {
  truth: string;
  answer: string;
}

/**
 * The pair that stands for a finding in a mini-lesson: what is said of it if anything, else the commonest mistake behind it. Undefined where
 * no answer behind it named another tree.
 *
 * @param said the pair that the finding itself names
 * @param behind ids of the answers that it rests on
 */
export function lessonPair(
  said: LessonPair | undefined,
  behind: readonly string[],
  { stations, answers }: Pick<ConfusionData, 'stations' | 'answers'>,
): LessonPair | undefined {
  if (said) return said;
  const truthOf = new Map(stations.map(({ id, truth }) => [id, truth]));
  const wanted = new Set(behind);
  const times = new Map<string, LessonPair & { count: number }>();
  for (const answer of answers) {
    const truth = truthOf.get(answer.stationId);
    const { named } = answer;
    if (truth === undefined || !named || named === truth || !wanted.has(answerId(answer))) continue;
    const held = times.get(`${truth} ${named}`) ?? { truth, answer: named, count: 0 };
    held.count += 1;
    times.set(`${truth} ${named}`, held);
  }
  const [most] = [...times.values()].sort((x, y) => y.count - x.count);
  return most && { truth: most.truth, answer: most.answer };
}

/** Where its mini-lesson is made: a character that it is about is looked at first. */
export function lessonAt(base: string, { truth, answer }: LessonPair, found: Finding): string {
  const first = found.kind === 'character' ? `?first=${found.character.characterId}` : '';
  return `${base}/${truth}/${answer}/lesson${first}`;
}
