import {
  contrast,
  saidLines,
  settlingInWords,
  type ProfiledTaxon,
  type ReadingOptions,
  type SaidLine,
} from '../evidence/index.ts';
import type { Audience, UnitSystem } from '../score/index.ts';
import {
  drawingToSvg,
  drawPlate,
  partsInWords,
  sampleLike,
  sampleSpecimen,
  type Traits,
} from '../specimen/index.ts';
import type { Vocabulary } from '../vocabulary/index.ts';
import { FRAME, type FrozenStation } from './station.ts';

export interface BesideMistake {
  /** Drawings as SVG markup; null where nothing of it can be drawn in the view. */
  right: string | null;
  taken: string | null;
  /** What tells the two apart in the view, the first thing to look at first; each shows the right tree's, then the other's. */
  lines: SaidLine[];
  settles: string | undefined;
}

export interface BesideContext extends ReadingOptions {
  vocabulary: Vocabulary;
  units: UnitSystem;
  audience: Audience;
}

/**
 * The tree of a station beside the one that it was taken for: both drawn alike but for what must differ, with what tells them apart. Where a
 * drawing was looked at, the right tree is that very individual; where a specimen lay on the table, both are typical ones.
 *
 * @param truth the tree of the station
 * @param taken the tree that it was taken for
 */
export function besideMistake(
  station: Pick<FrozenStation, 'view' | 'seed' | 'traits'>,
  truth: ProfiledTaxon,
  taken: ProfiledTaxon,
  { vocabulary, units, audience, ...options }: BesideContext,
): BesideMistake {
  const { view, seed } = station;
  const typical = station.traits === null;
  const own = station.traits ?? sampleSpecimen(truth, vocabulary, view, seed, { ...options, typical });
  const other = sampleLike(own, taken, vocabulary, view, { ...options, typical });
  const drawn = (traits: Traits): string | null => {
    const plate = drawPlate(traits, view.organs, { ...FRAME, units });
    return plate ? drawingToSvg(plate, partsInWords(traits, view.organs)) : null;
  };
  const found = contrast([truth, taken], truth.taxon.id, taken.taxon.id, vocabulary, view, options);
  const wording = { view, vocabulary, audience, units, ...options };
  return {
    right: drawn(own),
    taken: drawn(other),
    lines: saidLines(found, truth, taken, wording),
    settles: settlingInWords(found, wording),
  };
}
