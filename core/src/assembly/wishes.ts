import type { QuestionKind } from '../station/index.ts';

/** What a station asks: the name, written or chosen of four, or something in its place. */
export type AskedKind = 'name' | 'choose' | QuestionKind;

/** So many of something, at least and at most. */
export interface Count {
  least: number;
  most: number;
}

/** What a quiz is to be like. */
export interface QuizWishes {
  stations: number;
  /** How many stations of each kind, those wanted most first; kinds that are not named are not used. */
  kinds: Readonly<Record<string, Count>>;
  /** How many stations ask for each kind of thing; the name alone where it is missing. */
  asked?: Readonly<Partial<Record<AskedKind, Count>>>;
  /** How many stations of each set, by the set's id; other sets are not examined. */
  sets: Readonly<Record<string, Count>>;
  /** How many stations show a tree that was examined before. */
  again: Count;
  /** At least so many stations show a tree of a pair that the class mixes up. */
  mixedUp: number;
  /** A station is fair enough where this share of careful readers is right. */
  fair: number;
  /** Between these the expected share of right answers is to lie, over the whole quiz. */
  expected: readonly [number, number];
  /** Stations of one tree at most. */
  perTree: number;
  /** From a fair mark (0) to what the next quiz tells about the class (1). */
  toLearn: number;
  /** Candidates that are settled, and candidates or trees that are not to be used. */
  pins: readonly string[];
  bans: readonly string[];
}

/** What is known of a class before a quiz. */
export interface ClassSoFar {
  /** The sets of the list with their trees. */
  sets: readonly { id: string; title: string; taxa: readonly string[] }[];
  /** Answers to each tree so far, and how many of them were right. */
  answered: Readonly<Record<string, { answers: number; right: number }>>;
  /** Pairs that are mixed up, the most often first. */
  mixedUp: readonly { a: string; b: string }[];
  /** How doubtful the use of each character still is, 0 to 1; 1 for those of which nothing is known. */
  doubtful: Readonly<Record<string, number>>;
}

export const NOTHING_SO_FAR: Omit<ClassSoFar, 'sets'> = { answered: {}, mixedUp: [], doubtful: {} };

/**
 * What a quiz is usually like: cuttings before all else, each set by its size, one in four from before, fair for nine in ten.
 *
 * @param ids of the sets that are examined
 * @example
 * usualWishes(10, ['a']).kinds['cutting']; // { least: 0, most: 10 }
 */
export function usualWishes(
  stations: number,
  sets: readonly { id: string; taxa: readonly string[] }[],
): QuizWishes {
  const all = sets.reduce((sum, { taxa }) => sum + taxa.length, 0) || 1;
  const shareOf = (taxa: readonly string[]) => (stations * taxa.length) / all;
  return {
    stations,
    kinds: {
      cutting: { least: 0, most: stations },
      fruit: { least: 0, most: Math.ceil(stations / 4) },
      leafFruit: { least: 0, most: Math.ceil(stations / 4) },
      tree: { least: 0, most: Math.ceil(stations / 4) },
      drawing: { least: 0, most: Math.ceil(stations / 5) },
    },
    sets: Object.fromEntries(
      sets.map(({ id, taxa }) => [
        id,
        { least: Math.floor(shareOf(taxa) / 2), most: Math.ceil(shareOf(taxa) * 2) },
      ]),
    ),
    again: { least: 0, most: stations },
    mixedUp: 0,
    fair: 0.9,
    expected: [0, 1],
    perTree: 1,
    toLearn: 0.3,
    pins: [],
    bans: [],
  };
}
