import { arcLength, inArc, wrapDay, type Arc } from './arc.ts';
import { CALENDAR_PARTS, CALENDAR_TITLES, type Calendar, type CalendarPart } from './calendar.ts';
import { arcsAsText } from './parse.ts';

export interface CalendarProblem {
  part: CalendarPart;
  message: string;
  repair?: { label: string; arcs: Arc[] };
}

/** Months in which a part may be on a temperate tree of the northern hemisphere; the southern one is half a year off. */
const NORTHERN: Partial<Record<CalendarPart, Arc>> = {
  leaves: { from: 32, to: 345 },
  autumnColor: { from: 182, to: 350 },
  leafFall: { from: 182, to: 366 },
};

/** Parts of which the second cannot be over before the first begins. */
const BEFORE: [CalendarPart, CalendarPart][] = [
  ['leaves', 'autumnColor'],
  ['leaves', 'leafFall'],
  ['flowers', 'fruitGreen'],
  ['flowers', 'fruitRipe'],
  ['fruitGreen', 'fruitRipe'],
];

/**
 * Looks over a calendar recorded at a latitude (degrees): parts of the wrong hemisphere, ends the wrong way round, and parts
 * out of order. Evergreens and arcs over most of the year are left alone.
 */
export function checkCalendar(calendar: Calendar, latitude: number): CalendarProblem[] {
  const problems: CalendarProblem[] = [];
  for (const part of CALENDAR_PARTS) {
    const arcs = calendar[part] ?? [];
    const season = NORTHERN[part];
    const repaired = arcs.map((arc) => {
      if (!season || arcLength(arc) > 300) return arc;
      const within = latitude >= 0 ? season : shifted(season, 182);
      const turned = { from: arc.to, to: arc.from };
      if (holds(within, arc)) return arc;
      if (arcLength(arc) > 182 && holds(within, turned)) return turned;
      const half = shifted(arc, 182);
      return holds(within, half) ? half : arc;
    });
    if (arcsAsText(repaired) === arcsAsText(arcs)) continue;
    const written = arcsAsText(repaired);
    problems.push({
      part,
      message: `${capital(CALENDAR_TITLES[part])} at ${arcsAsText(arcs)} does not fit ${latitude >= 0 ? 'north' : 'south'} of the equator. Did you mean ${written}?`,
      repair: { label: `Take ${written}`, arcs: repaired },
    });
  }
  for (const [first, second] of BEFORE) {
    const [a, b] = [calendar[first]?.[0], calendar[second]?.[0]];
    if (!a || !b || arcLength(a) > 300 || problems.some(({ part }) => part === first || part === second))
      continue;
    // The later part may begin any time from the start of the earlier one; years of ripening are beyond one calendar.
    if (arcLength({ from: a.from, to: b.from }) <= 300) continue;
    problems.push({
      part: second,
      message: `${capital(CALENDAR_TITLES[second])} begins at ${arcsAsText([b])}, before ${CALENDAR_TITLES[first]} at ${arcsAsText([a])}. Are the two swapped?`,
      repair: { label: `Take ${arcsAsText([a])}`, arcs: [a] },
    });
  }
  return problems;
}

const shifted = (arc: Arc, days: number): Arc => ({
  from: wrapDay(arc.from + days),
  to: wrapDay(arc.to + days),
});

/** Does the first arc hold all of the second? */
function holds(outer: Arc, inner: Arc): boolean {
  if (!inArc(outer, inner.from) || !inArc(outer, inner.to)) return false;
  const lead = arcLength({ from: outer.from, to: inner.from });
  return lead + arcLength(inner) - 1 <= arcLength(outer);
}

const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1);
