import { t } from '@lingui/core/macro';
import type { Prospects, TermPlan } from '@hurrow/core/term';
import { moved } from '../app/moved.ts';
import type { Draft } from './gathered.ts';

/** The week of each species that stands in a week. */
export const planOf = (sets: readonly Draft[]): TermPlan =>
  Object.fromEntries(sets.flatMap(({ week, taxa }) => (week === null ? [] : taxa.map((id) => [id, week]))));

/** The sets of one week, with their places in the list; of no week for null. */
export const setsIn = (sets: readonly Draft[], week: number | null): { set: Draft; at: number }[] =>
  sets.flatMap((set, at) => (set.week === week ? [{ set, at }] : []));

/**
 * A species put into a week: into the last set of that week, or a new one where there is none. What it is taken from stays, unless it was
 * the last of a set that has no lesson to keep; the list stays in the order of its weeks.
 */
export function movedTo(sets: readonly Draft[], taxonId: string, week: number, title: string): Draft[] {
  const without = sets
    .map((set) => ({ ...set, taxa: set.taxa.filter((id) => id !== taxonId) }))
    .filter((set, i) => set.taxa.length > 0 || set.id !== undefined || sets[i]!.taxa.length === 0);
  const target = without.findLastIndex((set) => set.week === week);
  if (target >= 0)
    return without.map((set, i) => (i === target ? { ...set, taxa: [...set.taxa, taxonId] } : set));
  return byWeek([...without, { title, week, taxa: [taxonId] }]);
}

/** A species moved by a week or more, not beyond the term; one that stands in no week yet goes into the first. */
export function shifted(
  sets: readonly Draft[],
  taxonId: string,
  by: number,
  weeks: number,
  title: string,
): Draft[] {
  const week = sets.find((set) => set.taxa.includes(taxonId))?.week ?? 1 - by;
  const to = Math.min(weeks, Math.max(1, week + by));
  return to === week ? [...sets] : movedTo(sets, taxonId, to, title);
}

/** A species moved within its set. */
export const reordered = (sets: readonly Draft[], taxonId: string, by: 1 | -1): Draft[] =>
  sets.map((set) => {
    const at = set.taxa.indexOf(taxonId);
    return at < 0 ? set : { ...set, taxa: moved(set.taxa, at, by) };
  });

const byWeek = (sets: readonly Draft[]): Draft[] =>
  [...sets].sort((x, y) => (x.week ?? Infinity) - (y.week ?? Infinity));

/**
 * The sets of a proposed plan, a set a week. A set that is stored goes on as the one it shares most species with, with its title unless
 * hardly any of it is left, so that its lesson stays.
 *
 * @param order of all species, in which those of a set stand
 */
export function setsOfPlan(
  plan: TermPlan,
  before: readonly Draft[],
  order: readonly string[],
  titleOf: (taxa: readonly string[]) => string,
): Draft[] {
  const weeks = [...new Set(Object.values(plan))].sort((x, y) => x - y);
  const free = new Set(before);
  const taken = weeks.map((week) => order.filter((id) => plan[id] === week));
  return taken.map((taxa, i) => {
    const [nearest] = [...free]
      .map((set) => ({ set, shared: set.taxa.filter((id) => taxa.includes(id)).length }))
      .sort((x, y) => y.shared - x.shared);
    const kept = nearest && nearest.shared > 0 ? nearest : undefined;
    if (kept) free.delete(kept.set);
    const isSame = kept && kept.shared * 2 > Math.max(taxa.length, kept.set.taxa.length);
    return {
      ...(kept?.set.id ? { id: kept.set.id } : {}),
      title: isSame ? kept.set.title : titleOf(taxa),
      week: weeks[i]!,
      taxa,
    };
  });
}

/** “western larch” is a larch, “Douglas-fir” a Douglas-fir. */
const groupOf = (commonName: string): string => commonName.split(' ').at(-1)!;

const plural = (word: string): string =>
  /(s|x|ch|sh)$/.test(word) ? `${word}es` : /[^aeiou]y$/.test(word) ? `${word.slice(0, -1)}ies` : `${word}s`;

/** So many groups are named in a title. */
const NAMED = 3;

