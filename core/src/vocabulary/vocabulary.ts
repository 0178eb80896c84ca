import type { Character, Organ, State } from './character.ts';
import { BARK } from './bark.ts';
import { BUD } from './bud.ts';
import { FLOWER, POLLEN_CONE } from './flower.ts';
import { ACORN_CHARACTERS, CONE, FRUIT } from './fruit.ts';
import { HABIT } from './habit.ts';
import { FOLIAGE, LEAF } from './leaf.ts';
import { NEEDLE } from './needle.ts';
import { sayingOf, type Saying } from './saying.ts';
import { SITE } from './site.ts';
import { withStanding } from './standing.ts';
import { TWIG } from './twig.ts';
import { WOOD } from './wood.ts';

/** A set of characters by id, in teaching order. A library may add its own to the built-in ones. */
export type Vocabulary = ReadonlyMap<string, Character>;

export const vocabularyOf = (characters: readonly Character[]): Vocabulary =>
  new Map(characters.map((character) => [character.id, character]));

const ALL = [
  ...HABIT,
  ...FOLIAGE,
  ...LEAF,
  ...NEEDLE,
  ...TWIG,
  ...BUD,
  ...FLOWER,
  ...POLLEN_CONE,
  ...FRUIT,
  ...CONE,
  ...ACORN_CHARACTERS,
  ...BARK,
  ...WOOD,
  ...SITE,
];

/** The id of a built-in character: a misspelled one does not compile. */
export type CharacterId = (typeof ALL)[number]['id'];

/** The built-in characters of every organ. */
export const BUILT_IN: Vocabulary = vocabularyOf(ALL.map(withStanding));

/** The order in which a profile is read, with the title of each part. */
export const ORGANS: readonly { organ: Organ; title: string }[] = [
  { organ: 'habit', title: 'Size and form' },
  { organ: 'foliage', title: 'Foliage' },
  { organ: 'leaf', title: 'Leaves' },
  { organ: 'needle', title: 'Needles' },
  { organ: 'twig', title: 'Twigs' },
  { organ: 'bud', title: 'Buds' },
  { organ: 'flower', title: 'Flowers' },
  { organ: 'pollenCone', title: 'Pollen cones' },
  { organ: 'fruit', title: 'Fruit' },
  { organ: 'cone', title: 'Cones' },
  { organ: 'acorn', title: 'Acorns' },
  { organ: 'bark', title: 'Bark' },
  { organ: 'wood', title: 'Wood' },
  { organ: 'site', title: 'Place' },
];

/** What a part of the profile is called: “Pollen cones”. */
export const organTitle = (organ: Organ): string => ORGANS.find((entry) => entry.organ === organ)!.title;

/** Where a course begins to look at a tree: the two schools, and a course that is held in winter. */
export const TEACHING_STARTS = ['leaf', 'site', 'twig'] as const;
export type TeachingStart = (typeof TEACHING_STARTS)[number];

const FIRST: Record<TeachingStart, Organ[]> = {
  leaf: [],
  site: ['site', 'habit', 'bark'],
  twig: ['twig', 'bud', 'bark'],
};

/** The organs in a course's teaching order: those it begins with, then the others as a profile is read. */
export function organsInOrder(start: TeachingStart): readonly { organ: Organ; title: string }[] {
  const first = FIRST[start].map((organ) => ORGANS.find((entry) => entry.organ === organ)!);
  return [...first, ...ORGANS.filter(({ organ }) => !FIRST[start].includes(organ))];
}

/** The state of a character by id; flags have the two states `yes` and `no`. */
export function stateOf(character: Character, id: string): State | undefined {
  const states = character.kind === 'flag' ? flagStates(sayingOf(character)) : character.states;
  return states.find((state) => state.id === id);
}

const flagStates = ({ flag, flagDefined }: Saying): State[] => [
  { id: 'yes', term: flag.always, plain: flag.always, definition: flagDefined.yes },
  { id: 'no', term: flag.never, plain: flag.never, definition: flagDefined.no },
];
