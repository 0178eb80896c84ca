import type { MarkedAnswer } from '@hurrow/contract/quizzes';
import { fullPoints, type MarkingPolicy } from '@hurrow/core/names';
import type { StationRow } from '../quizzes/queries.ts';

interface Marked {
  stations: readonly StationRow[];
  answers: readonly MarkedAnswer[];
  marking: MarkingPolicy | undefined;
}

/**
 * Points of each student and full points of a quiz. A station that is left out counts for nobody; one that is credited gives its points to
 * everybody.
 */
export function pointsOf({ stations, answers, marking }: Marked): {
  outOf: number;
  credit: number;
  of: Map<string, number>;
} {
  const full = marking ? fullPoints(marking) : 0;
  const counted = new Set(stations.filter(({ voided, frozen }) => frozen && !voided).map(({ id }) => id));
  const credited = stations.filter((station) => station.voided && station.credited).length;
  const of = new Map<string, number>();
  for (const { studentId, stationId, mark } of answers)
    if (counted.has(stationId)) of.set(studentId, (of.get(studentId) ?? 0) + mark.points);
  return { outOf: full * (counted.size + credited), credit: full * credited, of };
}
