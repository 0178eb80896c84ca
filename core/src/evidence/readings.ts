import {
  hopkinsDelay,
  inArc,
  partPresent,
  shiftCalendar,
  wrapDay,
  type Calendar,
  type Place,
} from '../season/index.ts';
import {
  admits,
  qualifierKey,
  stateWeights,
  YES_SHARE,
  type AdoptedScore,
  type RangeValue,
  type ScoreValue,
} from '../score/index.ts';
import type { Taxon } from '../taxon/index.ts';
import { perceivable, type View } from '../view/index.ts';
import { applies, type Character, type Vocabulary } from '../vocabulary/index.ts';
import { countPmf, rangeModel, gridFor, measurePmf, type Grid } from './numbers.ts';

/** A taxon with its adopted scores: what every computation of the heart works on. */
export interface ProfiledTaxon {
  taxon: Taxon;
  scores: AdoptedScore[];
}

/** How often a state is misread: by an expert taking care, by a beginner, or never ("exact": what the scores themselves say). */
export type Reader = 'careful' | 'novice' | 'exact';

export interface ReadingOptions {
  reader?: Reader;
  /** Where the calendars were recorded and where the view is; without both, calendars are used as they stand. */
  reference?: Place;
  site?: Place;
}

/**
 * One thing that can be read, with its distribution of readings for each taxon. A one-of character, a number or a flag is
 * one channel; an any-of character has a yes/no channel for each of its states.
 */
export interface Channel {
  character: Character;
  /** The state, for a channel of an any-of character. */
  state?: string;
  /** P(reading | taxon), one row a taxon, over a support that all rows share; undefined where unknown or not visible. */
  rows: (Float64Array | undefined)[];
  /** Square roots of the rows, for Bhattacharyya's coefficient. */
  roots: (Float64Array | undefined)[];
  grid?: Grid;
}

export interface Readings {
  taxa: readonly ProfiledTaxon[];
  view: View;
  reader: Reader;
  /** Channels by character id, in the order of the vocabulary. */
  channels: Map<string, Channel[]>;
  /** For each taxon the characters that are visible and apply but have no score: gaps in the library. */
  gaps: string[][];
}

export const isDeciduous = (profiled: ProfiledTaxon): boolean =>
  profiled.scores.some(
    (score) =>
      score.characterId === 'habit.persistence' &&
      score.value.kind === 'states' &&
      score.value.states[0]?.state === 'deciduous',
  );

/**
 * The distribution of readings of every visible character, for every taxon of a list, in one view (docs/method.md, Evidence).
 * `P(s|a) = Σ_r w_a(r)·C(s|r)`: what the scores say, seen through a noisy reader.
 */
export function readingsOf(
  taxa: readonly ProfiledTaxon[],
  vocabulary: Vocabulary,
  view: View,
  options: ReadingOptions = {},
): Readings {
  const reader = options.reader ?? 'careful';
  const delay = options.reference && options.site ? hopkinsDelay(options.reference, options.site) : 0;
  const seasons = taxa.map((profiled) => ({
    calendar: shiftCalendar(profiled.taxon.calendar, delay),
    deciduous: isDeciduous(profiled),
    byCharacter: groupByCharacter(profiled.scores),
  }));
  const channels = new Map<string, Channel[]>();
  const gaps: string[][] = taxa.map(() => []);

  for (const character of vocabulary.values()) {
    if (!perceivable(character, view)) continue;
    const values = seasons.map((season, i): ScoreValue[] | undefined => {
      if (!partPresent(character.part, season.calendar, season.deciduous, view.day)) return undefined;
      if (character.derived) return [leavesPresent(season.calendar, season.deciduous, view.day)];
      if (!couldApply(character, season.byCharacter)) return undefined;
      const scores = scoresInView(season.byCharacter.get(character.id) ?? NO_SCORES, view);
      if (scores.length === 0) {
        if (couldBeScored(character, season.byCharacter)) gaps[i]!.push(character.id);
        return undefined;
      }
      return scores.map((score) => score.value);
    });
    if (!values.some((value) => value)) continue;
    const made = channelsOf(character, values, reader, view);
    if (made.length > 0) channels.set(character.id, made);
  }
  return { taxa, view, reader, channels, gaps };
}

