import { plural, t } from '@lingui/core/macro';
import type { WholeGrounds } from '@hurrow/contract/grounds';
import type { CourseSet } from '@hurrow/contract/courses';
import type { Walk, WalkBody } from '@hurrow/contract/outings';
import { climbInWords, wayInWords } from '@hurrow/core/field';
import {
  freshChecklists,
  type GroundTree,
  type LatLon,
  type PlannedWalk,
  type WalkWishes,
} from '@hurrow/core/grounds';
import type { UnitSystem } from '@hurrow/core/score';
import { momentOf } from './days.ts';
import { inField } from '../language/inField.ts';

/** Where a walk begins where nothing is said: at the meeting point, or at the place of the grounds. */
export function usualStart({
  features,
  latitude,
  longitude,
}: Pick<WholeGrounds, 'features' | 'latitude' | 'longitude'>): LatLon {
  const meeting = features.features.find(({ properties }) => properties.kind === 'meeting')?.geometry;
  if (meeting?.type !== 'Point') return { latitude, longitude };
  const [lon = longitude, lat = latitude] = meeting.coordinates;
  return { latitude: lat, longitude: lon };
}

/** Places of the grounds at which a walk can begin or end: meeting points, and where the grounds are. */
export function endsOfWalks(
  whole: Pick<WholeGrounds, 'features' | 'name' | 'latitude' | 'longitude'>,
): { title: string; at: LatLon }[] {
  const meeting = whole.features.features.flatMap(({ geometry, properties }) => {
    const [longitude, latitude] = geometry.type === 'Point' ? geometry.coordinates : [];
    return properties.kind === 'meeting' && longitude !== undefined && latitude !== undefined
      ? [{ title: properties.name || t`meeting point`, at: { latitude, longitude } }]
      : [];
  });
  return [
    ...meeting,
    { title: t`middle of ${whole.name}`, at: { latitude: whole.latitude, longitude: whole.longitude } },
  ];
}

/** Which of the places is meant by coordinates, by its number; a place of one's own is none. */
export const placeOfEnd = (ends: readonly { at: LatLon }[], { latitude, longitude }: LatLon): number =>
  ends.findIndex(({ at }) => at.latitude === latitude && at.longitude === longitude);

/** What a walk can be for: a set, a quiz that is planned, a pair that the class mixes up. */
export interface WalkAim {
  id: string;
  title: string;
  taxa: readonly string[];
}

/** What a walk can be for, lessons first. */
export const walkAims = (
  sets: readonly Pick<CourseSet, 'id' | 'title' | 'taxa'>[],
  quiz: { title: string; taxa: readonly string[] } | undefined,
  pairs: readonly { a: string; b: string }[],
  nameOf: (taxonId: string) => string,
): WalkAim[] => [
  ...sets.filter(({ taxa }) => taxa.length > 0).map(({ id, title, taxa }) => ({ id, title, taxa })),
  ...(quiz && quiz.taxa.length > 0
    ? [{ id: 'quiz', title: t`the quiz “${quiz.title}”`, taxa: [...new Set(quiz.taxa)] }]
    : []),
  ...pairs.map(({ a, b }) => ({
    id: `${a} ${b}`,
    title: t`${nameOf(a)} and ${nameOf(b)}, which they mix up`,
    taxa: [a, b],
  })),
];

/** A walk that is to be planned: to these trees, on a day, with the usual lists to go through. */
export function newWalk(
  whole: WholeGrounds,
  name: string,
  day: string,
  treeIds: readonly string[],
): WalkBody {
  const start = usualStart(whole);
  return {
    groundsId: whole.id,
    name,
    day,
    begins: '14:00',
    beginsAt: momentOf(day, '14:00').getTime(),
    treeIds: [...treeIds],
    minutes: 4,
    stepFree: false,
    unlike: false,
    start,
    end: start,
    checklists: freshChecklists(inField),
  };
}

/** What the core is asked for: the order that is kept, or the shortest. */
export const wishesOfWalk = (walk: WalkBody, asGiven: boolean): WalkWishes => ({
  ...walk,
  asGiven,
  startsAt: new Date(walk.beginsAt),
});

/** A walk with another time: the moment goes with the clock. */
export const timed = <W extends WalkBody>(walk: W, change: { day?: string; begins?: string }): W => {
  const next = { ...walk, ...change };
  return { ...next, beginsAt: momentOf(next.day, next.begins).getTime() };
};

/**
 * Trees by which a set is shown: of each species the one that can be reached and is confirmed, the nearest to the start of those.
 */
export function treesForSet(
  { taxa }: { taxa: readonly string[] },
  trees: readonly GroundTree[],
  metresTo: (tree: GroundTree) => number,
): string[] {
  return taxa.flatMap((taxonId) => {
    const own = trees.filter((tree) => tree.taxonId === taxonId);
    const worth = (tree: GroundTree) =>
      metresTo(tree) +
      (tree.confirmedBy ? 0 : 500) +
      (tree.reach.leaf === 'hand' || !tree.reach.leaf ? 0 : 200);
    return own
      .toSorted((a, b) => worth(a) - worth(b))
      .slice(0, 1)
      .map(({ id }) => id);
  });
}

/** A stop moved by one place. */
export function moved(ids: readonly string[], at: number, by: -1 | 1): string[] {
  const to = at + by;
  if (to < 0 || to >= ids.length) return [...ids];
  const next = [...ids];
  [next[at], next[to]] = [next[to]!, next[at]!];
  return next;
}

/** “8 stops, 1.2 km and 45 m up, about 50 minutes”. */
export function walkInWords(
  { stops, metres, minutes, up, steps, proved }: PlannedWalk,
  units: UnitSystem = 'metric',
): string {
  const far = wayInWords(metres, units);
  const climb = up >= 5 ? t` and ${climbInWords(up, units)} up` : '';
  const order = proved ? t`; no shorter order is possible` : '';
  return t`${plural(stops.length, { one: 'One stop', other: '# stops' })}, ${far}${climb}${steps ? t`, with steps` : ''}, about ${Math.round(minutes)} minutes${order}.`;
}

/** Walks with those that are still ahead first, the next one on top. */
export const walksByDay = (walks: readonly Walk[], today: string): Walk[] => [
  ...walks.filter(({ day }) => day >= today).toSorted((a, b) => a.day.localeCompare(b.day)),
  ...walks.filter(({ day }) => day < today).toSorted((a, b) => b.day.localeCompare(a.day)),
];

/** The whole line that is walked, stop after stop. */
export const lineOf = ({ stops, home }: Pick<PlannedWalk, 'stops' | 'home'>): LatLon[] =>
  stops.length === 0 ? [] : [...stops.map(({ way }) => way), home].flatMap(({ line }) => line);
