import { derivedShare, scoresInView, type ProfiledTaxon, type ReadingOptions } from '@hurrow/core/evidence';
import { qualifiersInWords, valueInWords, type Audience, type UnitSystem } from '@hurrow/core/score';
import type { View } from '@hurrow/core/view';
import type { Character } from '@hurrow/core/vocabulary';

/** From these shares on nearly none or nearly all specimens show what is worked out. */
const [NONE, ALL] = [0.05, 0.95];

/**
 * What a taxon shows of a character in a view, in words, with what it holds for: “needles (shade)”; “yes”, “no” or “some” for what is worked
 * out. Empty where it has no score.
 */
export function shownInWords(
  profiled: ProfiledTaxon,
  character: Character,
  view: View,
  audience: Audience,
  units: UnitSystem,
  options: ReadingOptions = {},
): string {
  if (character.derived) {
    const share = derivedShare(profiled, character.id, view, options);
    return share === undefined ? '' : share <= NONE ? 'no' : share >= ALL ? 'yes' : 'some';
  }
  return scoresInView(
    profiled.scores.filter((score) => score.characterId === character.id),
    view,
  )
    .map((score) => {
      const words = valueInWords(score.value, character, audience, units);
      const qualifiers = qualifiersInWords(score.qualifiers);
      return qualifiers ? `${words} (${qualifiers})` : words;
    })
    .join(' | ');
}
