import { neighboursOf, orderOf, pairsTooNear, type ClassSoFar } from '@hurrow/core/assembly';
import type { CourseSet } from '@hurrow/contract/courses';
import { kindOfPlanned, type Judged } from './proposed.ts';
import type { Planned } from './planned.ts';

/** How many stations a quiz has of each set, and how many of its trees it shows; sets without a station are left out at the end. */
export function coverage(
  sets: readonly CourseSet[],
  stations: readonly Pick<Planned, 'taxonId'>[],
): { id: string; title: string; count: number; shown: number; of: number }[] {
  const rows = sets.map(({ id, title, taxa }) => {
    const here = stations.filter(({ taxonId }) => taxa.includes(taxonId)).map(({ taxonId }) => taxonId);
    return { id, title, count: here.length, shown: new Set(here).size, of: taxa.length };
  });
  const last = rows.findLastIndex(({ count }) => count > 0);
  return rows.slice(0, last + 1);
}

/** The stations of a plan in an order in which no neighbour gives another away. */
export function putInOrder(
  stations: readonly Planned[],
  judged: readonly (Judged | undefined)[],
  mixedUp: ClassSoFar['mixedUp'] = [],
): Planned[] {
  return orderOf(beside(stations, judged, mixedUp)).order.map((i) => stations[i]!);
}

/** Places that stand too near each other, as pairs, of those that are judged. */
export function nearPlaces(
  stations: readonly Planned[],
  judged: readonly (Judged | undefined)[],
  mixedUp: ClassSoFar['mixedUp'] = [],
): [number, number][] {
  return pairsTooNear(
    stations.map((_, i) => i),
    beside(stations, judged, mixedUp).map(({ apart }) => new Set(apart)),
  );
}

/** What a station can be taken for; a question that names two trees tells whoever stands at one of them. */
const rivalsAt = ({ question }: Planned, judged: Judged | undefined): Judged['rivals'] =>
  question?.kind === 'settles' ? [{ taxonId: question.from, share: 1 }] : (judged?.rivals ?? []);

const beside = (
  stations: readonly Planned[],
  judged: readonly (Judged | undefined)[],
  mixedUp: ClassSoFar['mixedUp'],
) =>
  neighboursOf(
    stations.map((station, i) => ({
      taxonId: station.taxonId,
      kind: kindOfPlanned(station)?.id ?? station.medium,
      rivals: rivalsAt(station, judged[i]),
    })),
    { mixedUp },
  );
