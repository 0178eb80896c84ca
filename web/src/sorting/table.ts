import type { ProfiledTaxon } from '@hurrow/core/evidence';
import { conditionInWords } from '@hurrow/core/condition';
import { randomFrom } from '@hurrow/core/random';
import type { Audience, UnitSystem } from '@hurrow/core/score';
import { partingsOf, type Known, type Parting, type Pile } from '@hurrow/core/sorting';
import { DRAWN, sampleSpecimen, type Traits } from '@hurrow/core/specimen';
import type { View } from '@hurrow/core/view';
import { characterName } from '@hurrow/core/score';
import { SHOWN_BY, type Vocabulary } from '@hurrow/core/vocabulary';

/** A specimen on the table: one individual of a tree. */
export interface OnTable {
  taxonId: string;
  traits: Traits;
  known: Known;
}

export const ON_TABLE = 12;

/** Specimens laid on the table: of a list no tree twice before each was there once, every one an individual of its own. */
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

/** What a drawing of these organs shows of an individual. */
export const knownOf = ({ values }: Traits, vocabulary: Vocabulary, view: View): Known =>
  Object.fromEntries(
    DRAWN.flatMap((id) => {
      const character = vocabulary.get(id);
      const value = values[id];
      return character && value !== undefined && view.organs.includes(SHOWN_BY[character.organ])
        ? [[id, value] as const]
        : [];
    }),
  );

/** The way to a pile from the first: 0 is the first of the two, 1 the second. */
export type PilePath = readonly number[];

export function pileAt(root: Pile, path: PilePath): Pile {
  return path.reduce((pile, step) => pile.into?.[step] ?? pile, root);
}

/** The piles with another one at a path. */
export function replaced(root: Pile, path: PilePath, pile: Pile): Pile {
  const [step, ...rest] = path;
  if (step === undefined || !root.into) return pile;
  const [first, second] = root.into;
  return {
    ...root,
    into: step === 0 ? [replaced(first, rest, pile), second] : [first, replaced(second, rest, pile)],
  };
}

/** A pile put together again. */
export const together = (root: Pile, path: PilePath): Pile =>
  replaced(root, path, { specimens: pileAt(root, path).specimens });

/** Piles that are sorted no further, with the way to each. */
export function openPiles(root: Pile, path: PilePath = []): { pile: Pile; path: PilePath }[] {
  return root.into ? root.into.flatMap((pile, i) => openPiles(pile, [...path, i])) : [{ pile: root, path }];
}

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

interface Words {
  vocabulary: Vocabulary;
  audience: Audience;
  units: UnitSystem;
}

/** What one of two piles shows, in the course's words; “the others” where it holds what shows none of it. */
export function pileInWords(parting: Parting, step: number, { vocabulary, audience, units }: Words): string {
  const shows = step === 0 ? parting.first : parting.second;
  return shows ? conditionInWords(shows, vocabulary, audience, units) : 'the others';
}

/** A way of parting, by the pile that shows something. */
export const wayInWords = (parting: Parting, words: Words): string =>
  pileInWords(parting, parting.first ? 0 : 1, words);

/** What parts a sort, as a sentence: the character, and who lies on the other side of it. */
export function partingInWords(
  parting: Parting | undefined,
  pile: Pile,
  { vocabulary, audience }: Words,
): string {
  if (!parting) return 'No one thing that the drawings show parts them so. What did you go by?';
  const name = characterName(vocabulary.get(parting.characterId)!, audience);
  const odd = parting.slips.map((at) => pile.specimens[at]! + 1);
  if (odd.length === 0) return `What parts them: ${name}.`;
  const who = odd.length === 1 ? `no. ${odd[0]!} lies` : `nos. ${odd.join(' and ')} lie`;
  return `What parts them: ${name}; only ${who} on the other side of it. Look again?`;
}
