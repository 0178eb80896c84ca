import { scoresInView, type ProfiledTaxon } from '@hurrow/core/evidence';
import { qualifiersInWords, valueInWords, type Audience, type UnitSystem } from '@hurrow/core/score';
import type { View } from '@hurrow/core/view';
import type { Character } from '@hurrow/core/vocabulary';

/** What a taxon shows of a character in a view, in words, with what it holds for: “needles (shade)”. Empty where it has no score. */
export const shownInWords = (
  profiled: ProfiledTaxon,
  character: Character,
  view: View,
  audience: Audience,
  units: UnitSystem,
): string =>
  scoresInView(
    profiled.scores.filter((score) => score.characterId === character.id),
    view,
  )
    .map((score) => {
      const words = valueInWords(score.value, character, audience, units);
      const qualifiers = qualifiersInWords(score.qualifiers);
      return qualifiers ? `${words} (${qualifiers})` : words;
    })
    .join(' | ');
