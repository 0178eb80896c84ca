import { conditionInWords } from '@hurrow/core/condition';
import { characterName, type Audience, type UnitSystem } from '@hurrow/core/score';
import type { Parting, Pile } from '@hurrow/core/sorting';
import type { Vocabulary } from '@hurrow/core/vocabulary';

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
