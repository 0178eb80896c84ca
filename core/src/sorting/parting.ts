import type { Condition } from '../condition/index.ts';
import type { Trait } from '../specimen/index.ts';
import {
  saidBehind,
  standingOf,
  type Character,
  type Level,
  type Standing,
  type Vocabulary,
} from '../vocabulary/index.ts';

/** What is known of one specimen on the table, by character: the states of a drawing, or what was read off a real one. */
export type Known = Readonly<Record<string, Trait>>;

/** A character that parts two piles. */
export interface Parting {
  characterId: string;
  /** What the specimens of the first pile show; nothing where it holds what shows none of it, such as needles among leaves with teeth. */
  first?: Condition;
  /** What those of the second pile show. */
  second?: Condition;
  /** Places of the specimens that lie on the other side of it. */
  slips: number[];
  /** Other characters that part the specimens in the same way, by id, the better ones first. */
  alike: string[];
}

/** A specimen is put on the wrong pile so often. */
const SLIP = 0.05;
/** More of them on the wrong side than this share, and it is not what the piles were made by. */
const MOST_SLIPS = 0.21;
/** How much less likely a class is to sort by it, in nats: by how it stands, how hard it is, and for what is more than one state. */
const STANDING: Record<Standing, number> = { mark: 0, second: 1.2, supporting: 2.3 };
const LEVEL: Record<Level, number> = { beginner: 0, intermediate: 1.2, advanced: 3 };
const TWO_STATES = 2;
/** For a character with which books do not begin. */
const IN_ORDER = 0.5;
/** For a side on which it is not known of any, or of only some. */
const NOT_KNOWN = 0.3;
/** No more slips than this share of the smaller pile: three of four on the wrong side explain nothing. */
const OF_SMALLER = 0.67;

interface Split {
  characterId: string;
  /** What those show that meet it, and those that do not; nothing for a side that holds specimens of which it is not known. */
  first?: Condition;
  second?: Condition;
  /** Which specimens are on its first side. */
  meets: boolean[];
  cost: number;
}

/** So many ways of parting two piles are offered at most. */
const OFFERED = 4;

/**
 * The ways in which two piles may have been made, the likeliest first, at most four: after a slip of the hand several may do, and the
 * class says which it was. As `partingOf`.
 */
export function partingsOf(
  specimens: readonly Known[],
  first: readonly boolean[],
  vocabulary: Vocabulary,
): Parting[] {
  if (!first.includes(true) || !first.includes(false))
    throw new Error('Two piles are needed: put at least one specimen on each.');
  const onFirst = first.filter(Boolean).length;
  const smaller = Math.min(onFirst, first.length - onFirst);
  const judged = [...vocabulary.values()]
    .flatMap((character) => splitsBy(character, specimens))
    .map((split) => {
      const slips = first.flatMap((is, i) => (is === split.meets[i] ? [] : [i]));
      return { ...split, slips, cost: split.cost - slips.length * Math.log(SLIP / (1 - SLIP)) };
    })
    .filter(({ slips }) => slips.length <= Math.min(MOST_SLIPS * first.length, OF_SMALLER * smaller))
    .sort((x, y) => x.cost - y.cost);
  const ways = new Map<string, typeof judged>();
  for (const split of judged) {
    const way = split.meets.join();
    ways.set(way, [...(ways.get(way) ?? []), split]);
  }
  return [...ways.values()].slice(0, OFFERED).map((way) => {
    // Of characters that part them alike, one that says something of both piles is said first.
    const [best, ...others] = [...way].sort(
      (x, y) => Number(!x.first || !x.second) - Number(!y.first || !y.second),
    );
    const { characterId, slips } = best!;
    const alike = new Set(others.map((other) => other.characterId).filter((id) => id !== characterId));
    return {
      characterId,
      ...(best!.first ? { first: best!.first } : {}),
      ...(best!.second ? { second: best!.second } : {}),
      slips,
      alike: [...alike],
    };
  });
}

/**
 * The character that parts two piles as they were made, slips of the hand allowed for; undefined where none does.
 *
 * @param specimens what is known of each; what is not known of one is taken as not shown by it
 * @param first which of them lie on the first pile: neither all nor none
 * @throws where one of the piles is empty
 * @example
 * partingOf([{ 'twig.arrangement': 'opposite' }, { 'twig.arrangement': 'alternate' }], [true, false], BUILT_IN)!.first;
 * // { characterId: 'twig.arrangement', states: ['opposite'] }
 */