/** Which of two taxa lacks a score that the other has, though it could be seen in both; undefined where neither or both have it. */
export function lacking(
  readings: Pick<Readings, 'channels' | 'gaps'>,
  characterId: string,
  a: number,
  b: number,
): 'a' | 'b' | undefined {
  const scored = (i: number) =>
    readings.channels.get(characterId)?.some(({ rows }) => rows[i] !== undefined) ?? false;
  if (readings.gaps[a]!.includes(characterId) && scored(b)) return 'a';
  if (readings.gaps[b]!.includes(characterId) && scored(a)) return 'b';
  return undefined;
}

const NO_SCORES: AdoptedScore[] = [];

function groupByCharacter(scores: readonly AdoptedScore[]): Map<string, AdoptedScore[]> {
  const groups = new Map<string, AdoptedScore[]>();
  for (const score of scores) {
    const group = groups.get(score.characterId);
    if (group) group.push(score);
    else groups.set(score.characterId, [score]);
  }
  return groups;
}

/** A dependent character applies while the governing one is unknown or admits one of the states it needs. */
const couldApply = (character: Character, scores: Map<string, AdoptedScore[]>): boolean =>
  applies(
    character,
    (governor, states) =>
      scores.get(governor)?.some((score) => states.some((state) => admits(score.value, state))),
    true,
  );

/** A gap counts only where the governing character is known, so that a conifer is not said to lack leaf teeth. */
const couldBeScored = (character: Character, scores: Map<string, AdoptedScore[]>): boolean =>
  applies(character, (governor) => scores.has(governor), false);

function hasQualifiers({ qualifiers }: AdoptedScore): boolean {
  for (const name in qualifiers) if (qualifiers[name as keyof typeof qualifiers]) return true;
  return false;
}

/**
 * The scores that hold under the qualifiers of the view: those that contradict it are out, of the rest the ones that
 * match it most closely stay. Several may stay (male and female catkins, the view silent); they are then mixed.
 */
export function scoresInView(
  scores: readonly AdoptedScore[],
  view: Pick<View, 'qualifiers'>,
): AdoptedScore[] {
  if (scores.every((score) => !hasQualifiers(score))) return [...scores];
  const fitting = scores
    .map((score) => {
      const entries = Object.entries(score.qualifiers).filter(([, value]) => value);
      const asked = entries.filter(([name]) => view.qualifiers[name as keyof typeof view.qualifiers]);
      const contradicts = asked.some(
        ([name, value]) => view.qualifiers[name as keyof typeof view.qualifiers] !== value,
      );
      return { score, matches: asked.length, contradicts };
    })
    .filter((entry) => !entry.contradicts);
  const best = Math.max(...fitting.map((entry) => entry.matches));
  return fitting
    .filter((entry) => entry.matches === best)
    .map((entry) => entry.score)
    .sort((a, b) => qualifierKey(a.qualifiers).localeCompare(qualifierKey(b.qualifiers)));
}

/** Days by which leaf-out and leaf fall differ from year to year and from tree to tree. */
const LEAF_DATES_VARY = 14;

/** Leaves on the twig: sure in the midst of a season, but within two weeks of its ends only likely or unlikely. */
function leavesPresent(calendar: Calendar, deciduous: boolean, day: number): ScoreValue {
  const on = (at: number) => partPresent('leaves', calendar, deciduous, wrapDay(at));
  const [before, now, after] = [on(day - LEAF_DATES_VARY), on(day), on(day + LEAF_DATES_VARY)];
  const falling = now && (calendar.leafFall ?? []).some((arc) => inArc(arc, day));
  const sure = before === now && after === now && !falling;
  if (sure) return { kind: 'flag', frequency: now ? 'always' : 'never' };
  return { kind: 'flag', frequency: now ? 'usually' : 'sometimes' };
}

/** Share of readings of a character that name a wrong state; no reader but the exact one is surer than 0.2 %. */
export const misreadRate = (character: Character, reader: Reader): number =>
  reader === 'exact' ? 0 : Math.max(0.002, character.misread[reader]);

