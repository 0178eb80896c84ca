import { dayOfYear, wrapDay, type Arc } from '@hurrow/core/season';

/** Where a day of the year lies on the ribbon, in hundredths of its length. */
export const share = (day: number): number => ((day - 1) / 365) * 100;

/** Arcs over New Year are drawn as two pieces. */
export const pieces = (arc: Arc): Arc[] =>
  arc.from <= arc.to
    ? [arc]
    : [
        { from: arc.from, to: 365 },
        { from: 1, to: arc.to },
      ];

/** Week of the course on a day of the year, or undefined outside the term. */
export function courseWeek(
  course: { startsOn: string; weeks: number } | undefined,
  day: number,
): number | undefined {
  if (!course) return undefined;
  const week = Math.floor(wrapDay(day - dayOfYear(course.startsOn) + 1) / 7.0001) + 1;
  return week <= course.weeks ? week : undefined;
}
