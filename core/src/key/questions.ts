import { whereMet, type Condition } from '../condition/index.ts';
import { normalCdf } from '../random/index.ts';
import {
  BY_EYE,
  lookingCost,
  misreadRate,
  readingsOf,
  takenFor,
  type Channel,
  type ProfiledTaxon,
  type Reader,
  type ReadingOptions,
  type Readings,
} from '../evidence/index.ts';
import { unitFactor } from '../score/index.ts';
import type { View } from '../view/index.ts';
import {
  SHOWN_BY,
  type Character,
  type Level,
  type ShownOrgan,
  type Vocabulary,
} from '../vocabulary/index.ts';

/** Lists of more taxa than this are long: less is looked at for each couplet and end, or a key would take minutes. */
export const LONG_LIST = 200;

export interface QuestionOptions extends ReadingOptions {
  /** The most advanced characters that may be asked for; all if not given. */
  level?: Level;
  /** Characters that may not be used. */
  banned?: readonly string[];
  /** Organs in the order in which the course looks at a tree; earlier ones are preferred. */
  organs?: readonly ShownOrgan[];
  /** More than two leads where a character has more states. */
  manyLeads?: boolean;
}

/** A way to part the taxa of a list: one condition a lead, of which a specimen meets one. */
export interface Question {
  character: Character;
  channel: Channel;
  leads: Condition[];
  /** For each lead where it is met in the channel's support. */
  met: Uint8Array[];
  /** Share of each taxon's individuals on each lead, leads × taxa, 0–1; NaN where the taxon is not scored or does not show it. */
  shares: Float64Array[];
  /** Chance that the reader puts an individual of the taxon on a wrong lead. */
  slip: Float64Array;
  /** What it costs to look: 1 for a plain sight. */
  cost: number;
}

/** What the scores of the list say in the view, and who will read the key. */
export interface Sight {
  /** Nothing misread: what the taxa themselves show. */
  readings: Readings;
  reader: Reader;
}

/** How much of a question is the looking; the rest is the question itself. */
const LOOKING = 0.25;
const LEVELS: readonly Level[] = ['beginner', 'intermediate', 'advanced'];
/** Up to this many states are parted in every possible way; of more, one state is set against the rest. */
const ALL_PARTS = 5;
/** A share this close to none or all counts as none or all: the tails of a normal are no variation. */
const TAIL = 0.06;

export function sightOf(
  list: readonly ProfiledTaxon[],
  vocabulary: Vocabulary,
  view: View,
  options: QuestionOptions,
): Sight {
  const allowed = LEVELS.slice(0, LEVELS.indexOf(options.level ?? 'advanced') + 1);
  const banned = new Set(options.banned ?? []);
  const usable = new Map(
    [...vocabulary].filter(
      ([id, character]) =>
        allowed.includes(character.level) && !banned.has(id) && character.kind !== 'months',
    ),
  );
  return {
    readings: readingsOf(list, usable, view, { ...options, reader: 'exact' }),
    reader: options.reader ?? 'novice',
  };
}

/** Every question that the characters of a list allow. Numbers are cut where the list as a whole parts best. */
export function questionsOf(sight: Sight, options: QuestionOptions): Question[] {
  const everyone = sight.readings.taxa.map((_, i) => i);
  return [...sight.readings.channels.values()]
    .flat()
    .filter(isScored)
    .flatMap((channel) => channelQuestions(sight, channel, everyone, 4, options));
}

/**
 * The questions on a channel of which part of the support is left: a specimen that is known to be of one of three colors can still
 * be asked which. Shares are of the specimens that came through.
 */
export function furtherQuestions(
  sight: Sight,
  channel: Channel,
  left: Uint8Array,
  taxa: ArrayLike<number>,
  options: QuestionOptions,
): Question[] {
  if (channel.state !== undefined || channel.character.kind === 'flag') return [];
  const rows: Channel['rows'] = new Array(channel.rows.length);
  for (let i = 0; i < taxa.length; i += 1) {
    const row = channel.rows[taxa[i]!];
    rows[taxa[i]!] = row && within(row, left);
  }
  return channelQuestions(sight, { ...channel, rows, roots: [] }, taxa, 2, options).map((question) => ({
    ...question,
    channel,
  }));
}

