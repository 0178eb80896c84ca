import {
  characterName,
  qualifiersInWords,
  valueInWords,
  type Audience,
  type UnitSystem,
} from '../score/index.ts';
import type { View } from '../view/index.ts';
import { putIn, sayingOf, type Character, type Vocabulary } from '../vocabulary/index.ts';
import { listedBy } from '../words/index.ts';
import type { Contrast } from './contrast.ts';
import { derivedShare } from './leaves.ts';
import { scoresInView, type ProfiledTaxon, type ReadingOptions } from './profiled.ts';
import { comparedSizes } from './sizes.ts';

/** What words depend on: the view, and to whom they are said. */
export interface Wording extends ReadingOptions {
  view: View;
  vocabulary: Vocabulary;
  audience: Audience;
  units: UnitSystem;
}

/** From these shares on nearly none or nearly all specimens show what is worked out. */
const [NONE, ALL] = [0.05, 0.95];

/**
 * What a taxon shows of a character in a view, in words, with what it holds for: “flat, two-ranked (shade)”; “yes”, “no” or “some” for what
 * is worked out. Empty where it has no score.
 */
export function shownInWords(
  profiled: ProfiledTaxon,
  character: Character,
  { view, audience, units, ...options }: Wording,
): string {
  if (character.derived) {
    const share = derivedShare(profiled, character.id, view, options);
    const { flag, some } = sayingOf(character);
    return share === undefined ? '' : share <= NONE ? flag.never : share >= ALL ? flag.always : some;
  }
  return scoresInView(
    profiled.scores.filter((score) => score.characterId === character.id),
    view,
  )
    .map((score) => {
      const words = valueInWords(score.value, character, audience, units);
      const qualifiers = qualifiersInWords(score.qualifiers, character);
      return qualifiers ? `${words} (${qualifiers})` : words;
    })
    .join(' | ');
}

/** One line of what is said of a pair: “Look at the” “white bands”: “lower face” in one, “both faces” in the other. */
export interface SaidLine {
  lead: string;
  character: string;
  shows: [string, string];
}

const LEADS = ['Look at the', 'Confirm by the', 'Then by the'];

/** What a teacher says of two trees, line by line: look at one thing, confirm by others, each with what either shows. */
export const saidLines = (
  { said }: Pick<Contrast, 'said'>,
  a: ProfiledTaxon,
  b: ProfiledTaxon,
  wording: Wording,
): SaidLine[] =>
  said.map((id, i): SaidLine => {
    const character = wording.vocabulary.get(id)!;
    return {
      lead: LEADS[i]!,
      character: characterName(character, wording.audience),
      shows: shownBeside(a, b, character, wording),
    };
  });

/** What each of two trees shows of a character. Sizes are set against each other first, the figure after it: “about twice as long, 12–25 cm”. */
function shownBeside(
  a: ProfiledTaxon,
  b: ProfiledTaxon,
  character: Character,
  wording: Wording,
): [string, string] {
  const shows: [string, string] = [shownInWords(a, character, wording), shownInWords(b, character, wording)];
  const [ofA, ofB] = [a, b].map(({ scores }) =>
    scoresInView(
      scores.filter(({ characterId }) => characterId === character.id),
      wording.view,
    ),
  );
  const only = (held: typeof ofA) => (held?.length === 1 ? held[0]!.value : undefined);
  const compared = comparedSizes(only(ofA), only(ofB), character);
  return compared ? [`${compared[0]}, ${shows[0]}`, `${compared[1]}, ${shows[1]}`] : shows;
}

/**
 * How far what is said settles the pair: “The first settles it alone”; with what else must be looked at where three do not suffice.
 * Undefined where nothing seen settles it.
 */
export function settlingInWords(
  { deciding, said }: Pick<Contrast, 'deciding' | 'said'>,
  { vocabulary, audience }: Pick<Wording, 'vocabulary' | 'audience'>,
): string | undefined {
  if (deciding.length === 0) return undefined;
  const more = deciding.filter((id) => !said.includes(id)).map((id) => vocabulary.get(id)!);
  if (more.length > 0) {
    const { and, together } = sayingOf(more[0]);
    const names = more.map((character) => characterName(character, audience));
    return putIn(together, listedBy(names, and));
  }
  if (deciding.length === 1) return 'The first settles it alone';
  return deciding.length === 2 && said.length > 2
    ? 'The first two settle it together'
    : 'Together they settle it';
}
