import { dayOfYear, wrapDay } from '../season/index.ts';

/** What a course wants of its sets. Weeks are those of the course, from 1. */
export interface TermWishes {
  /** First and last week that may have a set. */
  from: number;
  to: number;
  /** Weeks without a lesson: holidays, excursions, examinations. */
  closed: readonly number[];
  /** Species in a set, at least and at most. */
  least: number;
  most: number;
  /** One set a week from the first on, or the sets spread evenly over all weeks. */
  pace: 'weekly' | 'spread';
  /** Whether lookalikes are taught in one set, or in sets of different weeks. */
  lookalikes: 'together' | 'apart';
  /** Species whose week is settled. */
  pins: readonly Pin[];
}

export interface Pin {
  taxonId: string;
  week: number;
}

/** Sets as practitioners make them. */
export const USUAL_WISHES: Omit<TermWishes, 'to'> = {
  from: 1,
  closed: [],
  least: 4,
  most: 5,
  pace: 'weekly',
  lookalikes: 'together',
  pins: [],
};

/** Weeks that may have a set, in order: `openWeeks({ from: 1, to: 4, closed: [2] })` is `[1, 3, 4]`. */
export const openWeeks = ({ from, to, closed }: Pick<TermWishes, 'from' | 'to' | 'closed'>): number[] =>
  Array.from({ length: Math.max(0, to - from + 1) }, (_, i) => from + i).filter(
    (week) => !closed.includes(week),
  );

/**
 * Weeks that get a set when so many species are taught: as many as make sets of the middle size, from the first open week on or
 * spread evenly over them; weeks of pins beside them. `usedWeeks(9, { ...USUAL_WISHES, to: 14 })` is `[1, 2]`.
 */
export function usedWeeks(species: number, wishes: TermWishes): number[] {
  const open = openWeeks(wishes);
  const middle = (wishes.least + wishes.most) / 2;
  const fewest = Math.ceil(species / wishes.most);
  const most = Math.floor(species / wishes.least);
  const sets = Math.min(open.length, Math.max(fewest, Math.min(most, Math.round(species / middle)), 1));
  const chosen =
    wishes.pace === 'weekly'
      ? open.slice(0, sets)
      : Array.from({ length: sets }, (_, i) => open[Math.floor((i * open.length) / sets)]!);
  return [...new Set([...chosen, ...wishes.pins.map(({ week }) => week)])].sort((a, b) => a - b);
}

/** Lessons are looked at in the middle of their week. */
const MIDWEEK = 3;

/** The day of the year in the middle of a week of a course, from 1: `middleOfWeek('2026-08-31', 1)` is 246, 3 September. */
export const middleOfWeek = (startsOn: string, week: number): number =>
  wrapDay(dayOfYear(startsOn) + 7 * (week - 1) + MIDWEEK);

/** The week of a course that a day is in, from 1: `weekOf('2026-08-31', '2026-09-10')` is 2. Before the course it is 0 or less. */
export const weekOf = (startsOn: string, day: string): number =>
  1 + Math.floor((Date.parse(day) - Date.parse(startsOn)) / WEEK);

/** When a week of a course begins, as a time in milliseconds: `weekBegins('2026-08-31', 2)` is that of 7 September. */
export const weekBegins = (startsOn: string, week: number): number =>
  Date.parse(startsOn) + (week - 1) * WEEK;

const WEEK = 7 * 24 * 3600_000;
