import { plural, t } from '@lingui/core/macro';
import {
  askedKindOf,
  askedWentBy,
  kindOf,
  STATION_KINDS,
  usualWishes,
  type AskedKind,
  type AssembledQuiz,
  type Candidate,
  type ClassSoFar,
  type NotPossible,
  type QuizWishes,
  type StationKind,
} from '@hurrow/core/assembly';
import type { Repair } from '@hurrow/core/station';
import { weekOf } from '@hurrow/core/term';
import { SHOWN_TITLES, type Aid } from '@hurrow/core/view';
import type { CourseSet } from '@hurrow/contract/courses';
import { anotherSeed, type Planned } from './planned.ts';
import { whyNotShown } from './gaveUp.ts';
import { inTongue } from '../language/inTongue.ts';
import { listInWords } from '../language/inWords.ts';

/** What an instructor says of the quiz that is to be proposed: the wishes are made of it. */
export interface Wanted {
  stations: number;
  /** Ids of the sets that are examined. */
  sets: string[];
  /** Kinds of station, the one wanted most first. */
  kinds: string[];
  /** How many stations ask for something else than a written name. */
  asked: Partial<Record<AskedKind, number>>;
  fair: number;
  /** Between these the expected share of right answers lies, 0–1. */
  expected: readonly [number, number];
  toLearn: number;
  /** At least so many of pairs that are mixed up. */
  mixedUp: number;
  /** Among them at least so many of trees that were examined before; as many as it comes where it is not said. */
  again: number;
}

/** What is usually wanted: ten stations of what has been taught by the day. */
export function usuallyWanted(
  sets: readonly CourseSet[],
  { startsOn, heldOn }: { startsOn: string; heldOn: string },
  stations = 10,
): Wanted {
  const week = weekOf(startsOn, heldOn);
  const taught = sets.filter((set) => set.taxa.length > 0 && (set.week ?? 1) <= week);
  const of = taught.length > 0 ? taught : sets.filter((set) => set.taxa.length > 0);
  return {
    stations,
    sets: of.map(({ id }) => id),
    kinds: ['cutting', 'bareTwig', 'leafFruit', 'fruit', 'tree'],
    asked: {},
    fair: 0.9,
    expected: [0, 1],
    toLearn: 0.3,
    mixedUp: 0,
    again: 0,
  };
}

/** The wishes that are sent, with what of the plan is settled. */
export function wishesOf(
  wanted: Wanted,
  sets: readonly CourseSet[],
  pins: readonly string[],
  bans: readonly string[],
): QuizWishes {
  const usual = usualWishes(
    wanted.stations,
    sets.filter(({ id }) => wanted.sets.includes(id)),
  );
  const most = { least: 0, most: wanted.stations };
  return {
    ...usual,
    kinds: Object.fromEntries(wanted.kinds.map((id) => [id, usual.kinds[id] ?? most])),
    asked: askedOf(wanted),
    again: { least: Math.min(wanted.again, wanted.stations), most: wanted.stations },
    mixedUp: Math.min(wanted.mixedUp, wanted.stations),
    fair: wanted.fair,
    expected: wanted.expected,
    toLearn: wanted.toLearn,
    pins: [...pins],
    bans: [...bans],
  };
}

/** As many of each thing as is wanted, the first wanted first, and the name at all the others. */
function askedOf({ asked, stations }: Pick<Wanted, 'asked' | 'stations'>): NonNullable<QuizWishes['asked']> {
  let left = stations;
  const counts = Object.entries(asked).flatMap(([kind, wanted]) => {
    const count = Math.min(wanted, left);
    left -= count;
    return count > 0 ? [[kind, { least: count, most: count }] as const] : [];
  });
  return { name: { least: 0, most: stations }, ...Object.fromEntries(counts) };
}

/** Kinds of station with one more or one less; at least one is left. */
export const withKind = (kinds: readonly string[], id: string): string[] => {
  if (!kinds.includes(id))
    return STATION_KINDS.map((kind) => kind.id).filter((each) => each === id || kinds.includes(each));
  return kinds.length > 1 ? kinds.filter((each) => each !== id) : [...kinds];
};

/** The kind of station that a planned one is; undefined where its view was changed by hand. */
export const kindOfPlanned = ({ medium, view }: Pick<Planned, 'medium' | 'view'>): StationKind | undefined =>
  STATION_KINDS.find(
    (kind) =>
      kind.medium === medium &&
      kind.leaves === view.leaves &&
      // Of a living tree is shown what it carries on the day.
      (kind.organs.includes('habit') ? view.organs.includes('habit') : sameOrgans(kind.organs, view.organs)),
  );

const sameOrgans = (a: readonly string[], b: readonly string[]): boolean =>
  a.length === b.length && a.every((organ) => b.includes(organ));

/** The candidate that a planned station is, as `abies-grandis cutting` or `abies-grandis cutting genus`. */
export const candidateOf = (station: Planned): string | undefined => {
  const kind = kindOfPlanned(station);
  if (!kind) return undefined;
  const asked = station.question?.kind ?? (station.choose ? 'choose' : undefined);
  return [station.taxonId, kind.id, ...(asked ? [asked] : [])].join(' ');
};

/**
 * What candidates ask besides the name, counted.
 *
 * @example
 * askedBy(['abies-grandis cutting', 'acer-glabrum cutting genus']); // { genus: 1 }
 */
