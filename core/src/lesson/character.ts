import { couldShow, scoresInView, type ProfiledTaxon } from '../evidence/index.ts';
import { randomFrom } from '../random/index.ts';
import type { Frequency, StatesValue } from '../score/index.ts';
import type { State, Vocabulary, Character } from '../vocabulary/index.ts';
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
        (character.kind === 'categorical' || character.kind === 'ordinal') &&
        list.some((each) => couldShow(character, each)),
    )
    .filter((character) => shownStates(list, character).length >= LEAST_STATES)
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
  return character.states.filter(({ id }) => shown.has(id));
}

function statesOf(profiled: ProfiledTaxon, { id }: Character): StatesValue | undefined {
  const value = scoresInView(
    profiled.scores.filter(({ characterId }) => characterId === id),
    { qualifiers: { plantAge: 'mature' } },
  )[0]?.value;
  return value?.kind === 'states' ? value : undefined;
}

const having = ({ states }: StatesValue, wanted: Frequency): string[] =>
  states.filter(({ frequency }) => frequency === wanted).map(({ state }) => state);
