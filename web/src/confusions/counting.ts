import type { ConfusionData } from '@hurrow/contract/confusions';
import { answerId, confusedPairs, type ConfusedPair, type NamedAnswer } from '@hurrow/core/confusion';

/** Both directions of a confusion under one head. */
export interface PairOfTaxa {
  /** The taxon that is missed more often of the two. */
  a: string;
  b: string;
  /** a called b, and b called a. */
  ab: ConfusedPair | undefined;
  ba: ConfusedPair | undefined;
  count: number;
}

/** The answers of a class at stations that count, what was taken for what, and both directions of each pair under one head. */
export function countedOf(data: Pick<ConfusionData, 'stations' | 'answers'>): {
  answers: NamedAnswer[];
  directed: ConfusedPair[];
  pairs: PairOfTaxa[];
} {
  const stations = new Map(
    data.stations
      .filter(({ voided, leftOut }) => !voided && !leftOut)
      .map((station) => [station.id, station]),
  );
  const answers = data.answers.flatMap((answer): NamedAnswer[] => {
    const station = stations.get(answer.stationId);
    if (!station) return [];
    const { studentId, stationId, quizId, named } = answer;
    return [{ answerId: answerId(answer), studentId, stationId, quizId, truth: station.truth, named }];
  });
  const directed = confusedPairs(answers);
  return { answers, directed, pairs: joined(directed) };
}

function joined(directed: readonly ConfusedPair[]): PairOfTaxa[] {
  const pairs = new Map<string, PairOfTaxa>();
  for (const pair of directed) {
    const key = [pair.truth, pair.answer].sort().join(' ');
    const held = pairs.get(key);
    if (held) {
      held.ba = pair;
      held.count += pair.count;
    } else pairs.set(key, { a: pair.truth, b: pair.answer, ab: pair, ba: undefined, count: pair.count });
  }
  return [...pairs.values()].sort((x, y) => y.count - x.count);
}
