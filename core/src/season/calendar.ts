import type { Part } from '../vocabulary/index.ts';
import { normalCdf } from '../random/normal.ts';
import { arcLength, DAYS, inArc, wrapDay, type Arc } from './arc.ts';
import { shiftArc } from './hopkins.ts';

export const CALENDAR_PARTS = [
  'leaves',
  'autumnColor',
  'leafFall',
  'winterCatkins',
  'flowers',
  'fruitGreen',
  'fruitRipe',
  'fruitOld',
] as const;
export type CalendarPart = (typeof CALENDAR_PARTS)[number];

/** When each part is on the tree, at the reference place of the library. A part that is not listed is unknown. */
export type Calendar = Partial<Record<CalendarPart, Arc[]>>;

export const CALENDAR_TITLES: Record<CalendarPart, string> = {
  leaves: 'leaves',
  autumnColor: 'autumn color',
  leafFall: 'leaf fall',
  winterCatkins: 'winter catkins',
  flowers: 'flowers or pollen',
  fruitGreen: 'green fruit',
  fruitRipe: 'ripe fruit',
  fruitOld: 'old fruit',
};

const WINTER: Arc = { from: 325, to: 90 };
const DECIDUOUS_DEFAULT: Arc[] = [{ from: 125, to: 288 }];

/** A calendar shifted to a site by a delay in days (see `hopkinsDelay`). */
export function shiftCalendar(calendar: Calendar, delay: number): Calendar {
  const shifted: Calendar = {};
  for (const part of CALENDAR_PARTS) {
    const arcs = calendar[part];
    if (arcs) shifted[part] = arcs.map((arc) => shiftArc(arc, delay));
  }
  return shifted;
}

const within = (arcs: Arc[] | undefined, day: number): boolean => (arcs ?? []).some((arc) => inArc(arc, day));

/** The leaf arcs, or for a deciduous taxon without a calendar an early May to mid October guess. */
export function leafArcs(calendar: Calendar, deciduous: boolean): Arc[] | undefined {
  return calendar.leaves ?? (deciduous ? DECIDUOUS_DEFAULT : undefined);
}

/** Standard deviation, in days, of the day on which one tree in one year leafs out, flowers, ripens or stands bare, about the date of its calendar. */
const DATES_VARY = 8;

/**
 * Share of the trees of a taxon that carry leaves on a day, 0–1: a normal distribution about each end of its leaf arcs, so that it is a
 * half on the dates themselves. 1 for evergreens, and where no leaf arc is known.
 */
export function leafShare(calendar: Calendar, deciduous: boolean, day: number): number {
  const arcs = leafArcs(calendar, deciduous);
  return arcs ? shareWithin(arcs, day) : 1;
}

/**
 * Share of the trees of a taxon that are in flower, or in fruit, on a day if they bear at all, 0–1, with the same spread about the dates;
 * undefined where its calendar does not say.
 * seasonShare('flowers', { flowers: [{ from: 120, to: 135 }] }, 120); // about 0.5
 */
export function seasonShare(
  part: 'flowers' | 'fruit' | 'ripeFruit',
  { flowers, fruitGreen = [], fruitRipe = [], fruitOld = [] }: Calendar,
  day: number,
): number | undefined {
  const ripe = [...fruitRipe, ...fruitOld];
  const arcs = { flowers: flowers ?? [], ripeFruit: ripe, fruit: [...fruitGreen, ...ripe] }[part];
  return arcs.length > 0 ? shareWithin(arcs, day) : undefined;
}

/** Share of the trees of which a day lies within the arcs, a normal distribution about each of their ends. */
function shareWithin(arcs: readonly Arc[], day: number): number {
  if (arcs.some((arc) => arcLength(arc) >= DAYS - 1)) return 1;
  const out = arcs.map(({ from, to }) => {
    const length = arcLength({ from, to });
    // Days since its beginning, in the year that has the arc in its middle.
    const spare = (DAYS - length) / 2;
    const since = wrapDay(day - from + 1 + Math.floor(spare)) - 1 - Math.floor(spare);
    return normalCdf(since / DATES_VARY) * normalCdf((length - since) / DATES_VARY);
  });
  return Math.min(
    1,
    out.reduce((sum, share) => sum + share, 0),
  );
}

/**
 * Is this part on the tree on this day? What the calendar does not record is taken as present: unknown is not absent.
 * Winter buds are set two months after leaf-out and gone for three weeks while the leaves unfold.
 */
export function partPresent(part: Part, calendar: Calendar, deciduous: boolean, day: number): boolean {
  switch (part) {
    case 'always':
      return true;
    case 'winter':
      return inArc(WINTER, day);
    case 'leaves': {
      const arcs = leafArcs(calendar, deciduous);
      return arcs ? within(arcs, day) : true;
    }
    case 'autumnLeaves':
      return calendar.autumnColor ? within(calendar.autumnColor, day) : deciduous && day >= 260 && day <= 295;
    case 'buds': {
      const arcs = leafArcs(calendar, deciduous);
      const start = arcs?.[0];
      if (!start || (start.from === 1 && start.to >= 365)) return true;
      return !inArc({ from: wrapDay(start.from + 8), to: wrapDay(start.from + 60) }, day);
    }
    case 'flowers':
      return calendar.flowers ? within(calendar.flowers, day) : true;
    case 'winterCatkins':
      return within(calendar.winterCatkins, day);
    case 'fruit':
      if (!calendar.fruitGreen && !calendar.fruitRipe && !calendar.fruitOld) return true;
      return (
        within(calendar.fruitGreen, day) || within(calendar.fruitRipe, day) || within(calendar.fruitOld, day)
      );
    case 'ripeFruit':
      if (!calendar.fruitRipe && !calendar.fruitOld) return true;
      return within(calendar.fruitRipe, day) || within(calendar.fruitOld, day);
  }
}
