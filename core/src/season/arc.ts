/** A stretch of the year by day number (1–365), both ends included; it may run over New Year (335–60). */
export interface Arc {
  from: number;
  to: number;
}

export const DAYS = 365;
const MONTH_STARTS = [1, 32, 60, 91, 121, 152, 182, 213, 244, 274, 305, 335];
export const MONTHS = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'];

export const YEAR_ROUND: Arc = { from: 1, to: DAYS };

/** Wraps any whole number onto 1–365. */
export const wrapDay = (day: number): number => ((((day - 1) % DAYS) + DAYS) % DAYS) + 1;

/** Number of days in an arc, 1–365. */
export const arcLength = (arc: Arc): number => wrapDay(arc.to - arc.from + 1);

export const inArc = (arc: Arc, day: number): boolean =>
  arc.from <= arc.to ? day >= arc.from && day <= arc.to : day >= arc.from || day <= arc.to;

/** Day of the year of an ISO date (`2026-10-15` → 288); 29 February counts as 1 March. */
export function dayOfYear(isoDate: string): number {
  const [, month, day] = isoDate.split('-').map(Number);
  return wrapDay(MONTH_STARTS[(month ?? 1) - 1]! + (day ?? 1) - 1);
}

/** Day of the year in the middle of a month, 0 for January. */
export const midMonth = (month: number): number => MONTH_STARTS[month]! + 14;

/** Month (1–12) and day of the month of a day number. */
export function dateOfDay(day: number): { month: number; day: number } {
  const wrapped = wrapDay(day);
  let month = 12;
  while (MONTH_STARTS[month - 1]! > wrapped) month -= 1;
  return { month, day: wrapped - MONTH_STARTS[month - 1]! + 1 };
}

/** "15 Oct" for day 288. */
export function dayLabel(day: number): string {
  const date = dateOfDay(day);
  return `${date.day} ${MONTHS[date.month - 1]}`;
}

/** How the parts of an arc are said. */
export interface ArcSaying {
  allYear: string;
  /** A third of a month, 1–12. */
  third(part: 'early' | 'mid' | 'late', month: number): string;
}

const IN_ENGLISH: ArcSaying = {
  allYear: 'all year',
  third: (part, month) => `${part} ${MONTHS[month - 1]}`,
};

/** "late May–mid Oct" for an arc: thirds of a month are as fine as a calendar of a species can be. */
export function arcLabel(arc: Arc, { allYear, third }: ArcSaying = IN_ENGLISH): string {
  if (arcLength(arc) >= DAYS - 1) return allYear;
  const [from, to] = [arc.from, arc.to].map((of) => {
    const { day, month } = dateOfDay(of);
    return third(day <= 10 ? 'early' : day <= 20 ? 'mid' : 'late', month);
  }) as [string, string];
  return from === to ? from : `${from}–${to}`;
}
