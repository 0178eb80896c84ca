import { hopkinsDelay, inArc, partPresent, shiftCalendar } from '../season/index.ts';
import {
  admits,
  stateWeights,
  YES_SHARE,
  type AdoptedScore,
  type RangeValue,
  type ScoreValue,
} from '../score/index.ts';
import { perceivable, type View } from '../view/index.ts';
import {
  applies,
  type Character,
  type Part,
  type Requirement,
  type Vocabulary,
} from '../vocabulary/index.ts';
import { BEARING, bearingShare, isBearingId, isBorne, type BorneParts } from './bearing.ts';
import { misreadRate, takenFor } from './misread.ts';
import { leafyShare, LEAVES_PRESENT, NEEDLE_SCARS } from './leaves.ts';
import { countPmf, rangeModel, gridFor, measurePmf, type Grid } from './numbers.ts';
import {
  isDeciduous,
  scoresInView,
  type ProfiledTaxon,
  type Reader,
  type ReadingOptions,
} from './profiled.ts';

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
  /**
   * Share of each taxon's specimens to which the character applies, 0–1, where it does not to all of some: a maple whose leaves are sometimes of three
   * leaflets has a number of leaflets sometimes. The rows hold for those.
   */
  applying?: Float64Array;
  /** Of a one-of character, how often each state is met over the list: what is misread falls on these. */
  shown?: Float64Array;
  /**
   * Share of each taxon's specimens that carry the part on the day, 0–1, where the date leaves it open for some: the rows then hold for
   * those that do. Without it all of them carry it.
   */
  present?: Float64Array;
  /**
   * Share of each taxon's specimens that bear the flowers or fruit it is read from, 0–1, NaN where unknown; the rows hold for those that do.
   * Without it all of them bear them.
   */
  borne?: Float64Array;
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
  const leafy = Float64Array.from(seasons, ({ calendar, deciduous }) =>
    leafyShare(calendar, deciduous, view),
  );
  const open = leafy.some((share) => share > 0 && share < 1);
  const shares = new Map<BorneParts, Float64Array>();
  const bearing = (part: BorneParts) => {
    const held =
      shares.get(part) ??
      Float64Array.from(seasons, ({ calendar }) => bearingShare(part, calendar, view) ?? NaN);
    shares.set(part, held);
    return held;
  };
  const met = new Map<Requirement, Float64Array>();
  /** Share of each taxon's specimens to which a character applies: of those that show what it needs of each governor. */
  const applyingTo = ({ requires }: Character): Float64Array | undefined => {
    if (requires.length === 0) return undefined;
    const each = requires.map((requirement) => {
      const held =
        met.get(requirement) ??
        Float64Array.from(seasons, ({ byCharacter }) => meetingShare(requirement, byCharacter, view));
      met.set(requirement, held);
      return held;
    });
    return each.reduce((all, share) => all.map((x, i) => x * share[i]!));
  };
  const channels = new Map<string, Channel[]>();
  const gaps: string[][] = taxa.map(() => []);

  for (const character of vocabulary.values()) {
    if (!perceivable(character, view)) continue;
    if (character.id === LEAVES_PRESENT) {
      channels.set(character.id, [ofLeaves(character, leafy, reader, open)]);
      continue;
    }
    if (character.id === NEEDLE_SCARS) {
      const made = ofScars(
        character,
        seasons.map(({ byCharacter }) => byCharacter.get('foliage.kind')?.[0]?.value),
        reader,
      );
      if (made) channels.set(character.id, [made]);
      continue;
    }
    if (isBearingId(character.id)) {
      const made = options.asTheyCome && ofBearing(character, bearing(BEARING[character.id]), reader);
      if (made) channels.set(character.id, [made]);
      continue;
    }
    const onLeaves = character.part === 'leaves' || character.part === 'autumnLeaves';
    const borne = options.asTheyCome && isBorne(character.part) ? bearing(character.part) : undefined;
    const applying = applyingTo(character);
    const values = seasons.map((season, i): ScoreValue[] | undefined => {
      if (onLeaves && leafy[i] === 0) return undefined;
      if (
        borne
          ? borne[i] === 0
          : character.part !== 'leaves' &&
            !(options.lying && COMES_AND_GOES.has(character.part)) &&
            !partPresent(character.part, season.calendar, season.deciduous, view.day)
      )
        return undefined;
      if (applying && applying[i]! < APPLIES_TO) return undefined;
      const scores = scoresInView(season.byCharacter.get(character.id) ?? NO_SCORES, view);
      if (scores.length === 0) {
        if (couldBeScored(character, season.byCharacter)) gaps[i]!.push(character.id);
        return undefined;
      }
      return scores.map((score) => score.value);
    });
    if (!values.some((value) => value)) continue;
    const made = channelsOf(character, values, reader, view);
    if (made.length === 0) continue;
    if (applying?.some((share) => share >= APPLIES_TO && share < 1))
      for (const channel of made) channel.applying = applying;
    if (onLeaves && open) for (const channel of made) channel.present = leafy;
    // Where all that may bear do, there is no share to reckon with.
    if (borne?.some((share) => share > 0 && share < 1)) for (const channel of made) channel.borne = borne;
    channels.set(character.id, made);
  }
  return { taxa, view, reader, channels, gaps };
}

