import type { ProfiledTaxon, ReadingOptions } from '../evidence/index.ts';
import type { MarkingPolicy, NamedTaxon } from '../names/index.ts';
import { drawingToSvg, drawPlate, partsInWords, sampleSpecimen, type Traits } from '../specimen/index.ts';
import type { UnitSystem } from '../score/index.ts';
import type { Vocabulary } from '../vocabulary/index.ts';
import { seeingQuestion, type SeeingQuestion } from './seeing.ts';
import type { FrozenStation, PlannedStation } from './station.ts';

export interface FreezeContext extends ReadingOptions {
  revision: number;
  list: readonly ProfiledTaxon[];
  vocabulary: Vocabulary;
  marking: MarkingPolicy;
  units: UnitSystem;
}

const FRAME = { width: 360, height: 300 };

/** Fixes a station as the quiz opens: the names accepted, the view, and of a drawing station the individual with its drawing. */
export function freezeStation(station: PlannedStation, seed: number, context: FreezeContext): FrozenStation {
  const truth = context.list.find(({ taxon }) => taxon.id === station.taxonId);
  if (!truth) throw new Error('The taxon of a station must be on the taught list');
  const drawn = station.medium === 'drawing' ? drawStation(truth, station, seed, context) : undefined;
  return {
    revision: context.revision,
    truth: station.taxonId,
    list: context.list.map(({ taxon }) => namesOnly(taxon)),
    marking: context.marking,
    view: station.view,
    medium: station.medium,
    seed,
    traits: drawn?.traits ?? null,
    drawing: drawn?.drawing ?? null,
    ...(station.asks?.length ? { asks: questionsOf(station, truth, drawn?.traits ?? null, context) } : {}),
  };
}

/**
 * The individual of a drawing station and its drawing. A cutting, a tree or a piece of bark on the table is never drawn: students look at
 * it, and a drawing would show them another.
 */
function drawStation(
  truth: ProfiledTaxon,
  { view }: PlannedStation,
  seed: number,
  context: FreezeContext,
): { traits: Traits; drawing: string } | undefined {
  const traits = sampleSpecimen(truth, context.vocabulary, view, seed, context);
  const plate = drawPlate(traits, view.organs, { ...FRAME, units: context.units });
  return plate && { traits, drawing: drawingToSvg(plate, partsInWords(traits, view.organs)) };
}

/** The questions of a station; those that cannot be read off what it shows on the day are left out. */
const questionsOf = (
  { asks = [], view }: PlannedStation,
  truth: ProfiledTaxon,
  traits: Traits | null,
  context: FreezeContext,
): SeeingQuestion[] =>
  asks.flatMap((id) => seeingQuestion(id, truth, context.vocabulary, view, traits, context) ?? []);

const namesOnly = (taxon: NamedTaxon): NamedTaxon => ({
  id: taxon.id,
  rank: taxon.rank,
  genus: taxon.genus,
  epithet: taxon.epithet,
  ...(taxon.infraEpithet ? { infraEpithet: taxon.infraEpithet } : {}),
  ...(taxon.hybrid ? { hybrid: true } : {}),
  family: taxon.family,
  ...(taxon.olderFamilies ? { olderFamilies: taxon.olderFamilies } : {}),
  commonNames: taxon.commonNames,
  synonyms: taxon.synonyms,
});
