import { unitFactor, valueInWords, type Audience, type UnitSystem } from '../score/index.ts';
import { listInWords } from '../view/index.ts';
import { stateOf, type ShownOrgan, type Vocabulary } from '../vocabulary/index.ts';
import { SHOWN_BY } from '../vocabulary/index.ts';
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
      return listInWords(
        ids
          .map((id) => stateOf(character, id))
          .map((state) => (audience === 'plain' ? state?.plain : state?.term) ?? ''),
      );
    }
  });
  return phrases.length ? `${phrases.join('; ')}.` : 'Nothing of this specimen is described.';
}

/**
 * What parts a drawing shows, without a word on what they are like: a text for a quiz, which must not give the answer away.
 */
export function partsInWords(traits: Traits, organs: readonly ShownOrgan[]): string {
  const parts = drawParts(traits, organs).map(({ part }) =>
    part === 'shoot' && !organs.includes('twig') && !organs.includes('bud')
      ? 'a leaf from both sides'
      : part === 'shoot' && !traits.leafy
        ? 'a bare twig'
        : PART_TITLES[part],
  );
  return parts.length
    ? `The specimen at this station: ${listInWords(parts)}, each with a scale bar.`
    : 'Nothing of this specimen is drawn.';
}
