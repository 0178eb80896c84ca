import type { Part } from '../vocabulary/index.ts';
import { inArc, wrapDay, type Arc } from './arc.ts';
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