function channelsOf(
  character: Character,
  values: (ScoreValue[] | undefined)[],
  reader: Reader,
  view: View,
): Channel[] {
  const m = misreadRate(character, reader);
  const make = (
    row: (value: ScoreValue) => Float64Array | undefined,
    state?: string,
    grid?: Grid,
  ): Channel => {
    const rows = values.map((list) => list && mix(list.map(row)));
    let roots: Channel['roots'] | undefined;
    return {
      character,
      ...(state === undefined ? {} : { state }),
      rows,
      get roots() {
        return (roots ??= rows.map((p) => p && p.map(Math.sqrt)));
      },
      ...(grid ? { grid } : {}),
    };
  };
  switch (character.kind) {
    case 'flag':
      return [make((value) => (value.kind === 'flag' ? yesNo(YES_SHARE[value.frequency], m) : undefined))];
    case 'months':
      return [
        make((value) =>
          value.kind === 'months'
            ? yesNo(value.arcs.some((arc) => inArc(arc, view.day)) ? 1 : 0, m)
            : undefined,
        ),
      ];
    case 'measure':
    case 'count': {
      const ranges = values
        .flatMap((list) => list ?? [])
        .filter((value): value is RangeValue => value.kind === 'range');
      if (ranges.length === 0) return [];
      const models = ranges.map((range) => rangeModel(range, character.kind as 'measure' | 'count', view));
      const grid = gridFor(models, character.kind);
      const pmf = character.kind === 'measure' ? measurePmf : countPmf;
      return [
        make(
          (value) =>
            value.kind === 'range'
              ? pmf(rangeModel(value, character.kind as 'measure' | 'count', view), grid, m)
              : undefined,
          undefined,
          grid,
        ),
      ];
    }
    case 'categorical':
    case 'ordinal':
      if (character.anyOf)
        return character.states.map((state) =>
          make((value) => {
            const share = stateShare(value, state.id);
            return share === undefined ? undefined : yesNo(share, m);
          }, state.id),
        );
      return [make((value) => (value.kind === 'states' ? stateReading(character, value, m) : undefined))];
  }
}

/**
 * Share of individuals that show a state of an any-of character; undefined where the score does not say. Every individual shows
 * one state at least: those that would show none of the listed ones show the first.
 */
function stateShare(value: ScoreValue, state: string): number | undefined {
  if (value.kind !== 'states') return undefined;
  const at = value.states.findIndex((listed) => listed.state === state);
  if (at < 0) return value.exhaustive ? 0 : undefined;
  const own = YES_SHARE[value.states[at]!.frequency];
  if (at > 0) return own;
  return own + value.states.reduce((none, { frequency }) => none * (1 - YES_SHARE[frequency]), 1);
}

const yesNo = (share: number, m: number): Float64Array => {
  const yes = share * (1 - m) + (1 - share) * m;
  return Float64Array.of(yes, 1 - yes);
};

/** `Σ_r w(r)·C(s|r)`; C keeps 1−m on the diagonal and shares m over the others, or over the neighbours if ordinal. */
function stateReading(character: Character, value: ScoreValue & { kind: 'states' }, m: number): Float64Array {
  const weights = stateWeights(value);
  const k = character.states.length;
  const p = new Float64Array(k);
  character.states.forEach((state, r) => {
    const w = weights.get(state.id) ?? 0;
    if (w === 0) return;
    p[r]! += w * (1 - m);
    const others =
      character.kind === 'ordinal'
        ? [r - 1, r + 1].filter((s) => s >= 0 && s < k)
        : character.states.map((_, s) => s).filter((s) => s !== r);
    for (const s of others) p[s]! += (w * m) / others.length;
  });
  // Beyond the neighbours an ordinal reading is not impossible, only rare: no finding is infinitely sure.
  if (character.kind === 'ordinal' && m > 0) for (let s = 0; s < k; s += 1) p[s] = 0.998 * p[s]! + 0.002 / k;
  return p;
}

/** The mean of the known rows. */
function mix(rows: (Float64Array | undefined)[]): Float64Array | undefined {
  const known = rows.filter((row): row is Float64Array => row !== undefined);
  if (known.length < 2) return known[0];
  const mean = new Float64Array(known[0]!.length);
  for (const row of known) row.forEach((p, i) => (mean[i]! += p / known.length));
  return mean;
}