/** A row cut down to what is left of its support; where nothing is left, even over it. */
function within(row: Float64Array, left: Uint8Array): Float64Array {
  let total = 0;
  for (let s = 0; s < row.length; s += 1) if (left[s]) total += row[s]!;
  const size = left.reduce((sum, x) => sum + x, 0);
  return row.map((p, s) => (left[s] ? (total > 1e-9 ? p / total : 1 / size) : 0));
}

const channelQuestions = (
  sight: Sight,
  channel: Channel,
  taxa: ArrayLike<number>,
  cuts: number,
  options: QuestionOptions,
): Question[] =>
  (channel.grid ? cutsOf(channel, taxa, cuts) : partsOf(channel, options.manyLeads ?? false)).map((leads) =>
    questionOf(sight, channel, leads, options, taxa),
  );

/** Is any taxon of the list scored for it? A state of an any-of character may be named by none. */
export const isScored = (channel: Channel): boolean => channel.rows.some((row) => row !== undefined);

/** The questions on numbers that suit some taxa of the list, given by their places: cuts where these few part best. */
export function numberQuestions(sight: Sight, taxa: ArrayLike<number>, options: QuestionOptions): Question[] {
  return [...sight.readings.channels.values()]
    .flat()
    .filter((channel) => channel.grid && isScored(channel))
    .flatMap((channel) => channelQuestions(sight, channel, taxa, 2, options));
}

/** A question with its shares, worked out for some taxa of the list or for all. */
export function questionOf(
  sight: Sight,
  channel: Channel,
  leads: Condition[],
  options: QuestionOptions,
  taxa: ArrayLike<number> = channel.rows.map((_, t) => t),
): Question {
  const { character } = channel;
  const size = channel.rows.find((row) => row)!.length;
  const met = leads.map((lead) => whereMet(channel, size, lead));
  const m = misreadRate(character, sight.reader);
  const count = channel.rows.length;
  const shares = leads.map(() => new Float64Array(count).fill(NaN));
  const slip = new Float64Array(count);
  const over = overTheCut(channel, leads);
  const crossing = channel.grid ? undefined : crossingOf(character, channel, met, m);
  for (let i = 0; i < taxa.length; i += 1) {
    const t = taxa[i]!;
    const row = channel.rows[t];
    if (!row) continue;
    let missed = 0;
    met.forEach((where, b) => {
      let share = 0;
      for (let s = 0; s < size; s += 1) if (where[s]) share += row[s]!;
      const whole = share > 1 - TAIL ? 1 : share < TAIL ? 0 : share;
      missed += Math.abs(whole - share) / 2;
      shares[b]![t] = whole;
    });
    slip[t] = missed + (crossing ? row.reduce((sum, p, s) => sum + p * crossing[s]!, 0) : m / 2);
    if (over) for (let s = 0; s < size; s += 1) slip[t]! += row[s]! * over[s]!;
  }
  const rank = options.organs?.indexOf(SHOWN_BY[character.organ]) ?? -1;
  const preferred = options.organs?.length ? 1 + 0.04 * (rank < 0 ? options.organs.length : rank) : 1;
  return {
    character,
    channel,
    leads,
    met,
    shares,
    slip,
    cost: (1 + LOOKING * (lookingCost(character) * preferred - 1)) * (1 + 0.2 * (leads.length - 2)),
  };
}

/** For each length of the grid the chance that it is read, by eye, on the other side of the cut. */
function overTheCut({ character, grid }: Channel, leads: readonly Condition[]): Float64Array | undefined {
  const cut = leads[0]!.below ?? leads[0]!.from;
  if (!grid || cut === undefined || character.kind !== 'measure') return undefined;
  const at = Math.log(cut);
  return Float64Array.from({ length: grid.size }, (_, s) =>
    normalCdf(-Math.abs(grid.from + s * grid.step - at) / BY_EYE),
  );
}