/** The readings by which trees of a list are told from one another: specimens as they come. */
export const readingsOfTrees = (
  list: readonly ProfiledTaxon[],
  vocabulary: Vocabulary,
  view: View,
  options: ReadingOptions = {},
): Readings => readingsOf(list, vocabulary, view, { asTheyCome: true, ...options });

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

/** What lies on the table is compared with trees that carry none of it that day. */
const COMES_AND_GOES = new Set<Part>(['flowers', 'winterCatkins', 'fruit', 'ripeFruit']);

/**
 * The readings by which a specimen of one taxon is told from the others: what it carries on the day, against what the scores of all say of that part,
 * also of those that carry none of it now: a cone in the hand is a cone in October as in May.
 *
 * @param dated as the day has it
 * @param lying the same list and view with `lying` set
 */
export function readingsOfSpecimen(dated: Readings, lying: Readings, t: number): Readings {
  const channels = new Map(
    [...lying.channels].filter(([id]) => dated.channels.get(id)?.some(({ rows }) => rows[t] !== undefined)),
  );
  return { ...lying, channels };
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

/** What applies to fewer of a taxon's specimens is not read of it. */
const APPLIES_TO = 0.5;

/** The share of a taxon's specimens that show one of the states that is needed of a governor, 0–1; 1 where nothing is known of it. */
function meetingShare(
  { character: governor, states }: Requirement,
  scores: Map<string, AdoptedScore[]>,
  view: Pick<View, 'qualifiers'>,
): number {
  const held = scoresInView(scores.get(governor) ?? NO_SCORES, view);
  if (held.length === 0) return 1;
  const each = held.map(({ value }) => {
    if (value.kind !== 'states') return states.some((state) => admits(value, state)) ? 1 : 0;
    const weights = stateWeights(value);
    return states.reduce((sum, state) => sum + (weights.get(state) ?? 0), 0);
  });
  return Math.min(1, each.reduce((sum, one) => sum + one, 0) / held.length);
}

/** A dependent character applies while the governing one is unknown or admits one of the states it needs, in the view if there is one. */
const couldApply = (
  character: Character,
  scores: Map<string, AdoptedScore[]>,
  view?: Pick<View, 'qualifiers'>,
): boolean =>
  applies(
    character,
    (governor, states) => {
      const all = scores.get(governor);
      const held = all && view ? scoresInView(all, view) : all;
      return held?.some((score) => states.some((state) => admits(score.value, state)));
    },
    true,
  );

/**
 * Can a taxon show a character at all? Not if what its scores say of the governing character rules it out, in the view if there is one: a mature
 * juniper that bears scales has no needles to lie this way or that, though a young one does.
 */
export const couldShow = (
  character: Character,
  { scores }: ProfiledTaxon,
  view?: Pick<View, 'qualifiers'>,
): boolean => couldApply(character, groupByCharacter(scores), view);

/** A gap counts only where the governing character is known, so that a conifer is not said to lack leaf teeth. */
const couldBeScored = (character: Character, scores: Map<string, AdoptedScore[]>): boolean =>
  applies(character, (governor) => scores.has(governor), false);

/** Whether leaves are on the tree, as a character of its own. */
function ofLeaves(character: Character, leafy: Float64Array, reader: Reader, open: boolean): Channel {
  const rows = [...leafy].map((share) => yesNo(share, misreadRate(character, reader)));
  const channel = { character, rows, roots: rows.map((row) => row.map(Math.sqrt)) };
  return open ? { ...channel, present: leafy } : channel;
}

/** Whether a specimen bears flowers or fruit; none where no taxon's calendar says, or all are alike. */
function ofBearing(character: Character, borne: Float64Array, reader: Reader): Channel | undefined {
  const known = borne.filter((share) => !Number.isNaN(share));
  if (known.every((share) => share === known[0])) return undefined;
  const m = misreadRate(character, reader);
  const rows = [...borne].map((share) => (Number.isNaN(share) ? undefined : yesNo(share, m)));
  return { character, rows, roots: rows.map((row) => row?.map(Math.sqrt)), borne };
}

/** Whether the twig bears scars of needles or of leaves: it follows from the kind of foliage, and is seen on bare twigs as well. */
function ofScars(
  character: Character,
  kinds: readonly (ScoreValue | undefined)[],
  reader: Reader,
): Channel | undefined {
  const rows = kinds.map((kind) => {
    if (kind?.kind !== 'states') return undefined;
    const broad = stateWeights(kind).get('broad') ?? 0;
    return yesNo(1 - broad, misreadRate(character, reader));
  });
  if (rows.every((row) => !row)) return undefined;
  return { character, rows, roots: rows.map((row) => row?.map(Math.sqrt)) };
}

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
      const exact = reader === 'exact';
      const kind = character.kind;
      const models = ranges.map((range) => rangeModel(range, kind, view, exact));
      const grid = gridFor(models, kind);
      const pmf = kind === 'measure' ? measurePmf : countPmf;
      return [
        make(
          (value) =>
            value.kind === 'range' ? pmf(rangeModel(value, kind, view, exact), grid, m) : undefined,
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
      {
        const shown = shownOnList(character, values);
        return [
          Object.assign(
            make((value) => (value.kind === 'states' ? stateReading(character, value, m, shown) : undefined)),
            { shown },
          ),
        ];
      }
  }
}

/** How often each state is met over the taxa of the list, in the order of the states. */
function shownOnList(character: Character, values: readonly (ScoreValue[] | undefined)[]): Float64Array {
  const shown = new Float64Array(character.states.length);
  for (const list of values)
    for (const value of list ?? []) {
      if (value.kind !== 'states') continue;
      const weights = stateWeights(value);
      character.states.forEach(({ id }, s) => (shown[s]! += (weights.get(id) ?? 0) / list!.length));
    }
  return shown;
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

/**
 * `Σ_r w(r)·C(s|r)`; C keeps 1−m on the diagonal and spreads m over the others (`takenFor`), so that a character with more states is no surer.
 */
function stateReading(
  character: Character,
  value: ScoreValue & { kind: 'states' },
  m: number,
  shown: Float64Array,
): Float64Array {
  const weights = stateWeights(value);
  const k = character.states.length;
  const p = new Float64Array(k);
  character.states.forEach(({ id }, r) => {
    const w = weights.get(id) ?? 0;
    if (w > 0) takenFor(character, r, m, shown).forEach((chance, s) => (p[s]! += w * chance));
  });
  // No reading is impossible, only rare: no finding is infinitely sure.
  if (m > 0) for (let s = 0; s < k; s += 1) p[s] = (1 - RARE) * p[s]! + RARE / k;
  return p;
}

/** Share of readings that may be of any state. */
const RARE = 0.0005;

/** The mean of the known rows. */
function mix(rows: (Float64Array | undefined)[]): Float64Array | undefined {
  const known = rows.filter((row): row is Float64Array => row !== undefined);
  if (known.length < 2) return known[0];
  const mean = new Float64Array(known[0]!.length);
  for (const row of known) row.forEach((p, i) => (mean[i]! += p / known.length));
  return mean;
}
