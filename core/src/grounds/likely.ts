import { normalCdf } from '../random/index.ts';
import {
  arcLength,
  dayOfYear,
  DAYS,
  inArc,
  leafArcs,
  wrapDay,
  type Arc,
  type Calendar,
} from '../season/index.ts';
import type { ObservedPart, TreeObservation } from './tree.ts';

/** How likely a part is on a tree on a day, and by what that is known. */
export interface Likely {
  /** 0–1. */
  share: number;
  /** Its own observations of this season, the calendar as it was corrected by those of others, or the calendar alone. */
  by: 'seen' | 'corrected' | 'calendar' | 'unknown';
  /** It was looked for within ten days and is not there: nothing is offered on the strength of a calendar then. */
  ruledOut: boolean;
}

/** What is known of a part of one tree. */
export interface LikelyAsked {
  part: ObservedPart;
  /** Of the taxon, shifted to where the tree stands. */
  calendar: Calendar;
  deciduous: boolean;
  /** ISO date. */
  day: string;
  /** Observations of this tree. */
  own: readonly TreeObservation[];
  /** Observations of other trees of its taxon on these grounds, of all years. */
  others: readonly TreeObservation[];
}

/** Days by which one tree in one year is before or after its taxon here, and by which a taxon here is before or after its calendar (sd). */
const TREE_VARIES = 8;
const SITE_VARIES = 7;
/** Of trees that could, those that bear nothing in a year. */
const BARREN: Partial<Record<ObservedPart, number>> = { flowers: 0.1, fruit: 0.12, ripeFruit: 0.12 };
/** Somebody looks and does not see it, or at another tree: no observation is surer. */
const MISTAKEN = 0.02;
const FRESH_DAYS = 10;
/** Days for which leaves fall before a tree is bare, and for which they lie whole. */
const FALLING = 14;
const LYING = 30;
/** Days about an end that are gone through. */
const REACH = Array.from({ length: 41 }, (_, i) => 2 * (i - 20));

/**
 * How likely a part is there: each end of its season is a normal distribution about the calendar, moved by what was seen of the taxon
 * here in all years, and cut to what was seen of this tree this season.
 *
 * @example
 * likelyThere({ part: 'leaves', calendar: { leaves: [{ from: 120, to: 288 }] }, deciduous: true, day: '2026-10-15', own: [], others: [] }).share; // 0.5
 */
export function likelyThere({ part, calendar, deciduous, day, own, others }: LikelyAsked): Likely {
  const mine = own.filter((each) => each.part === part && each.day <= day);
  const last = mine.reduce<TreeObservation | undefined>((a, b) => (a && a.day > b.day ? a : b), undefined);
  const ruledOut = last !== undefined && !last.there && daysBetween(last.day, day) <= FRESH_DAYS;
  const arcs = arcsOf(part, calendar, deciduous);
  const sight = byLastSight(last, day);
  const bySight = sight === undefined ? undefined : { share: sight, by: 'seen' as const, ruledOut };
  if (!arcs) return bySight ?? { share: 0.5, by: 'unknown', ruledOut };
  if (arcs.length === 0) return bySight ?? { share: 0, by: 'calendar', ruledOut };
  if (arcs.some((arc) => arcLength(arc) >= DAYS - 1))
    return bySight ?? { share: 1, by: 'calendar', ruledOut };
  const season = nearestSeason(arcs, dayOfYear(day));
  const place = (date: string) => season.at + dayDifference(dayOfYear(date), dayOfYear(day));
  const told = others
    .filter((each) => each.part === part)
    .map((each) => ({ at: place(each.day), there: each.there }));
  const begins = moved(season.from, told, 'begin', season.to);
  const ends = moved(season.to, told, 'end', season.from);
  const thisSeason = mine
    .filter((each) => daysBetween(each.day, day) < DAYS / 2)
    .map((each) => ({ at: season.at - daysBetween(each.day, day), there: each.there }));
  const share = cut(season, begins, ends, thisSeason, BARREN[part] ?? 0) ?? sight ?? 0;
  return { share, by: thisSeason.length > 0 ? 'seen' : told.length > 0 ? 'corrected' : 'calendar', ruledOut };
}

const DAY = 24 * 3600_000;
const daysBetween = (from: string, to: string): number =>
  Math.round((Date.parse(to) - Date.parse(from)) / DAY);
/** Days from one day of the year to another, the shorter way round. */
const dayDifference = (a: number, b: number): number =>
  ((a - b + DAYS + Math.floor(DAYS / 2)) % DAYS) - Math.floor(DAYS / 2);

function byLastSight(last: TreeObservation | undefined, day: string): number | undefined {
  if (!last || daysBetween(last.day, day) > 60) return undefined;
  return last.there ? 0.9 : 0.05;
}