/** For each true state the chance that it is misread as a state of another lead. */
function crossingOf(character: Character, channel: Channel, met: Uint8Array[], m: number): Float64Array {
  if (channel.state !== undefined || character.kind === 'flag') return Float64Array.of(m, m);
  const lead = character.states.map((_, s) => met.findIndex((where) => where[s]));
  return Float64Array.from(character.states, (_, r) =>
    takenFor(character, r, m, channel.shown!).reduce(
      (sum, chance, s) => (lead[s] === lead[r] ? sum : sum + chance),
      0,
    ),
  );
}

/** The ways to part a channel of states: seen or not; one state or another; for many leads each state by itself. */
function partsOf(channel: Channel, manyLeads: boolean): Condition[][] {
  const { character, state } = channel;
  const characterId = character.id;
  if (state !== undefined)
    return [[true, false].map((present) => ({ characterId, states: [state], present }))];
  if (character.kind === 'flag') return [[true, false].map((present) => ({ characterId, present }))];
  const held = character.states
    .map(({ id }, s) => ({ id, s }))
    .filter(({ s }) => channel.rows.some((row) => row && row[s]! > 0))
    .map(({ id }) => id);
  if (held.length < 2) return [];
  const sides = (first: string[]): Condition[] => [
    { characterId, states: first },
    { characterId, states: held.filter((id) => !first.includes(id)) },
  ];
  const parted =
    character.kind === 'ordinal'
      ? held.slice(1).map((_, i) => sides(held.slice(0, i + 1)))
      : held.length <= ALL_PARTS
        ? halves(held).map(sides)
        : held.map((id) => sides([id]));
  const each = held.map((id): Condition => ({ characterId, states: [id] }));
  return manyLeads && held.length > 2 && held.length <= 6 ? [...parted, each] : parted;
}

/** Every way to choose one side of a parting in two, each parting once; the smaller side where they differ. */
function halves(states: readonly string[]): string[][] {
  const found: string[][] = [];
  for (let mask = 1; mask < 1 << (states.length - 1); mask += 1) {
    const side = states.filter((_, i) => mask & (1 << i));
    found.push(side.length * 2 <= states.length ? side : states.filter((id) => !side.includes(id)));
  }
  return found;
}

/**
 * Where to cut a number so that fewest of the given taxa come out on both sides: of the cuts that leave equally many below,
 * the cleanest; of these the cleanest `most`. Cuts are rounded to two figures of the display unit.
 */
function cutsOf(channel: Channel, taxa: ArrayLike<number>, most: number): Condition[][] {
  const { character, grid } = channel;
  const rows: Float64Array[] = [];
  for (let i = 0; i < taxa.length; i += 1) {
    const row = channel.rows[taxa[i]!];
    if (row) rows.push(row);
  }
  if (!grid || rows.length < 2) return [];
  const below = new Float64Array(rows.length);
  const best = new Map<number, { at: number; mixed: number }>();
  for (let s = 0; s < grid.size - 1; s += 1) {
    let [mixed, left] = [0, 0];
    rows.forEach((row, i) => {
      const f = (below[i]! += row[s]!);
      mixed += Math.min(f, 1 - f);
      left += f;
    });
    const group = Math.round(left);
    if (group === 0 || group === rows.length) continue;
    const held = best.get(group);
    if (!held || mixed < held.mixed) best.set(group, { at: s, mixed });
  }
  const factor = unitFactor(character);
  const cuts = [...best.values()]
    .sort((x, y) => x.mixed - y.mixed)
    .slice(0, most)
    .map(({ at }) => {
      const x = grid.from + (at + 0.5) * grid.step;
      return character.kind === 'count'
        ? Math.ceil(x)
        : Number((Math.exp(x) / factor).toPrecision(2)) * factor;
    });
  return [...new Set(cuts)].map((cut) => [
    { characterId: character.id, below: cut },
    { characterId: character.id, from: cut },
  ]);
}
