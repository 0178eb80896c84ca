import { getTimes } from 'suncalc';
import type { Taxon } from '../taxon/index.ts';
import type { GroundFeature, GroundFeatures } from './features.ts';
import { metresBetween, onPlane, type LatLon } from './metres.ts';
import { orderWalk } from './order.ts';
import { footOf, Paths, type Route } from './paths.ts';
import { HAZARD_CARE, type GroundTree, type Hazard } from './tree.ts';
import type { Sentence } from '../words/index.ts';

/** What is wanted of a walk. */
export interface WalkWishes {
  treeIds: readonly string[];
  /** Minutes at each stop. */
  minutes: number;
  start: LatLon;
  end: LatLon;
  /** No steps, and firm ground at each tree. */
  stepFree: boolean;
  /** Trees that are like each other do not follow each other: for a quiz. */
  unlike: boolean;
  /** Stops in this order, as it was settled by hand; otherwise the shortest is sought. */
  asGiven: boolean;
  /** When it begins. */
  startsAt: Date;
}

export interface WalkStop {
  treeId: string;
  /** The way to it from the stop before, or from the start. */
  way: Route;
  /** Minutes after the beginning. */
  arrive: number;
  leave: number;
  /** At the tree and on the way to it. */
  hazards: Hazard[];
}

export interface PlannedWalk {
  stops: WalkStop[];
  /** The way from the last stop to the end. */
  home: Route;
  metres: number;
  minutes: number;
  up: number;
  down: number;
  steps: boolean;
  /** No shorter order is possible. */
  proved: boolean;
  sunrise: Date | null;
  sunset: Date | null;
  /** What somebody who plans it should know. */
  remarks: Sentence[];
}

/** Metres that a class walks in a minute: 3 km in an hour, and ten metres up a minute more (Naismith 1892). */
const PACE = 50;
const CLIMB = 10;
/** How near to the way something has to be to be minded, metres. */
const BESIDE = 8;
/** Metres of detour that unlike neighbours are worth. */
const SAME_TAXON = 200;
const SAME_GENUS = 80;
const SAME_FAMILY = 25;

/**
 * A walk to trees along the paths, in the shortest order, with its times, what it climbs, what is to be minded, and the daylight.
 *
 * @param trees those of the grounds; trees that are asked for and not among them are left out
 * @param taxa of which neighbours are kept unlike
 * @example
 * planWalk(trees, features, taxa, { ...wishes, treeIds: ['t1', 't2'] }).minutes; // 14.2
 */
export function planWalk(
  trees: readonly GroundTree[],
  features: GroundFeatures,
  taxa: readonly Pick<Taxon, 'id' | 'genus' | 'family'>[],
  wishes: WalkWishes,
): PlannedWalk {
  const asked = wishes.treeIds.flatMap((id) => trees.find((tree) => tree.id === id) ?? []);
  const visited = wishes.stepFree ? asked.filter(({ stepFree }) => stepFree) : asked;
  const paths = new Paths(features, { stepFree: wishes.stepFree });
  const taxonOf = (tree: GroundTree) => taxa.find(({ id }) => id === tree.taxonId);
  const between = visited.map((a, i) =>
    visited.map((b, j) =>
      i === j ? 0 : paths.route(a, b).metres + (wishes.unlike ? likeness(taxonOf(a), taxonOf(b)) : 0),
    ),
  );
  const { order, proved } = wishes.asGiven
    ? { order: visited.map((_, i) => i), proved: false }
    : orderWalk({
        between: symmetric(between),
        fromStart: visited.map((tree) => paths.route(wishes.start, tree).metres),
        toEnd: visited.map((tree) => paths.route(tree, wishes.end).metres),
      });
  const walked = along(
    order.map((i) => visited[i]!),
    paths,
    features,
    wishes,
  );
  const ways = [...walked.stops.map(({ way }) => way), walked.home];
  const sum = (of: (way: Route) => number) => ways.reduce((total, way) => total + of(way), 0);
  const { latitude, longitude } = wishes.start;
  const { sunrise, sunset } = getTimes(wishes.startsAt, latitude, longitude);
  const walk = {
    ...walked,
    metres: sum(({ metres }) => metres),
    up: sum(({ up }) => up),
    down: sum(({ down }) => down),
    steps: ways.some(({ steps }) => steps),
    proved,
    sunrise,
    sunset,
  };
  return { ...walk, remarks: remarksOf(walk, asked.length - visited.length, wishes, visited) };
}

