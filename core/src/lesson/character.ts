import { couldShow, scoresInView, type ProfiledTaxon } from '../evidence/index.ts';
import { randomFrom } from '../random/index.ts';
import type { Frequency, RangeValue, StatesValue } from '../score/index.ts';
import type { Trait } from '../specimen/index.ts';
import { MEDIUM_VIEWS, type View } from '../view/index.ts';
import { SHOWN_BY, type Character, type State, type Vocabulary } from '../vocabulary/index.ts';
import { leadingStates } from './saying.ts';

/** A lesson about one character: what it can be like, on trees of the list, and how to look. */
export interface CharacterLesson {
  characterId: string;
  /** States that the list shows, in the order of the vocabulary: of ordinal ones in order of increase. */
  states: StateOnList[];
  /** Trees that keep to no one state: what they show, and how often. */
  exceptions: { taxonId: string; usual: string[]; sometimes: string[] }[];
  /** Trees of the list of which nothing is scored. */
  unscored: string[];
}

export interface StateOnList extends State {
  /** The tree it is drawn on: of the foliage that most states have, and one that always shows it, if there is one. */
  example: string;
  /** All trees that usually show it, the example first. */
  trees: string[];
}

/** What makes a lesson: states to choose from, of which the list shows two. */
const LEAST_STATES = 2;

/** Of counts, more than these are no kinds to be told apart: bundles of two, three and five are. */
const MOST_COUNTS = 6;

/**
 * Characters that a lesson can be about with this list, in the order of the vocabulary: those with two states or more among its trees.
 *
 * @example
 * lessonCharacters(list, BUILT_IN).includes('leaf.teeth'); // true
 */
export const lessonCharacters = (list: readonly ProfiledTaxon[], vocabulary: Vocabulary): string[] =>
  [...vocabulary.values()]
    .filter(
      (character) =>
        !character.derived &&
        character.organ !== 'site' &&
        ['categorical', 'ordinal', 'count'].includes(character.kind) &&
        list.some((each) => couldShow(character, each)),
    )
    .filter((character) => {
      const { length } = shownStates(list, character);
      return length >= LEAST_STATES && (character.kind !== 'count' || length <= MOST_COUNTS);
    })
    .map(({ id }) => id);

/**
 * The lesson of a character on a list.
 *
 * @throws where the vocabulary has no such character
 * @example
 * characterLesson(list, 'leaf.teeth', BUILT_IN).states[0]; // { id: 'none', term: 'entire', example: 'cornus-sericea', … }
 */
export function characterLesson(
  list: readonly ProfiledTaxon[],
  characterId: string,
  vocabulary: Vocabulary,
): CharacterLesson {
  const character = vocabulary.get(characterId);
  if (!character) throw new Error(`There is no character “${characterId}”`);
  const scored = list.map((profiled) => ({ id: profiled.taxon.id, value: statesOf(profiled, character) }));
  const foliage = new Map(list.map((profiled) => [profiled.taxon.id, foliageOf(profiled)]));
  const shown = shownStates(list, character);
  const keepers = (state: State) =>
    scored.filter(({ value }) => value && leadingStates(value.states, character).includes(state.id));
  // Alike but for the character: trees of the foliage that most of the states have.
  const kinds = shown.flatMap((state) => [...new Set(keepers(state).map(({ id }) => foliage.get(id)!))]);
  const usual = [...new Set(kinds)].sort((x, y) => countOf(kinds, y) - countOf(kinds, x))[0];
  return {
    characterId,
    states: shown.map((state) => {
      const trees = keepers(state);
      const doubts = (tree: (typeof trees)[number]) =>
        (foliage.get(tree.id) === usual ? 0 : 2) + (tree.value!.states.length === 1 ? 0 : 1);
      const sure = [...trees].sort((x, y) => doubts(x) - doubts(y))[0]!;
      return {
        ...state,
        example: sure.id,
        trees: [sure.id, ...trees.map(({ id }) => id).filter((id) => id !== sure.id)],
      };
    }),
    exceptions: scored.flatMap(({ id, value }) => {
      if (!value) return [];
      const usual = leadingStates(value.states, character);
      const sometimes = having(value, 'sometimes').filter((state) => !usual.includes(state));
      const keeps = sometimes.length === 0 && (character.anyOf || usual.length < 2);
      return keeps ? [] : [{ taxonId: id, usual, sometimes }];
    }),
    unscored: list
      .filter((profiled) => couldShow(character, profiled) && !statesOf(profiled, character))
      .map(({ taxon }) => taxon.id),
  };
}

const countOf = (all: readonly string[], one: string): number => all.filter((each) => each === one).length;