export function askedBy(ids: readonly string[]): Wanted['asked'] {
  const counts: Wanted['asked'] = {};
  for (const id of ids) {
    const kind = id.split(' ')[2] as AskedKind | undefined;
    if (kind) counts[kind] = (counts[kind] ?? 0) + 1;
  }
  return counts;
}

/** A candidate as a station of a plan. */
export const plannedOf = ({ taxonId, kind, view, question, choose }: Candidate): Planned => ({
  taxonId,
  medium: kindOf(kind)!.medium,
  view,
  ...(question ? { question } : {}),
  ...(choose ? { choose } : {}),
  seed: anotherSeed(),
});

/**
 * Stations that stay whatever is proposed: those that were added or changed by hand since the last proposal. Before the first nothing stays but what
 * is kept expressly.
 *
 * @param proposedSeeds of the individuals that the last proposal brought
 */
export const madeByHand = (
  stations: readonly Planned[],
  proposedSeeds: ReadonlySet<number> | undefined,
): Planned[] =>
  proposedSeeds === undefined
    ? []
    : stations.filter((station) => !proposedSeeds.has(station.seed) || candidateOf(station) === undefined);

/** A proposed quiz as a plan; stations that stand already keep what was asked and drawn there. */
export function planOf(
  { stations }: AssembledQuiz,
  before: readonly Planned[],
  so: Pick<ClassSoFar, 'doubtful'>,
  toLearn = 0,
): Planned[] {
  const kept = new Map(before.flatMap((station) => [[candidateOf(station), station] as const]));
  const asking = askedWentBy(stations, so, toLearn);
  return stations.map((each, i) => kept.get(each.id) ?? { ...plannedOf(each), wentBy: asking[i]! });
}

/** What could stand in the place of a station, the best first: of its set before others, fair before strained, not in the quiz already. */
export function alternativesFor(
  station: Planned,
  stations: readonly Planned[],
  { candidates, so, wanted }: { candidates: readonly Candidate[]; so: ClassSoFar; wanted: Wanted },
): Candidate[] {
  const setOf = (id: string) => so.sets.find(({ taxa }) => taxa.includes(id))?.id;
  const others = stations.filter((each) => each !== station).map(({ taxonId }) => taxonId);
  const here = candidateOf(station);
  const { question = null, choose = false } = station;
  const asks = { ...(question ? { question } : {}), ...(choose ? { choose } : {}) };
  const worth = (each: Candidate) =>
    (each.taxonId === station.taxonId ? 2 : 0) +
    (setOf(each.taxonId) === setOf(station.taxonId) ? 1 : 0) +
    (so.answered[each.taxonId] ? 0 : 0.5) +
    each.right;
  return candidates
    .filter(
      (each) =>
        each.id !== here &&
        askedKindOf(each) === askedKindOf(asks) &&
        !others.includes(each.taxonId) &&
        each.right >= wanted.fair &&
        wanted.sets.includes(setOf(each.taxonId) ?? ''),
    )
    .sort((x, y) => worth(y) - worth(x))
    .slice(0, 6);
}

/** What kept trees from being shown, counted by kind of station and reason: “3 cuttings with leaves are mostly bare that day”. */
export function keptOut(notPossible: Readonly<Record<string, NotPossible>>): string[] {
  const counts = new Map<string, number>();
  for (const [id, why] of Object.entries(notPossible)) {
    const key = `${id.split(' ')[1]!} ${why}`;
    counts.set(key, (counts.get(key) ?? 0) + 1);
  }
  return [...counts].map(([key, n]) => {
    const [kind, ...why] = key.split(' ');
    const trees = plural(n, { one: 'one tree', other: '# trees' });
    return `${inTongue(kindOf(kind!)!.title)}: ${trees} ${whyNotShown(why.join(' ') as NotPossible, n)}`;
  });
}

/** What the plan's stations are judged as, place by place; undefined where it is not known yet. */
export interface Judged {
  right: number;
  beginner: number;
  rivals: { taxonId: string; share: number }[];
}

/** “97 of 100 careful readers can tell it; else limber pine.”; where the name is not asked, how many can answer. */
export function fairInWords(
  { right, rivals }: Judged,
  nameOf: (id: string) => string,
  isNamed = true,
): string {
  const of = Math.round(100 * right);
  const [rival] = rivals;
  const can = isNamed ? t`can tell it` : t`can answer it`;
  if (of >= 100) return t`Every careful reader ${can}.`;
  const else_ = rival && rival.share >= 0.005 ? t`; else ${nameOf(rival.taxonId)}` : '';
  return t`${of} of 100 careful readers ${can}${else_}.`;
}

/** What a repair adds, as it is offered: “Add the fruit or cones”. */
export const repairInWords = (repair: Repair): string =>
  repair.adds === 'organs'
    ? t`Add the ${listInWords(repair.organs.map((organ) => inTongue(SHOWN_TITLES[organ])))}`
    : AID_WORDS[repair.aid];

const AID_WORDS: Record<Aid, string> = {
  eye: t`Let them look`,
  touch: t`Let them touch it`,
  smell: t`Let them smell it`,
  lens: t`Lay a lens beside it`,
  rule: t`Lay a rule beside it`,
  binoculars: t`Give them binoculars`,
  cut: t`Cut it open`,
};
