import { isDeciduous, leafyShare, type ProfiledTaxon, type ReadingOptions } from '../evidence/index.ts';
import { hopkinsDelay, partPresent, shiftCalendar, type Calendar } from '../season/index.ts';
import { enoughToDraw } from '../specimen/index.ts';
import { fairnessOf, Reader, type Question } from '../station/index.ts';
import type { View } from '../view/index.ts';
import type { Part, ShownOrgan, Vocabulary } from '../vocabulary/index.ts';
import { STATION_KINDS, viewOfKind, type StationKind } from './kinds.ts';

/** A station that could be set. */
export interface Candidate {
  /** Taxon and kind, with what is asked where that is not the name: `abies-grandis cutting`, `abies-grandis cutting genus`. */
  id: string;
  taxonId: string;
  kind: string;
  view: View;
  /** P(correct) of the ideal reader, 0–1. */
  right: number;
  /** P(correct) of a beginner who reads all that is shown, 0–1. */
  beginner: number;
  /** Who cannot be excluded, the commonest first, with its share of readings. */
  rivals: { taxonId: string; share: number }[];
  /** What beginners take it for, the commonest first, with its share of their readings. */
  taken: { taxonId: string; share: number }[];
  /** Characters that could tell it from one of its rivals: what its answers would teach us of the class. */
  tells: string[];
  /** What is asked in place of the name. */
  question?: Question;
  /** Is the name chosen of four? */
  choose?: true;
  /** How well what is asked suits just this station, 0–1. */
  suits?: number;
}

/** Why a tree cannot be shown in a kind of station on a day. */
export type NotPossible = 'not there' | 'in leaf' | 'bare' | 'protected' | 'not drawn';

export interface CandidateTable {
  candidates: Candidate[];
  /** By taxon and kind, what keeps it from being set. */
  notPossible: Record<string, NotPossible>;
}

export interface CandidateOptions extends ReadingOptions {
  /** Day of the year of the quiz. */
  day: number;
  kinds?: readonly StationKind[];
  /** Readings simulated for each. */
  draws?: number;
  progress?(share: number): void;
}

/** Enough to tell fair from unfair as candidates; those that are chosen are judged by 4,000. */
const DRAWS = 240;
const BEGINNER_DRAWS = 120;
const SEED = 1;
/** A twig is taken to be in leaf where half of its trees are. */
const MOSTLY = 0.5;
/** Evidence, nats, from which on a character could tell. */
const TELLS = 0.5;
/** So many rivals are looked at for what tells. */
const RIVALS = 4;

/**
 * Every station that could be set of a list on a day, with how fair it is: tree by kind of station, without what is not on the tree, what is
 * protected and would have to be cut, and what could be drawn by guess only.
 *
 * @example
 * candidatesOf(list, BUILT_IN, { day: 288 }).candidates[0]; // { id: 'abies-grandis cutting', right: 0.97, … }
 */
export function candidatesOf(
  list: readonly ProfiledTaxon[],
  vocabulary: Vocabulary,
  { day, kinds = STATION_KINDS, draws = DRAWS, progress, ...options }: CandidateOptions,
): CandidateTable {
  const table: CandidateTable = { candidates: [], notPossible: {} };
  const delay = options.reference && options.site ? hopkinsDelay(options.reference, options.site) : 0;
  const calendars = list.map(({ taxon }) => shiftCalendar(taxon.calendar, delay));
  kinds.forEach((kind, i) => {
    progress?.(i / kinds.length);
    const view = viewOfKind(kind, day);
    const reader = new Reader(list, vocabulary, view, options);
    const beginner = new Reader(list, vocabulary, view, { ...options, reader: 'novice' });
    list.forEach((profiled, t) => {
      const bears = carriedBy(profiled, calendars[t]!, day);
      const id = `${profiled.taxon.id} ${kind.id}`;
      const against = obstacle(profiled, kind, view, calendars[t]!, vocabulary);
      if (against) {
        table.notPossible[id] = against;
        return;
      }
      const { right, rivals } = fairnessOf(reader, t, draws, SEED);
      const novice = fairnessOf(beginner, t, BEGINNER_DRAWS, SEED);
      table.candidates.push({
        id,
        taxonId: profiled.taxon.id,
        kind: kind.id,
        // Of a living tree is shown what it carries that day.
        view: kind.medium === 'livingTree' ? { ...view, organs: view.organs.filter(bears) } : view,
        right,
        beginner: novice.right,
        rivals: rivals.slice(0, RIVALS),
        taken: novice.rivals.slice(0, RIVALS),
        tells: tellingOf(beginner, t, novice.rivals),
      });
    });
  });
  progress?.(1);
  return table;
}

/** Which organs a tree carries on a day. */
const carriedBy =
  (profiled: ProfiledTaxon, calendar: Calendar, day: number) =>
  (organ: ShownOrgan): boolean =>
    !SEASONAL[organ] || partPresent(SEASONAL[organ], calendar, isDeciduous(profiled), day);

const SEASONAL: Partial<Record<ShownOrgan, Part>> = { leaf: 'leaves', flower: 'flowers', fruit: 'fruit' };

function obstacle(
  profiled: ProfiledTaxon,
  kind: StationKind,
  view: View,
  calendar: Calendar,
  vocabulary: Vocabulary,
): NotPossible | undefined {
  if (kind.cut && profiled.taxon.cautions.some((caution) => caution.kind === 'protected')) return 'protected';
  const deciduous = isDeciduous(profiled);
  // What is pressed was gathered in its time; what is drawn can be drawn as on any day.
  const isFresh = kind.medium !== 'pressed' && kind.medium !== 'drawing';
  const leafy = leafyShare(calendar, deciduous, { day: view.day, organs: view.organs });
  if (isFresh && kind.leaves === 'on' && leafy < MOSTLY) return 'bare';
  if (kind.leaves === 'off' && (!deciduous || (isFresh && leafy > 1 - MOSTLY))) return 'in leaf';
  const bears = (part: 'fruit' | 'flowers') => partPresent(part, calendar, deciduous, view.day);
  if (isFresh && kind.medium !== 'livingTree' && view.organs.includes('fruit') && !bears('fruit'))
    return 'not there';
  if (
    kind.medium === 'drawing' &&
    enoughToDraw(profiled, view, vocabulary, calendar).some(({ enough }) => !enough)
  )
    return 'not drawn';
  return undefined;
}

/** Characters that a beginner could tell a specimen of t by from those that beginners take it for; where there are none, from its relatives. */
function tellingOf(reader: Reader, t: number, taken: readonly { taxonId: string }[]): string[] {
  const { taxa } = reader.readings;
  const genus = taxa[t]!.taxon.genus;
  const isRival = (k: number) =>
    taken.length > 0
      ? taken.slice(0, RIVALS).some(({ taxonId }) => taxonId === taxa[k]!.taxon.id)
      : k !== t && taxa[k]!.taxon.genus === genus;
  return [
    ...new Set(
      reader
        .evidenceOf(t)
        .filter((_, k) => isRival(k))
        .flatMap((entries) => entries.filter(({ evidence }) => evidence >= TELLS))
        .map(({ characterId }) => characterId),
    ),
  ];
}
