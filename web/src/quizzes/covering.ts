import { plural, t } from '@lingui/core/macro';
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

/** Off by so many in a hundred, or less, on average, an expectation is good. */
const GOOD = 5;
const FAIRLY = 10;

/**
 * How far what is expected can be trusted, by the quizzes that were held: each expected from the others.
 *
 * @param held the latest last
 * @returns a sentence; empty where nothing was held
 * @example
 * trustInWords([{ title: 'Quiz 1', expected: 0.68, came: 0.64 }]); // 'Earlier quizzes, each expected from the others: Quiz 1 would have been 68 %, and came to 64. Trust it …'
 */
export function trustInWords(held: readonly { title: string; expected: number; came: number }[]): string {
  const percent = (share: number) => Math.round(100 * share);
  const each = held.map(
    ({ title, expected, came }, i) =>
      t`${title} ${i === 0 ? t`would have been ` : ''}${percent(expected)} %, and ${i === 0 ? t`came to ` : ''}${percent(came)}`,
  );
  if (held.length === 0) return '';
  const off =
    held.reduce((sum, { expected, came }) => sum + Math.abs(100 * (expected - came)), 0) / held.length;
  const trust =
    off <= GOOD
      ? t`Trust it within some five in a hundred.`
      : off <= FAIRLY
        ? t`Trust it within some ten in a hundred.`
        : t`It was ${Math.round(off)} in a hundred off on average: trust the order of the stations more than the figure.`;
  return t`Earlier quizzes, each expected from the others: ${each.join('; ')}. ${trust}`;
}

/**
 * How many of the pieces of a plan can be had, before the name of the grounds.
 *
 * @example
 * piecesInWords(17, 14); // '14 of 17 pieces can be had'
 */
export function piecesInWords(needed: number, had: number): string {
  if (needed === 1)
    return plural(had, { one: 'Its one piece can be had', other: 'Its one piece cannot be had' });
  if (had === 0) return t`None of ${needed} pieces can be had`;
  return had === needed ? t`All ${needed} pieces can be had` : t`${had} of ${needed} pieces can be had`;
}
