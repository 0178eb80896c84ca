import type { ConfusionData } from '@hurrow/contract/confusions';

/** A student, and whether a pair concerns them. */
export interface Concerned {
  id: string;
  name: string;
  /** How often they took one of the pair for the other. */
  times: number;
}

/**
 * Students of a class by how often they took one of two trees for the other, the most often first; those whom it does not concern stand last, by name.
 *
 * @param students of the course, without those whose name was taken away
 */
export function concernedBy(
  { stations, answers }: Pick<ConfusionData, 'stations' | 'answers'>,
  students: readonly { id: string; name: string }[],
  a: string,
  b: string,
): Concerned[] {
  const truthOf = new Map(
    stations.filter(({ voided, leftOut }) => !voided && !leftOut).map(({ id, truth }) => [id, truth]),
  );
  const times = new Map<string, number>();
  for (const { studentId, stationId, named } of answers) {
    const truth = truthOf.get(stationId);
    const isMixed = (truth === a && named === b) || (truth === b && named === a);
    if (isMixed) times.set(studentId, (times.get(studentId) ?? 0) + 1);
  }
  return students
    .map(({ id, name }) => ({ id, name, times: times.get(id) ?? 0 }))
    .sort((x, y) => y.times - x.times || x.name.localeCompare(y.name));
}
