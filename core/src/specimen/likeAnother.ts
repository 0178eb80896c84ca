import type { ProfiledTaxon, ReadingOptions } from '../evidence/index.ts';
import { scoresInView } from '../evidence/index.ts';
import { admits, YES_SHARE, type ScoreValue } from '../score/index.ts';
import type { View } from '../view/index.ts';
import type { Vocabulary } from '../vocabulary/index.ts';
import { sampleSpecimen, type Trait, type Traits } from './traits.ts';

/**
 * An individual of a taxon that is as like another individual as its kind can be: of each character it takes what the other has, where its own
 * kind may have it too, and else what its own kind has. Drawn beside the other, what differs is what has to differ.
 *
 * @param model the individual that it is to be like
 * @param options as for `sampleSpecimen`; the same seed and day as of the model
 * @returns an individual; characters that govern others are always its own kind's
 */
export function sampleLike(
  model: Traits,
  profiled: ProfiledTaxon,
  vocabulary: Vocabulary,
  view: View,
  options: ReadingOptions & { typical?: boolean } = {},
): Traits {
  const own = sampleSpecimen(profiled, vocabulary, view, model.seed, options);
  const governing = new Set(
    [...vocabulary.values()].flatMap(({ requires }) => requires.map(({ character }) => character)),
  );
  const values: Record<string, Trait> = {};
  for (const [id, trait] of Object.entries(own.values)) {
    const other = model.values[id];
    const scores = scoresInView(
      profiled.scores.filter(({ characterId }) => characterId === id),
      view,
    );
    const isTheirsToo =
      other !== undefined && !governing.has(id) && scores.some(({ value }) => mayHave(value, other));
    values[id] = isTheirsToo ? other : trait;
  }
  return { ...own, values };
}

/** May an individual with this score have this trait? */
function mayHave(value: ScoreValue, trait: Trait): boolean {
  switch (value.kind) {
    case 'months':
      return false;
    case 'flag':
      return (
        typeof trait === 'boolean' &&
        (trait ? YES_SHARE[value.frequency] > 0.05 : YES_SHARE[value.frequency] < 0.95)
      );
    case 'states': {
      if (typeof trait === 'string') return admits(value, trait);
      if (!Array.isArray(trait)) return false;
      const always = value.states.filter(({ frequency }) => frequency === 'always').map(({ state }) => state);
      return trait.every((state) => admits(value, state)) && always.every((state) => trait.includes(state));
    }
    case 'range': {
      if (typeof trait !== 'number') return false;
      const low = value.low ?? value.min ?? value.typical;
      const high = value.high ?? value.max ?? value.typical;
      return (low === undefined || trait >= low) && (high === undefined || trait <= high);
    }
  }
}
