import type { Condition } from '../condition/index.ts';
import { scoresInView, type ProfiledTaxon } from '../evidence/index.ts';
import { randomFrom } from '../random/index.ts';
import { YES_SHARE, type ScoreValue } from '../score/index.ts';
import { DRAWN, sampleSpecimen, type Trait, type Traits } from '../specimen/index.ts';
import { MEDIUM_VIEWS, type View } from '../view/index.ts';
import { SHOWN_BY, type Vocabulary } from '../vocabulary/index.ts';
import { partingsOf, type Known, type Parting } from './parting.ts';
import type { Pile, SortedPile } from './piles.ts';

/** A specimen on the table: one individual of a tree. */
export interface OnTable {
  taxonId: string;
  known: Known;
  /** Of a drawn one. */
  traits?: Traits;
  /** Of a real one: what is written on its tag. */
  tag?: string;
}

/** A real twig with its tag, and the tree that it was cut from. */
export interface TaggedTwig {
  tag: string;
  taxonId: string;
}

const ON_TABLE = 12;

/** What is seen of twigs on a table on a day: leaves are on them. */
export const tableView = (day: number): View => ({
  ...MEDIUM_VIEWS.cutting,
  day,
  leaves: 'on',
  qualifiers: { plantAge: 'mature' },
});

/**
 * Specimens laid on the table: of a list no tree twice before each was there once, every one an individual of its own. The same list, view and
 * seed lay out the same.
 *
 * @example
 * laidOut(list, BUILT_IN, tableView(200), 1).length; // 12
 */
export function laidOut(
  list: readonly ProfiledTaxon[],
  vocabulary: Vocabulary,
  view: View,
  seed: number,
  count = ON_TABLE,
): OnTable[] {
  const random = randomFrom(seed);
  const shuffled = () =>
    list
      .map((each) => ({ each, at: random.uniform() }))
      .sort((x, y) => x.at - y.at)
      .map(({ each }) => each);
  const chosen: ProfiledTaxon[] = [];
  while (chosen.length < count && list.length > 0) chosen.push(...shuffled());
  return chosen.slice(0, count).map((profiled, i) => {
    const traits = sampleSpecimen(profiled, vocabulary, view, seed + i + 1);
    return { taxonId: profiled.taxon.id, traits, known: knownOf(traits, vocabulary, view) };
  });
}

/**
 * Real twigs on the table. What they show is what their trees always show, or mostly: nobody has measured them, and what varies from twig to
 * twig is not known of them. Of a tree that is not in the list nothing is known; its twig keeps its place.
 *
 * @example
 * realTable([{ tag: '7', taxonId: 'acer-glabrum' }], list, BUILT_IN, tableView(200))[0]!.known['twig.arrangement']; // 'opposite'
 */
export function realTable(
  twigs: readonly TaggedTwig[],
  list: readonly ProfiledTaxon[],
  vocabulary: Vocabulary,
  view: View,
): OnTable[] {
  const knownOfTree = new Map(list.map((each) => [each.taxon.id, sureOf(each, vocabulary, view)]));
  return twigs.map(({ tag, taxonId }) => ({ taxonId, tag, known: knownOfTree.get(taxonId) ?? {} }));
}

/** A table: of real twigs where it holds some, else of specimens drawn anew from its seed. */
export const tableOf = (
  list: readonly ProfiledTaxon[],
  vocabulary: Vocabulary,
  view: View,
  { seed, real }: { seed: number; real?: readonly TaggedTwig[] },
): OnTable[] =>
  real && real.length > 0 ? realTable(real, list, vocabulary, view) : laidOut(list, vocabulary, view, seed);

/** What may be taken for sure of any twig of a tree: its one state, whether it has a thing, a count that does not vary. */
function sureOf(profiled: ProfiledTaxon, vocabulary: Vocabulary, view: View): Known {
  const { values } = sampleSpecimen(profiled, vocabulary, view, 1, { typical: true });
  return Object.fromEntries(
    Object.entries(values).flatMap(([id, value]) => {
      const character = vocabulary.get(id);
      const scored = scoresInView(
        profiled.scores.filter(({ characterId }) => characterId === id),
        view,
      )[0]?.value;
      const isShown = character && view.organs.includes(SHOWN_BY[character.organ]);
      return isShown && scored && isSure(scored) ? [[id, value] as const] : [];
    }),
  );
}

const isSure = (value: ScoreValue): boolean => {
  if (value.kind === 'states')
    return value.states.filter(({ frequency }) => frequency !== 'rarely').length === 1;
  if (value.kind === 'flag') return YES_SHARE[value.frequency] < 0.1 || YES_SHARE[value.frequency] > 0.9;
  return value.kind === 'range' && value.low !== undefined && value.low === value.high;
};

