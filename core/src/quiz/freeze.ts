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

/** Fixes a station as the quiz opens: the names accepted, the view, and the individual drawn with its drawing. */
export function freezeStation(station: PlannedStation, seed: number, context: FreezeContext): FrozenStation {
  const truth = context.list.find(({ taxon }) => taxon.id === station.taxonId);
  if (!truth) throw new Error('The taxon of a station must be on the taught list');
  const traits = sampleSpecimen(truth, context.vocabulary, station.view, seed, context);
  const plate = drawPlate(traits, station.view.organs, {
    ...FRAME,
    units: context.units,
    // With a lens the parts that it shows are drawn enlarged, without one the cutting lies as it is.
    lying: station.medium === 'cutting' && !station.view.aids.includes('lens'),
  });
  const drawing = plate ? drawingToSvg(plate, partsInWords(traits, station.view.organs)) : null;
  return {
    revision: context.revision,
    truth: station.taxonId,
    list: context.list.map(({ taxon }) => namesOnly(taxon)),
    marking: context.marking,
    view: station.view,
    medium: station.medium,
    seed,
    traits: plate ? traits : null,
    drawing,
    ...(station.asks?.length
      ? { asks: questionsOf(station, truth, plate && drawn(station.medium) ? traits : null, context) }
      : {}),
  };
}

/** Is it the individual of the drawing that students look at, and no living tree or cutting of their own? */
const drawn = (medium: PlannedStation['medium']): boolean => medium === 'drawing';

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
