import {
  couldShow,
  genusOf,
  isDeciduous,
  pairErrors,
  tellingCharacters,
  type ProfiledTaxon,
  type ReadingOptions,
} from '../evidence/index.ts';
import { hopkinsDelay, leafShare, partPresent, shiftCalendar } from '../season/index.ts';
import { MEDIUM_VIEWS, type View } from '../view/index.ts';
import type { Part, Vocabulary } from '../vocabulary/index.ts';

/** What the sets of a list are planned by. Species and weeks are given by their places in `taxa` and `weeks`. */
export interface Prospects {
  taxa: string[];
  /** Weeks of the course, ascending. */
  weeks: number[];
  /** How much of all that tells a species from those most like it can be seen in a week, 0–1. */
  seen: number[][];
  /** The strongest of its marks that cannot be seen in a week, by id, at most three. */
  unseen: string[][][];
  /** Whether most trees of a species are without their leaves in a week. */
  bare: boolean[][];
  /** What the easy splits make of it: foliage, arrangement, composition. Species of one kind are told apart by finer marks. */
  kind: string[];
  lookalikes: Lookalikes[];
}

/** Two species that a beginner takes for one another. */
export interface Lookalikes {
  a: number;
  b: number;
  /** How often a beginner errs between a leafy twig of each, 0–½; of a pair that the class mixed up, at least `MIXED_UP`. */
  error: number;
  /** The commoner of the two, which is taught no later; left out where neither is known to be. */
  commoner?: number;
}

export interface ProspectOptions extends ReadingOptions {
  /** Days of the year on which the weeks are, one a week. */
  days: readonly number[];
  weeks: readonly number[];
  /** How common a species is where the course is, on any scale; unknown ones are left out. */
  commonness?: ReadonlyMap<string, number>;
  /** Pairs that the class has mixed up. */
  mixedUp?: readonly { a: string; b: string }[];
}

/** The splits that a course begins with. */
export const EASY_SPLITS = ['foliage.kind', 'twig.arrangement', 'leaf.composition'] as const;

/** A beginner errs so often between lookalikes, and between those of one genus, which look alike to everyone at first. */
const LOOKALIKE = { others: 0.1, ofOneGenus: 0.05 };
const MIXED_UP = 0.2;
/** So many answers of a class that take one tree for another make the two lookalikes of that class: fewer are slips. */
export const OFTEN_MIXED_UP = 8;
/** Of two species, one is the commoner if it is so many times as common. */
const COMMONER = 1.25;
/** In full leaf. */
const MIDSUMMER = 196;
/** A mark that adds less than this share is not missed. */
const MISSED = 0.06;
/** So many marks are named that are not seen. */
const NAMED = 3;

/**
 * What a list offers a term week by week: what of each tree can be seen, what kinds there are, and which species look alike. The site of
 * the options moves the calendars.
 *
 * @example
 * const found = prospectsOf(list, BUILT_IN, { weeks: [1, 2], days: [243, 250], reference, site });
 * found.seen[0]; // [1, 0.94]: of the first species
 */
export function prospectsOf(
  list: readonly ProfiledTaxon[],
  vocabulary: Vocabulary,
  options: ProspectOptions,
): Prospects {
  const { days, weeks, ...reading } = options;
  const worth = tellingCharacters(list, vocabulary, reading);
  const delay = reading.reference && reading.site ? hopkinsDelay(reading.reference, reading.site) : 0;
  const weekly = list.map((profiled, t) => {
    const calendar = shiftCalendar(profiled.taxon.calendar, delay);
    const deciduous = isDeciduous(profiled);
    const all = [...worth[t]!.values()].reduce((sum, each) => sum + each, 0) || 1;
    return days.map((day) => {
      const leafy = leafShare(calendar, deciduous, day);
      const present = (part: Part) =>
        part === 'leaves' ? leafy : partPresent(part, calendar, deciduous, day) ? 1 : 0;
      const lost = [...worth[t]!]
        .map(([id, each]) => ({ id, share: (each / all) * (1 - present(vocabulary.get(id)!.part)) }))
        .sort((x, y) => y.share - x.share);
      return {
        seen: Math.max(0, 1 - lost.reduce((sum, { share }) => sum + share, 0)),
        unseen: lost.filter(({ share }) => share > MISSED).map(({ id }) => id),
        bare: deciduous && leafy < 0.5,
      };
    });
  });
  return {
    taxa: list.map(({ taxon }) => taxon.id),
    weeks: [...weeks],
    seen: weekly.map((each) => each.map(({ seen }) => seen)),
    unseen: weekly.map((each) => each.map(({ unseen }) => unseen.slice(0, NAMED))),
    bare: weekly.map((each) => each.map(({ bare }) => bare)),
    kind: list.map(kindOf),
    lookalikes: lookalikesAmong(list, vocabulary, options),
  };
}

/** Foliage, arrangement and composition as they usually are: `broad|opposite|simple`; what does not apply or is unknown is left out. */
function kindOf({ scores }: ProfiledTaxon): string {
  return EASY_SPLITS.map((id) => {
    const value = scores.find(({ characterId }) => characterId === id)?.value;
    return value?.kind === 'states' ? (value.states[0]?.state ?? '') : '';
  })
    .map((state, i, [foliage]) => (i > 0 && foliage !== 'broad' ? '' : state))
    .filter(Boolean)
    .join('|');
}

/**
 * Pairs of a list that a beginner takes for one another, and those that the class has mixed up; by their places in the list.
 *
 * @example
 * lookalikesAmong(list, BUILT_IN)[0]; // { a: 8, b: 9, error: 0.21 }
 */
export function lookalikesAmong(
  list: readonly ProfiledTaxon[],
  vocabulary: Vocabulary,
  {
    reference,
    site,
    commonness,
    mixedUp = [],
  }: Pick<ProspectOptions, 'reference' | 'site' | 'commonness' | 'mixedUp'> = {},
): Lookalikes[] {
  const reading = { ...(reference ? { reference } : {}), ...(site ? { site } : {}) };
  const plain = new Map(
    [...vocabulary].filter(
      ([, character]) => character.level === 'beginner' && list.some((each) => couldShow(character, each)),
    ),
  );
  const twig: View = {
    ...MEDIUM_VIEWS.cutting,
    day: MIDSUMMER,
    leaves: 'on',
    qualifiers: { plantAge: 'mature' },
  };
  const confused = new Set(mixedUp.flatMap(({ a, b }) => [`${a} ${b}`, `${b} ${a}`]));
  return pairErrors(list, plain, twig, { ...reading, reader: 'novice' })
    .map(({ a, b, error }) => {
      const mixed = confused.has(`${list[a]!.taxon.id} ${list[b]!.taxon.id}`);
      return { a, b, mixed, error: mixed ? Math.max(error, MIXED_UP) : error };
    })
    .filter(
      ({ a, b, error }) =>
        error >= (genusOf(list[a]!, list[b]!) === undefined ? LOOKALIKE.others : LOOKALIKE.ofOneGenus),
    )
    .map(({ a, b, error }) => {
      const [ofA, ofB] = [a, b].map((t) => commonness?.get(list[t]!.taxon.id));
      const known = ofA !== undefined && ofB !== undefined;
      if (known && ofA >= ofB * COMMONER && ofA > 0) return { a, b, error, commoner: a };
      if (known && ofB >= ofA * COMMONER && ofB > 0) return { a, b, error, commoner: b };
      return { a, b, error };
    });
}