/** The way is the same there and back; where rounding makes it differ the mean counts. */
const symmetric = (costs: readonly (readonly number[])[]): number[][] =>
  costs.map((row, i) => row.map((cost, j) => (cost + costs[j]![i]!) / 2));

type Named = Pick<Taxon, 'id' | 'genus' | 'family'> | undefined;
const likeness = (a: Named, b: Named): number => {
  if (!a || !b) return 0;
  if (a.id === b.id) return SAME_TAXON;
  if (a.genus === b.genus) return SAME_GENUS;
  return a.family === b.family ? SAME_FAMILY : 0;
};

const minutesOf = ({ metres, up }: Route): number => metres / PACE + up / CLIMB;

function along(
  visited: readonly GroundTree[],
  paths: Paths,
  features: GroundFeatures,
  { start, end, minutes }: WalkWishes,
): { stops: WalkStop[]; home: Route; minutes: number } {
  let at: LatLon = start;
  let clock = 0;
  const stops = visited.map((tree): WalkStop => {
    const way = paths.route(at, tree);
    const arrive = clock + minutesOf(way);
    clock = arrive + minutes;
    at = tree;
    return {
      treeId: tree.id,
      way,
      arrive,
      leave: clock,
      hazards: [...new Set([...hazardsAlong(way, features), ...tree.hazards])],
    };
  });
  const home = paths.route(at, end);
  return { stops, home, minutes: clock + minutesOf(home) };
}

/** What lies on or beside a way and is to be minded, each once. */
export function hazardsAlong(way: Route, { features }: GroundFeatures): Hazard[] {
  const minded = features.flatMap((feature): Hazard[] => {
    const hazard = hazardOf(feature);
    return hazard && nearest(way.line, feature) <= BESIDE ? [hazard] : [];
  });
  return [...new Set(minded)];
}

const hazardOf = ({ properties: { kind, hazard } }: GroundFeature): Hazard | undefined =>
  kind === 'road'
    ? 'road'
    : kind === 'water'
      ? 'water'
      : kind === 'hazard'
        ? (hazard ?? 'steep ground')
        : undefined;

/** Metres between a line and a feature at their nearest. */
function nearest(line: readonly LatLon[], { geometry }: GroundFeature): number {
  const origin = line[0]!;
  const way = line.map((place) => onPlane(place, origin));
  const given =
    geometry.type === 'Point'
      ? [geometry.coordinates]
      : geometry.type === 'LineString'
        ? geometry.coordinates
        : geometry.coordinates[0]!;
  const other = given.map(([longitude = 0, latitude = 0]) => onPlane({ latitude, longitude }, origin));
  const piecesOf = (points: typeof way) =>
    points.length === 1 ? [[points[0]!, points[0]!]] : points.slice(1).map((b, i) => [points[i]!, b]);
  let least = Infinity;
  for (const [a, b] of piecesOf(way))
    for (const [c, d] of piecesOf(other)) {
      if (crosses(a!, b!, c!, d!)) return 0;
      least = Math.min(
        least,
        footOf(a!, c!, d!).off,
        footOf(b!, c!, d!).off,
        footOf(c!, a!, b!).off,
        footOf(d!, a!, b!).off,
      );
    }
  return least;
}

interface Point {
  x: number;
  y: number;
}
const side = (a: Point, b: Point, p: Point): number =>
  Math.sign((b.x - a.x) * (p.y - a.y) - (b.y - a.y) * (p.x - a.x));
const crosses = (a: Point, b: Point, c: Point, d: Point): boolean =>
  side(a, b, c) * side(a, b, d) < 0 && side(c, d, a) * side(c, d, b) < 0;

