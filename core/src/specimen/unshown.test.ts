import { BUILT_IN, SHOWN_BY, type Character } from '../vocabulary/index.ts';
import { DRAWN } from './unshown.ts';
import { drawParts, type Trait } from './index.ts';
import { anIndividual } from './testing/anIndividual.ts';

/** What must hold besides the requirements of a character for its part to be in sight. */
const IN_SIGHT: Record<string, Record<string, Trait>> = {
  leaf: { 'foliage.kind': 'broad', 'leaf.shape': 'ovate' },
  needle: { 'foliage.kind': 'single' },
  cone: { 'fruit.type': 'seedCone' },
  acorn: { 'fruit.type': 'acorn' },
  bark: { 'bark.surface': ['deepFurrows'] },
  habit: { 'habit.height': 20, 'habit.crownForm': 'excurrent' },
  flower: { 'flower.type': 'raceme' },
  fruit: { 'fruit.type': 'drupe' },
  wood: { 'wood.pores': 'ring' },
};

const WINTER = ['twig.winterCatkins', 'twig.catkinLie', 'twig.leafScar', 'twig.bundleScars'];

const statesOf = ({ kind, states }: Character): string[] =>
  kind === 'flag' ? ['yes', 'no'] : states.map(({ id }) => id);

function traitOf({ kind, anyOf }: Character, state: string): Trait {
  if (kind === 'flag') return state === 'yes';
  return anyOf ? [state] : state;
}

/** Traits under which a character applies, its governing ones and theirs in turn. */
function governing(character: Character): Record<string, Trait> {
  return Object.assign(
    {},
    ...character.requires.map(({ character: id, states }) => {
      const governor = BUILT_IN.get(id)!;
      return { ...governing(governor), [id]: traitOf(governor, states[0]!) };
    }),
  ) as Record<string, Trait>;
}

/** All that is drawn of an individual that carries one trait, as text. */
function drawn(character: Character, trait: Trait): string {
  const organ = character.id.split('.')[0]!;
  const values = { ...IN_SIGHT[organ], ...governing(character), [character.id]: trait };
  const individual = anIndividual(values, {
    seed: 5,
    // Scars are seen once the leaves have fallen.
    leafy: !WINTER.includes(character.id),
    autumn: character.id === 'leaf.autumnColor',
  });
  const shown = SHOWN_BY[character.organ];
  return JSON.stringify(drawParts(individual, shown === 'leaf' ? ['twig', 'bud', 'leaf'] : [shown]));
}

const drawnCharacters = DRAWN.map((id) => BUILT_IN.get(id)!);

/** States that look alike by what they mean: what falls early or is shed is not there, and a flat needle has no inner face. */
const LOOK_ALIKE: Record<string, string[][]> = {
  'leaf.stipules': [['none', 'falling']],
  'needle.sheath': [['none', 'shed']],
  'needle.bands': [
    ['lower', 'inner'],
    ['both', 'all'],
  ],
  // What becomes of a cone later: it is open, or closed, or falling to pieces.
  'cone.fate': [
    ['falls', 'persists'],
    ['serotinous', 'animals'],
  ],
  // Deep furrows leave ridges.
  'bark.ridges': [['none', 'parallel']],
};

test.each(
  drawnCharacters.filter((character) => statesOf(character).length > 0).map((each) => [each.id, each]),
)('%s: each of its states is drawn in a way of its own', (id, character) => {
  const byDrawing = new Map<string, string[]>();
  for (const state of statesOf(character)) {
    const drawing = drawn(character, traitOf(character, state));
    byDrawing.set(drawing, [...(byDrawing.get(drawing) ?? []), state]);
  }
  expect([...byDrawing.values()].filter((states) => states.length > 1)).toEqual(LOOK_ALIKE[id] ?? []);
});

test.each(
  drawnCharacters
    .filter((character) => ['measure', 'count'].includes(character.kind))
    .map((each) => [each.id, each]),
)('%s: twice as much is drawn otherwise', (_id, character) => {
  const usual =
    new Map([
      ['m', 8],
      ['cm', 0.04],
      ['mm', 0.002],
      ['%', 30],
    ] as [string, number][]).get(character.unit ?? '') ?? 3;
  expect(drawn(character, usual)).not.toBe(drawn(character, 2 * usual));
});