const foliageOf = ({ scores }: ProfiledTaxon): string => {
  const value = scores.find(({ characterId }) => characterId === 'foliage.kind')?.value;
  return value?.kind === 'states' ? (value.states[0]?.state ?? '') : '';
};

/** A specimen to call: a tree, and the seed of the individual. */
export interface ToCall {
  taxonId: string;
  seed: number;
}

/**
 * Specimens to call a character on: each state as often as can be, no tree twice while others are left, in an order by lot.
 *
 * @example
 * toCall(characterLesson(list, 'leaf.teeth', BUILT_IN), 10, 1).length; // 10
 */
export function toCall({ states }: Pick<CharacterLesson, 'states'>, count: number, seed: number): ToCall[] {
  const random = randomFrom(seed);
  const shuffled = <T>(many: readonly T[]) =>
    many
      .map((each) => ({ each, at: random.uniform() }))
      .sort((x, y) => x.at - y.at)
      .map(({ each }) => each);
  const queues = states.map(({ trees }) => shuffled(trees));
  const chosen = Array.from({ length: count }, (_, i) => {
    const queue = queues[i % queues.length]!;
    const taxonId = queue[Math.floor(i / queues.length) % queue.length]!;
    return { taxonId, seed: seed * 1000 + i };
  });
  return shuffled(chosen);
}

/** States that some tree of the list usually shows. */
function shownStates(list: readonly ProfiledTaxon[], character: Character): State[] {
  const shown = new Set(
    list.flatMap((profiled) => {
      const value = statesOf(profiled, character);
      return value ? leadingStates(value.states, character) : [];
    }),
  );
  return character.kind === 'count'
    ? countsAsStates(shown)
    : character.states.filter(({ id }) => shown.has(id));
}

function statesOf(profiled: ProfiledTaxon, { id, kind }: Character): StatesValue | undefined {
  const value = scoresInView(
    profiled.scores.filter(({ characterId }) => characterId === id),
    { qualifiers: { plantAge: 'mature' } },
  )[0]?.value;
  if (kind === 'count' && value?.kind === 'range') return countsOf(value);
  return value?.kind === 'states' ? value : undefined;
}

/** Numbers as states, the least first. */
const countsAsStates = (counts: ReadonlySet<string>): State[] =>
  [...counts]
    .sort((x, y) => Number(x) - Number(y))
    .map((count) => ({ id: count, term: count, plain: count, definition: '' }));

/** The whole numbers of a range: those usual, and those beyond them that occur. */
function countsOf({ min, low, typical, high, max, step = 1, open }: RangeValue): StatesValue | undefined {
  // “Many” is no number.
  if (open) return undefined;
  const from = low ?? typical ?? min ?? high ?? 0;
  const to = high ?? typical ?? max ?? from;
  const least = Math.min(min ?? from, from);
  const most = Math.max(max ?? to, to);
  const counts = Array.from(
    { length: Math.floor((most - least) / step) + 1 },
    (_, i) => Math.ceil(least) + i * step,
  );
  return {
    kind: 'states',
    states: counts.map((count) => ({
      state: String(count),
      frequency: count >= from && count <= to ? ('usually' as const) : ('sometimes' as const),
    })),
  };
}

const having = ({ states }: StatesValue, wanted: Frequency): string[] =>
  states.filter(({ frequency }) => frequency === wanted).map(({ state }) => state);

/** The states that a drawn individual shows, in the order of the lesson; of what is not known of it, none. */
export function shownByTrait(
  trait: Trait | undefined,
  { states }: Pick<CharacterLesson, 'states'>,
): string[] {
  const shown = Array.isArray(trait) ? trait : [String(trait)];
  return states.map(({ id }) => id).filter((id) => shown.includes(id));
}

/** Days of the year: catkins and blossom, buds bare, leaves full, fruit and cones ripe. */
const [SPRING, WINTER, SUMMER, AUTUMN] = [130, 20, 215, 250];

/** A day on which the part is on the tree, of a view that shows it: buds and twigs bare, flowers in spring, fruit in autumn, the rest in summer. */
export function viewOfCharacter({ organ, part }: Pick<Character, 'organ' | 'part'>): View {
  const isBare = organ === 'twig' || organ === 'bud';
  const isRipe = organ === 'fruit' || organ === 'cone';
  return {
    ...MEDIUM_VIEWS.livingTree,
    organs: [SHOWN_BY[organ]],
    day: part === 'flowers' ? SPRING : isBare ? WINTER : isRipe ? AUTUMN : SUMMER,
    leaves: isBare ? 'off' : 'on',
    qualifiers: { plantAge: 'mature' },
  };
}