export function partingOf(
  specimens: readonly Known[],
  first: readonly boolean[],
  vocabulary: Vocabulary,
): Parting | undefined {
  return partingsOf(specimens, first, vocabulary)[0];
}

/** Every way in which a character can part these specimens, both ways round. */
export function splitsBy(character: Character, specimens: readonly Known[]): Split[] {
  if (character.derived) return [];
  const values = specimens.map((known) => known[character.id]);
  if (values.every((value) => value === undefined)) return [];
  const cost = STANDING[standingOf(character)] + LEVEL[character.level] + IN_ORDER * saidBehind(character.id);
  const made: Made = (condition, more, meets) => ({
    condition: { characterId: character.id, ...condition },
    meets: values.map((value) => value !== undefined && meets(value)),
    cost: cost + more,
  });
  const isKnown = values.every((value) => value !== undefined);
  const ways = waysOf(character, values, made).filter(
    ({ meets }) => meets.includes(true) && meets.includes(false),
  );
  const plain = ways.filter((way) => way.cost === cost).length || 1;
  return ways.flatMap(({ condition, meets, cost: dear }): Split[] => {
    // The side on which something is shown says what; the other can say so only where it is known of all.
    const second = isKnown ? { second: oppositeOf(condition, character, values) } : {};
    const split = {
      characterId: character.id,
      first: condition,
      ...second,
      meets,
      // Each of many ways is less likely to be the one that was meant; two states together are dearer as it is.
      cost: dear + Math.log(plain) + (isKnown ? 0 : NOT_KNOWN),
    };
    return [split, turned(split)];
  });
}

/** The same split with its sides changed. */
const turned = ({ characterId, first, second, meets, cost }: Split): Split => ({
  characterId,
  ...(second ? { first: second } : {}),
  ...(first ? { second: first } : {}),
  meets: meets.map((is) => !is),
  cost,
});

interface Half {
  condition: Condition;
  meets: boolean[];
  cost: number;
}
type Made = (
  condition: Omit<Condition, 'characterId'>,
  more: number,
  meets: (value: Trait) => boolean,
) => Half;

function waysOf(character: Character, values: readonly (Trait | undefined)[], made: Made): Half[] {
  if (character.kind === 'flag') return [made({ present: true }, 0, (value) => value === true)];
  if (character.kind === 'measure' || character.kind === 'count')
    return bordersOf(values).map((border) =>
      made({ from: border }, 0, (value) => typeof value === 'number' && value >= border),
    );
  const shown = character.states.map(({ id }) => id).filter((id) => values.some((value) => has(value, id)));
  if (character.anyOf)
    return shown.map((id) => made({ states: [id], present: true }, 0, (value) => has(value, id)));
  const groups =
    character.kind === 'ordinal'
      ? shown.slice(0, -1).map((_, i) => shown.slice(0, i + 1))
      : [...shown.map((id) => [id]), ...shown.flatMap((a, i) => shown.slice(i + 1).map((b) => [a, b]))];
  return groups.map((states) =>
    made({ states }, states.length > 1 && character.kind !== 'ordinal' ? TWO_STATES : 0, (value) =>
      states.some((id) => has(value, id)),
    ),
  );
}

const has = (value: Trait | undefined, id: string): boolean =>
  Array.isArray(value) ? value.includes(id) : value === id;

/** Half-way between neighbouring numbers, where the gap is wide enough to be seen: a tenth. */
function bordersOf(values: readonly (Trait | undefined)[]): number[] {
  const numbers = [...new Set(values.filter((value) => typeof value === 'number'))].sort((x, y) => x - y);
  return numbers.slice(1).flatMap((high, i) => {
    const low = numbers[i]!;
    return high >= 1.1 * low ? [(low + high) / 2] : [];
  });
}

/** What is left of a character when a condition does not hold, of what these specimens show. */
function oppositeOf(
  { characterId, states, present, from }: Condition,
  character: Character,
  values: readonly (Trait | undefined)[],
): Condition {
  if (from !== undefined) return { characterId, below: from };
  if (present !== undefined) return { characterId, ...(states ? { states } : {}), present: !present };
  const left = character.states
    .map(({ id }) => id)
    .filter((id) => !states!.includes(id) && values.some((value) => has(value, id)));
  return { characterId, states: left };
}
