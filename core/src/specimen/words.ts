import { unitFactor, valueInWords, type Audience, type UnitSystem } from '../score/index.ts';
import { listInWords, type Spoken } from '../view/index.ts';
import { putIn, sayingOf, SHOWN_BY, stateOf, type ShownOrgan, type Vocabulary } from '../vocabulary/index.ts';
import { listedBy } from '../words/index.ts';
import { drawParts } from './draw.ts';
import { PART_TITLES } from './plate/plate.ts';
import type { Trait, Traits } from './traits.ts';

/**
 * What a drawing shows, in words at the audience's level: the states of the individual, organ by organ. It names no taxon.
 * Characters in `hidden` are left out: those that a student is to find.
 */
export function traitsInWords(
  traits: Traits,
  organs: readonly ShownOrgan[],
  vocabulary: Vocabulary,
  audience: Audience,
  units: UnitSystem = 'metric',
  hidden: readonly string[] = [],
): string {
  const saying = sayingOf(vocabulary.values().next().value);
  const phrases = [...vocabulary.values()].flatMap((character) => {
    const trait = hidden.includes(character.id) ? undefined : traits.values[character.id];
    if (trait === undefined || !organs.includes(SHOWN_BY[character.organ])) return [];
    const name = audience === 'plain' ? character.plain : character.term;
    if (typeof trait === 'boolean') return trait ? [name] : [];
    return [`${name}: ${words(trait)}`];

    function words(value: Exclude<Trait, boolean>): string {
      if (typeof value === 'number') {
        const rounded =
          character.kind === 'count'
            ? value
            : Number((value / unitFactor(character)).toPrecision(2)) * unitFactor(character);
        return valueInWords({ kind: 'range', low: rounded, high: rounded }, character, audience, units);
      }
      const ids = Array.isArray(value) ? value : [value];
      return listedBy(
        ids
          .map((id) => stateOf(character, id))
          .map((state) => (audience === 'plain' ? state?.plain : state?.term) ?? ''),
        saying.and,
      );
    }
  });
  return phrases.length ? `${phrases.join('; ')}.` : saying.undescribed;
}

/**
 * What parts a drawing shows, without a word on what they are like: a text for a quiz, which must not give the answer away.
 *
 * @param saying another language than English: each fixed word and sentence goes through `say`
 * @example
 * partsInWords(traits, ['bark']); // 'The specimen at this station: a piece of bark, each with a scale bar.'
 */
export function partsInWords(
  traits: Traits,
  organs: readonly ShownOrgan[],
  { say, list }: Spoken = { say: (word) => word, list: listInWords },
): string {
  const parts = drawParts(traits, organs).map(({ part }) =>
    part === 'shoot' && !organs.includes('twig') && !organs.includes('bud')
      ? 'a leaf from both sides'
      : part === 'shoot' && !traits.leafy
        ? 'a bare twig'
        : PART_TITLES[part],
  );
  return parts.length
    ? putIn(say('The specimen at this station: #, each with a scale bar.'), list(parts.map(say)))
    : say('Nothing of this specimen is drawn.');
}
