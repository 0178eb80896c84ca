import type { ProfiledTaxon, ReadingOptions } from '../evidence/index.ts';
import type { MarkingPolicy, NamedTaxon } from '../names/index.ts';
import type { Outcome } from '../outcome/index.ts';
import { drawingToSvg, partsInWords, type Traits } from '../specimen/index.ts';
import type { UnitSystem } from '../score/index.ts';
import type { View } from '../view/index.ts';
import type { Vocabulary } from '../vocabulary/index.ts';
import { fixQuestion, sheetOf, type FrozenQuestion, type QuestionContext } from './question/index.ts';
import { seeingQuestion, type SeeingQuestion } from './seeing.ts';
import { choicesOf } from './choices.ts';
import { checklistOf } from './wentBy.ts';
import { individualOf, type DrawingContext } from './individual.ts';
import type { FrozenStation, PlannedStation } from './station.ts';

export interface FreezeContext extends ReadingOptions {
  revision: number;
  list: readonly ProfiledTaxon[];
  vocabulary: Vocabulary;
  marking: MarkingPolicy;
  units: UnitSystem;
  /** How often each character is offered by the checklists of the stations before. */
  offered?: ReadonlyMap<string, number>;
  /** How doubtful it still is whether the class uses each character, 0–1. */
  doubtful?: Readonly<Record<string, number>>;
}

/**
 * Fixes a station as the quiz opens: the names accepted, the view, what is asked, and of a drawing station the individual with its drawing. Throws
 * where its question cannot be asked (`questionAt`).
 */
export function freezeStation(station: PlannedStation, seed: number, context: FreezeContext): FrozenStation {
  const truth = context.list.find(({ taxon }) => taxon.id === station.taxonId);
  if (!truth) throw new Error('The taxon of a station must be on the taught list');
  const drawn = station.medium === 'drawing' ? individualOf(truth, station, seed, context) : undefined;
  const asked = questionAt(station, seed, context);
  if (asked && !asked.ok) throw new Error(`The station ${asked.problem}`);
  const question = asked?.value;
  // What is no name was not arrived at by what tells trees apart: nothing is asked, offered or hinted at besides.
  const wentBy =
    station.wentBy && !question
      ? checklistOf(station.taxonId, context.list, context.vocabulary, station.view, { ...context, seed })
      : [];
  return {
    revision: context.revision,
    truth: station.taxonId,
    list: context.list.map(({ taxon }) => namesOnly(taxon)),
    marking: context.marking,
    view: station.view,
    medium: station.medium,
    seed,
    traits: drawn?.traits ?? null,
    drawing: pictureOf(drawn, question, station.view, context),
    ...(station.asks?.length && !question
      ? { asks: questionsOf(station, truth, drawn?.traits ?? null, context) }
      : {}),
    ...(wentBy.length ? { wentBy } : {}),
    ...(station.prompt && !question ? { prompt: station.prompt } : {}),
    ...(question ? { question } : {}),
    ...(station.choose && !question
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
 * What students look at where it is drawn, as SVG without any name: the individual, or the sheet of those that are sorted.
 *
 * @param drawn the station's individual; undefined where it is not drawn
 * @returns null where nothing is drawn
 */
export function pictureOf(
  drawn: ReturnType<typeof individualOf>,
  question: FrozenQuestion | undefined,
  view: View,
  context: DrawingContext & { list: readonly ProfiledTaxon[] },
): string | null {
  if (question?.items) return sheetOf(question.items, view, context);
  return drawn ? drawingToSvg(drawn.plate, partsInWords(drawn.traits, view.organs)) : null;
}

/**
 * The question of a station as opening fixes it, of the individual that is drawn where one is.
 *
 * @param station its view with the day of the quiz
 * @returns undefined where the name is asked; refused, in words that stand behind “Station 3”, where the question cannot be asked
 * @example
 * questionAt({ question: { kind: 'state', characterId: 'bark.surface' }, … }, 1, context);
 * // { ok: false, problem: 'asks for “bark surface”, which is not to be seen in what it shows, …' }
 */
export function questionAt(
  station: PlannedStation,
  seed: number,
  context: QuestionContext,
): Outcome<FrozenQuestion> | undefined {
  const { question, taxonId, view, medium } = station;
  const truth = context.list.find(({ taxon }) => taxon.id === taxonId);
  if (!question || !truth) return undefined;
  const drawn = medium === 'drawing' ? individualOf(truth, station, seed, context) : undefined;
  return fixQuestion(
    question,
    { truth, view, traits: drawn?.traits ?? null, drawn: medium === 'drawing', seed },
    context,
  );
}

/** The “what do you see” questions of a station; those that cannot be read off what it shows on the day are left out. */
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