/** What a drawing of these organs shows of an individual. */
const knownOf = ({ values }: Traits, vocabulary: Vocabulary, view: View): Known =>
  Object.fromEntries(
    DRAWN.flatMap((id) => {
      const character = vocabulary.get(id);
      const value = values[id];
      return character && value !== undefined && view.organs.includes(SHOWN_BY[character.organ])
        ? [[id, value] as const]
        : [];
    }),
  );

/** What may part the two piles of a sort, the likeliest first; empty where nothing that the drawings show does. */
export function waysOf(pile: Pile, table: readonly OnTable[], vocabulary: Vocabulary): Parting[] {
  if (!pile.into) return [];
  const [first] = pile.into;
  return partingsOf(
    pile.specimens.map((place) => table[place]!.known),
    pile.specimens.map((place) => first.specimens.includes(place)),
    vocabulary,
  );
}

/** Which of the ways that may part a pile was meant, by the path to it: “01” is the second pile of the first; the likeliest where none is said. */
export type SaidWays = Readonly<Record<string, number>>;

/** Each sort with what parted it, as it was said. */
export function readAsSaid(
  pile: Pile,
  said: SaidWays,
  table: readonly OnTable[],
  vocabulary: Vocabulary,
  path = '',
): SortedPile {
  if (!pile.into) return { specimens: pile.specimens };
  const parting = waysOf(pile, table, vocabulary)[said[path] ?? 0];
  const [first, second] = pile.into;
  return {
    specimens: pile.specimens,
    ...(parting ? { parting } : {}),
    into: [
      readAsSaid(first, said, table, vocabulary, `${path}0`),
      readAsSaid(second, said, table, vocabulary, `${path}1`),
    ],
  };
}

/** What a sort was said to go by, of what may have parted its piles. */
export interface ToldOfSort {
  offered: string[];
  told: string[];
}

/**
 * What was gone by in a sort: where more than one character may have parted two piles, the one that was said to be meant. Sorts of which nothing was said
 * tell nothing.
 *
 * @example
 * toldOfSort(piles, { '': 1 }, table, BUILT_IN); // [{ offered: ['twig.hair', 'bud.hair'], told: ['bud.hair'] }]
 */
export function toldOfSort(
  pile: Pile,
  said: SaidWays,
  table: readonly OnTable[],
  vocabulary: Vocabulary,
  path = '',
): ToldOfSort[] {
  if (!pile.into) return [];
  const below = pile.into.flatMap((part, i) => toldOfSort(part, said, table, vocabulary, `${path}${i}`));
  const meant = said[path];
  const ways = meant === undefined ? [] : waysOf(pile, table, vocabulary);
  const chosen = meant === undefined ? undefined : ways[meant];
  const offered = [...new Set(ways.map(({ characterId }) => characterId))];
  if (!chosen || offered.length < 2) return below;
  return [{ offered, told: [chosen.characterId] }, ...below];
}

/** A state read off one specimen by the pile it was put on. */
export interface SortReading {
  characterId: string;
  /** Place of the specimen on the table. */
  specimen: number;
  right: string[];
  said: string;
}

/**
 * A sort as observations: who puts a specimen on the pile of a state has read that state off it. Of sorts by a size, and of a pile that stands for
 * more than one state, only the specimens that lie right are readings.
 */
export function readingsOfSort(
  { specimens, parting, into }: SortedPile,
  table: readonly OnTable[],
): SortReading[] {
  if (!into) return [];
  const below = into.flatMap((pile) => readingsOfSort(pile, table));
  if (!parting) return below;
  const here = specimens.flatMap((specimen, place): SortReading[] => {
    const trait = table[specimen]!.known[parting.characterId];
    const side = into[0].specimens.includes(specimen) ? parting.first : parting.second;
    const right = statesOf(trait);
    if (!side || right.length === 0) return [];
    const said = parting.slips.includes(place) ? stateSaid(side) : right[0]!;
    return said === undefined ? [] : [{ characterId: parting.characterId, specimen, right, said }];
  });
  return [...here, ...below];
}

const statesOf = (trait: Trait | undefined): string[] => {
  if (typeof trait === 'boolean') return [trait ? 'yes' : 'no'];
  return trait === undefined || typeof trait === 'number' ? [] : [trait].flat().map(String);
};

/** The one state that a pile stands for; undefined where it is several. */
function stateSaid({ states, present }: Condition): string | undefined {
  if (states) return states.length === 1 && present !== false ? states[0] : undefined;
  return present === undefined ? undefined : present ? 'yes' : 'no';
}
