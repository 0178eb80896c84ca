import type { ProfiledTaxon, ReadingOptions } from '../evidence/index.ts';
import type { UnitSystem } from '../score/index.ts';
import { drawPlate, sampleSpecimen, type Drawing, type Traits } from '../specimen/index.ts';
import type { Vocabulary } from '../vocabulary/index.ts';
import { FRAME, type PlannedStation } from './station.ts';

/** What a specimen is drawn with. */
export interface DrawingContext extends Pick<ReadingOptions, 'reference' | 'site'> {
  vocabulary: Vocabulary;
  units: UnitSystem;
}

/**
 * The individual that students see at a drawing station: what is previewed as it is planned, and fixed as it opens. A cutting, a tree or a
 * piece of bark on the table is never drawn: students look at it, and a drawing would show them another. Undefined where nothing of it can
 * be drawn on the day.
 *
 * @param station its view with the day of the quiz
 */
export function individualOf(
  truth: ProfiledTaxon,
  { view }: Pick<PlannedStation, 'view'>,
  seed: number,
  context: DrawingContext,
): { traits: Traits; plate: Drawing } | undefined {
  const traits = sampleSpecimen(truth, context.vocabulary, view, seed, context);
  const plate = drawPlate(traits, view.organs, { ...FRAME, units: context.units });
  return plate && { traits, plate };
}