/** A title from what is in a set: “Larches, spruce and maple”. The larger groups first. */
export function titleFrom(commonNames: readonly string[]): string {
  const counts = new Map<string, number>();
  for (const name of commonNames) counts.set(groupOf(name), (counts.get(groupOf(name)) ?? 0) + 1);
  const groups = [...counts]
    .sort((x, y) => y[1] - x[1])
    .map(([word, count]) => (count > 1 ? plural(word) : word));
  const shown = groups.length > NAMED ? [...groups.slice(0, NAMED - 1), 'others'] : groups;
  const text = shown.length < 2 ? shown.join('') : t`${shown.slice(0, -1).join(', ')} and ${shown.at(-1)!}`;
  return text.charAt(0).toUpperCase() + text.slice(1);
}

/** Where plates and arcs lie on the board, in pixels. */
export const BOARD = { column: 116, plate: 88, gap: 6, head: 58, title: 40 } as const;

export interface Placed {
  taxonId: string;
  x: number;
  y: number;
}

/** The middle of each plate: weeks from left to right, the sets of a week under one another. Those without a week are left out. */
export function placesOf(sets: readonly Draft[], weeks: number): Placed[] {
  return Array.from({ length: weeks }, (_, i) => i + 1).flatMap((week) => {
    let y = BOARD.head;
    return setsIn(sets, week).flatMap(({ set }) => {
      y += BOARD.title;
      return set.taxa.map((taxonId) => {
        const middle = y + BOARD.plate / 2;
        y += BOARD.plate + BOARD.gap;
        return { taxonId, x: (week - 1) * BOARD.column + BOARD.column / 2, y: middle };
      });
    });
  });
}

export interface Arc {
  a: string;
  b: string;
  d: string;
  /** The pair is split over two weeks. */
  across: boolean;
}

/** Pairs that are this hard are joined by an arc always, in one week or over weeks; the others when one of them is looked at. */
const HARD = { within: 0.14, across: 0.25 };

/** Arcs that join lookalikes: a bow at the side within a week, a line from column to column across weeks. */
export function arcsOf(
  places: readonly Placed[],
  { taxa, lookalikes }: Pick<Prospects, 'taxa' | 'lookalikes'>,
  lookedAt: string | undefined,
): Arc[] {
  const at = new Map(places.map((place) => [place.taxonId, place]));
  return lookalikes.flatMap(({ a, b, error }): Arc[] => {
    const [one, other] = [at.get(taxa[a]!), at.get(taxa[b]!)];
    if (!one || !other) return [];
    const concerns = lookedAt === one.taxonId || lookedAt === other.taxonId;
    const across = one.x !== other.x;
    if (error < HARD[across ? 'across' : 'within'] && !concerns) return [];
    const [from, to] = one.x < other.x || (!across && one.y < other.y) ? [one, other] : [other, one];
    const side = BOARD.column / 2 - 6;
    const d = across
      ? `M${from.x + side - 3} ${from.y}C${from.x + side + 30} ${from.y},${to.x - side - 30} ${to.y},${to.x - side + 3} ${to.y}`
      : `M${from.x + side - 4} ${from.y}C${from.x + side + 8} ${from.y},${to.x + side + 8} ${to.y},${to.x + side - 4} ${to.y}`;
    return [{ a: one.taxonId, b: other.taxonId, d, across }];
  });
}

const NONE: ReadonlySet<string> = new Set();

/** The trees that beginners take for the one looked at. */
export const lookalikesOf = (
  lookedAt: string | undefined,
  prospects: Pick<Prospects, 'taxa' | 'lookalikes'> | undefined,
): ReadonlySet<string> =>
  lookedAt === undefined || !prospects
    ? NONE
    : new Set(
        prospects.lookalikes
          .map(({ a, b }) => [prospects.taxa[a]!, prospects.taxa[b]!])
          .filter((pair) => pair.includes(lookedAt))
          .flatMap((pair) => pair.filter((each) => each !== lookedAt)),
      );

/** The height that a board needs for its fullest week. */
export const heightOf = (sets: readonly Draft[], weeks: number): number =>
  Math.max(
    BOARD.head + BOARD.title + 2 * BOARD.plate,
    ...placesOf(sets, weeks).map(({ y }) => y + BOARD.plate / 2 + BOARD.gap),
  ) + 36;
