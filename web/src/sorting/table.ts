import { plural, t } from '@lingui/core/macro';
import { conditionInWords } from '@hurrow/core/condition';
import type { ProfiledTaxon } from '@hurrow/core/evidence';
import { appraise, couplets, type Key } from '@hurrow/core/key';
import { characterName, type Audience, type UnitSystem } from '@hurrow/core/score';
import type { OnTable, Parting, Pile } from '@hurrow/core/sorting';
import type { Vocabulary } from '@hurrow/core/vocabulary';
import { listInWords } from '../language/inWords.ts';

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
  return shows ? conditionInWords(shows, vocabulary, audience, units) : t`the others`;
}

/** A way of parting, by the pile that shows something. */
export const wayInWords = (parting: Parting, words: Words): string =>
  pileInWords(parting, parting.first ? 0 : 1, words);

/** What stands at a specimen: its tag, where it is a real twig, else its number. */
export const calledAt = (table: readonly OnTable[], place: number): string =>
  table[place]?.tag ?? String(place + 1);

/** What parts a sort, as a sentence: the character, and who lies on the other side of it. */
export function partingInWords(
  parting: Parting | undefined,
  pile: Pile,
  { vocabulary, audience }: Words,
  table: readonly OnTable[],
): string {
  const isReal = table.some(({ tag }) => tag !== undefined);
  if (!parting)
    return t`No one thing that ${isReal ? t`all twigs of these trees` : t`the drawings`} show parts them so. What did you go by?`;
  const name = characterName(vocabulary.get(parting.characterId)!, audience);
  const odd = parting.slips.map((at) => calledAt(table, pile.specimens[at]!));
  if (odd.length === 0) return t`What parts them: ${name}.`;
  const who = plural(odd.length, { one: `no. ${odd[0]!} lies`, other: `nos. ${listInWords(odd)} lie` });
  return t`What parts them: ${name}; only ${who} on the other side of it. Look again?`;
}

/** Specimens drawn of each tree to appraise a class's own key: it is a small one, on a phone. */
const DRAWN_OF_EACH = 40;

/** What a class's own key is worth with other twigs of the same trees, and at which step most go astray. */
export function keyWorthInWords(key: Key, list: readonly ProfiledTaxon[], vocabulary: Vocabulary): string {
  const { right, weakest } = appraise(key, list, vocabulary, { specimens: DRAWN_OF_EACH });
  const said = t`With other twigs of these trees, ${Math.round(100 * right)} of 100 beginners would come to the right one.`;
  const lost =
    weakest && weakest.lost >= 0.02
      ? couplets(key).findIndex(({ path }) => path.join() === weakest.path.join())
      : -1;
  return lost < 0 ? said : t`${said} Most go astray at step ${lost + 1}.`;
}