/** When a part is there by the calendar; undefined where it does not say, none where it says never. */
function arcsOf(part: ObservedPart, calendar: Calendar, deciduous: boolean): Arc[] | undefined {
  const { autumnColor, leafFall, flowers, fruitGreen, fruitRipe, fruitOld } = calendar;
  switch (part) {
    case 'leaves':
      return leafArcs(calendar, deciduous) ?? [{ from: 1, to: DAYS }];
    case 'autumnColor':
      return autumnColor ?? (deciduous ? undefined : []);
    case 'fallenLeaves':
      return deciduous ? leafArcs(calendar, deciduous)?.map(beneath(leafFall)) : undefined;
    case 'flowers':
      return flowers;
    case 'fruit':
      return together([fruitGreen, fruitRipe, fruitOld]);
    case 'ripeFruit':
      return together([fruitRipe]);
    case 'fallen':
      return together([fruitRipe, fruitOld]);
  }
}

/** Leaves lie under a tree from its leaf fall on, or from two weeks before it is bare, and can be picked up for some weeks after. */
const beneath =
  (leafFall: Arc[] | undefined) =>
  ({ to }: Arc): Arc => ({
    from: leafFall?.[0]?.from ?? wrapDay(to - FALLING),
    to: wrapDay((leafFall?.at(-1)?.to ?? to) + LYING),
  });

/** Arcs as one set, those that meet or all but meet joined. */
function together(lists: readonly (Arc[] | undefined)[]): Arc[] | undefined {
  if (lists.every((list) => !list)) return undefined;
  const arcs = lists.flatMap((list) => list ?? []);
  const isIn = Array.from({ length: DAYS }, (_, i) => arcs.some((arc) => inArc(arc, i + 1)));
  if (isIn.every(Boolean)) return [{ from: 1, to: DAYS }];
  const joined: Arc[] = [];
  for (let i = 0; i < DAYS; i += 1) {
    if (!isIn[i] || isIn[(i + DAYS - 1) % DAYS]) continue;
    let length = 1;
    while (isIn[(i + length) % DAYS]) length += 1;
    joined.push({ from: i + 1, to: wrapDay(i + length) });
  }
  return joined;
}

/** A season in days from its middle, and where the day asked for lies in it. */
interface Season {
  from: number;
  to: number;
  at: number;
}

function nearestSeason(arcs: readonly Arc[], day: number): Season {
  const seasons = arcs.map((arc) => {
    const half = (arcLength(arc) - 1) / 2;
    return { from: -half, to: half, at: dayDifference(day, wrapDay(Math.round(arc.from + half))) };
  });
  const beyond = ({ from, to, at }: Season) => Math.max(0, from - at, at - to);
  return seasons.reduce((best, each) => (beyond(each) < beyond(best) ? each : best));
}

/** Weights of `REACH` about an end of the season, for one tree here: the calendar moved by what was seen of others, and spread as trees are. */
function moved(
  end: number,
  told: readonly { at: number; there: boolean }[],
  which: 'begin' | 'end',
  otherEnd: number,
): number[] {
  const shifts = Array.from({ length: 15 }, (_, i) => 3 * (i - 7));
  const weight = shifts.map((shift) => {
    const fits = told.reduce((product, { at, there }) => {
      const open =
        which === 'begin'
          ? normalCdf((at - end - shift) / TREE_VARIES)
          : normalCdf((end + shift - at) / TREE_VARIES);
      // Of what lies beyond the other end this one says nothing.
      const isOther = which === 'begin' ? at > otherEnd - TREE_VARIES : at < otherEnd + TREE_VARIES;
      const share = isOther ? 0.5 : MISTAKEN + (1 - 2 * MISTAKEN) * open;
      return product * (there ? share : 1 - share);
    }, 1);
    return fits * Math.exp(-(shift ** 2) / 2 / SITE_VARIES ** 2);
  });
  const total = weight.reduce((sum, each) => sum + each, 0) || 1;
  const spread = REACH.map((by) =>
    shifts.reduce(
      (sum, shift, i) => sum + (weight[i]! / total) * Math.exp(-((by - shift) ** 2) / 2 / TREE_VARIES ** 2),
      0,
    ),
  );
  const all = spread.reduce((sum, each) => sum + each, 0);
  return spread.map((each) => each / all);
}

/** Share of all pairs of ends that fit what was seen of the tree in which the part is there on the day; undefined where none fits. */
function cut(
  { from, to, at }: Season,
  begins: readonly number[],
  ends: readonly number[],
  seen: readonly { at: number; there: boolean }[],
  barren: number,
): number | undefined {
  const opens = (b: number, when: number) => when >= from + b - 0.5;
  const closes = (e: number, when: number) => when <= to + e + 0.5;
  if (seen.length === 0) {
    const open = begins.reduce((sum, weight, i) => sum + (opens(REACH[i]!, at) ? weight : 0), 0);
    const notYetClosed = ends.reduce((sum, weight, j) => sum + (closes(REACH[j]!, at) ? weight : 0), 0);
    return (1 - barren) * open * notYetClosed;
  }
  let [there, all] = [0, 0];
  REACH.forEach((b, i) =>
    REACH.forEach((e, j) => {
      const isOpen = (when: number) => opens(b, when) && closes(e, when);
      if (seen.some((each) => isOpen(each.at) !== each.there)) return;
      const weight = (1 - barren) * begins[i]! * ends[j]!;
      all += weight;
      if (isOpen(at)) there += weight;
    }),
  );
  if (seen.every((each) => !each.there)) all += barren;
  return all > 1e-9 ? there / all : undefined;
}