function remarksOf(
  walk: Omit<PlannedWalk, 'remarks'>,
  leftOut: number,
  { stepFree, startsAt, start }: WalkWishes,
  visited: readonly GroundTree[],
): Sentence[] {
  const ends = new Date(startsAt.getTime() + walk.minutes * 60_000);
  const off = [...walk.stops.map(({ way }) => way), walk.home].filter(
    ({ straight, metres }) => straight && metres > 30,
  ).length;
  const far = visited.filter((tree) => metresBetween(tree, start) > 5000).length;
  return [
    ...(walk.sunset && ends > walk.sunset
      ? [
          {
            words: 'It ends after sunset, # minutes: begin earlier, or leave stops out.',
            put: [Math.round((ends.getTime() - walk.sunset.getTime()) / 60_000)],
          },
        ]
      : []),
    ...(walk.sunrise && startsAt < walk.sunrise ? [{ words: 'It begins before sunrise.' }] : []),
    ...(leftOut > 0
      ? [{ words: '# of the trees cannot be reached without steps, and are left out.', put: [leftOut] }]
      : []),
    ...(stepFree && walk.steps
      ? [{ words: 'There are steps on the way all the same: no path leads round them.' }]
      : []),
    ...(off > 0
      ? [
          off === 1
            ? { words: 'No path is drawn for one stretch: the distance there is a guess.' }
            : { words: 'No path is drawn for # stretches: the distance there is a guess.', put: [off] },
        ]
      : []),
    ...(far > 0
      ? [
          {
            words: '# of the trees stand more than 5 km from the start: they need a way of their own.',
            put: [far],
          },
        ]
      : []),
  ];
}

/** A time of the day so many minutes after another: `clockAfter('14:50', 25)` is “15:15”. */
export function clockAfter(begins: string, minutes: number): string {
  const [hour = 0, minute = 0] = begins.split(':').map(Number);
  const at = (hour * 60 + minute + Math.round(minutes)) % (24 * 60);
  return `${String(Math.floor(at / 60)).padStart(2, '0')}:${String(at % 60).padStart(2, '0')}`;
}

/** What is to be minded on a walk with the usual care, each once, in the order in which it comes. */
export const careOnTheWay = (
  stops: readonly Pick<WalkStop, 'hazards'>[],
): { hazard: Hazard; care: string; stops: number[] }[] => {
  const met = new Map<Hazard, number[]>();
  stops.forEach(({ hazards }, i) =>
    hazards.forEach((hazard) => met.set(hazard, [...(met.get(hazard) ?? []), i + 1])),
  );
  return [...met].map(([hazard, at]) => ({ hazard, care: HAZARD_CARE[hazard], stops: at }));
};

/** Lists that an instructor goes through before a walk, to begin with: they are changed to what holds where one is. */
const USUAL_CHECKLISTS: readonly { title: string; points: readonly string[] }[] = [
  {
    title: 'Go or no-go',
    points: [
      'Wind: no walk under trees in a gale or when limbs are coming down.',
      'Lightning: none heard in the last half hour.',
      'Smoke: the air is fit to walk in, and no fire is near.',
      'Heat or cold: water, shade or layers for everybody.',
      'Daylight to the end of the walk.',
    ],
  },
  {
    title: 'Before you leave',
    points: [
      'Roll called; who is absent is written down.',
      'Adults for each group of young people, as your own rules ask.',
      'Consent forms and medicines are along.',
      'Eye protection and gloves for those who cut.',
      'Nobody climbs. Nobody tastes.',
      'Leave of the land manager for this day.',
    ],
  },
  { title: 'When you are back', points: ['Roll called again.', 'Tick check.', 'Tools wiped and counted.'] },
];
/** The usual lists with nothing ticked, as a new walk begins with them; `say` finds their words in another language. */
export const freshChecklists = (
  say: (words: string) => string = (words) => words,
): { title: string; points: { words: string; done: boolean }[] }[] =>
  USUAL_CHECKLISTS.map(({ title, points }) => ({
    title: say(title),
    points: points.map((words) => ({ words: say(words), done: false })),
  }));
/** Who decides, said under each list. */
export const WHO_DECIDES =
  'Local rules, the land manager and licensed people decide; this list only reminds.';
