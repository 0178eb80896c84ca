import type { ProfiledTaxon, ReadingOptions } from '../evidence/index.ts';
import type { MarkingPolicy, NamedTaxon } from '../names/index.ts';
import {
  drawingToSvg,
  drawPlate,
  partsInWords,
  sampleSpecimen,
  type Traits,
  type Drawing,
} from '../specimen/index.ts';
import type { UnitSystem } from '../score/index.ts';
import type { Vocabulary } from '../vocabulary/index.ts';
import { seeingQuestion, type SeeingQuestion } from './seeing.ts';
import { choicesOf } from './choices.ts';
import { checklistOf } from './wentBy.ts';
import { FRAME, type FrozenStation, type PlannedStation } from './station.ts';

export interface FreezeContext extends ReadingOptions {
  revision: number;
  list: readonly ProfiledTaxon[];
  vocabulary: Vocabulary;
  marking: MarkingPolicy;
  units: UnitSystem;
  /** How often each character is offered by the checklists of the stations before. */
  offered?: ReadonlyMap<string, number>;
}

/** Fixes a station as the quiz opens: the names accepted, the view, and of a drawing station the individual with its drawing. */
export function freezeStation(station: PlannedStation, seed: number, context: FreezeContext): FrozenStation {
  const truth = context.list.find(({ taxon }) => taxon.id === station.taxonId);
  if (!truth) throw new Error('The taxon of a station must be on the taught list');
  const wentBy = station.wentBy
    ? checklistOf(station.taxonId, context.list, context.vocabulary, station.view, { ...context, seed })
    : [];
  const drawn = station.medium === 'drawing' ? individualOf(truth, station, seed, context) : undefined;
  return {
    revision: context.revision,
    truth: station.taxonId,
    list: context.list.map(({ taxon }) => namesOnly(taxon)),
    marking: context.marking,
    view: station.view,
    medium: station.medium,
    seed,
    traits: drawn?.traits ?? null,
    drawing: drawn ? drawingToSvg(drawn.plate, partsInWords(drawn.traits, station.view.organs)) : null,
    ...(station.asks?.length ? { asks: questionsOf(station, truth, drawn?.traits ?? null, context) } : {}),
    ...(wentBy.length ? { wentBy } : {}),
    ...(station.prompt ? { prompt: station.prompt } : {}),
    ...(station.choose
      ? {
          choices: choicesOf(station.taxonId, context.list, context.vocabulary, station.view, {
            ...context,
            seed,
          }),
        }
      : {}),
  };
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
  context: Pick<FreezeContext, 'vocabulary' | 'units' | 'reference' | 'site'>,
): { traits: Traits; plate: Drawing } | undefined {
  const traits = sampleSpecimen(truth, context.vocabulary, view, seed, context);
  const plate = drawPlate(traits, view.organs, { ...FRAME, units: context.units });
  return plate && { traits, plate };
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
