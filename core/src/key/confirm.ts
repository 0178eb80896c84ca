import type { Condition } from '../condition/index.ts';
import { lookingCost, misreadRate, type Channel } from '../evidence/index.ts';
import { unitFactor } from '../score/index.ts';
import type { Arriving } from './arriving.ts';
import { isScored, type Question, type QuestionOptions, type Sight } from './questions.ts';

/** A character that parts the same taxa as a question, condition by condition. */
export interface Confirmer {
  channel: Channel;
  leads: Condition[];
  /** Share of specimens that it would put on the wrong lead. */
  error: number;
  /** Share of which it decides nothing, since they show what is said on both leads. */
  open: number;
}

/** A confirming statement is true of at least this share of the specimens of every taxon below its lead. */
const TRUE_OF = 0.95;
/** A statement decides so much more often rightly than wrongly, or it is not said. */
const WORTH_SAYING = 0.2;
/** A statement names at most this many states. */
const STATES_NAMED = 4;
/** No second character parts more taxa than this in the same way; it is not looked for. */
const CONFIRMED_UP_TO = 100;

/**
 * Up to `most` characters that part the taxa as the question does, marks and the surest first. What is said on a lead is true of nearly
 * all specimens of every taxon that comes down it, those included that come down the other lead as well. Only questions of two leads are confirmed.
 */
export function confirmers(
  sight: Sight,
  arriving: Arriving,
  question: Question,
  most: number,
  { organs }: QuestionOptions,
  sides: readonly ArrivingTaxa[],
): Confirmer[] {
  if (most === 0 || sides.length !== 2 || arriving.taxa.length > CONFIRMED_UP_TO) return [];
  const [one, other] = sides as [ArrivingTaxa, ArrivingTaxa];
  if (one.taxa.length === 0 || other.taxa.length === 0) return [];
  const askedBefore = new Set(
    [...arriving.asked.keys()].map((channel) => `${channel.character.id}/${channel.state ?? ''}`),
  );
  const found: (Confirmer & { rank: number })[] = [];
  const group = question.character.group;
  for (const [id, channels] of sight.readings.channels) {
    const character = channels[0]!.character;
    if (id === question.character.id || (group && character.group === group)) continue;
    let best: Confirmer | undefined;
    for (const channel of channels.filter(isScored)) {
      if (askedBefore.has(`${id}/${channel.state ?? ''}`)) continue;
      const made = confirm(channel, one, other, misreadRate(character, sight.reader));
      if (made && (!best || worth(made) > worth(best))) best = made;
    }
    if (best) found.push({ ...best, rank: best.error + best.open / 2 + 0.015 * lookingCost(character) });
  }
  const organ = organs?.[0];
  return found
    .sort(
      (x, y) =>
        x.rank - y.rank ||
        Number(y.channel.character.organ === organ) - Number(x.channel.character.organ === organ),
    )
    .filter(
      (each, i, all) =>
        !each.channel.character.group ||
        all.findIndex((other) => other.channel.character.group === each.channel.character.group) === i,
    )
    .slice(0, most)
    .map(({ rank: _, ...each }) => each);
}

/** How much more often a statement decides rightly than wrongly. */
const worth = ({ error, open }: Confirmer): number => 1 - open - 2 * error;

/** The taxa that come down a lead, and how much of each. */
type ArrivingTaxa = Pick<Arriving, 'taxa' | 'weights'>;

function confirm(
  channel: Channel,
  one: ArrivingTaxa,
  other: ArrivingTaxa,
  misread: number,
): Confirmer | undefined {
  for (const { taxa } of [one, other])
    for (const t of taxa) if (!channel.rows[t] || (channel.applying?.[t] ?? 1) < TRUE_OF) return undefined;
  const made = channel.grid ? cut(channel, one, other) : part(channel, one, other);
  if (!made) return undefined;
  let [right, open, total] = [0, 0, 0];
  const count = (side: ArrivingTaxa, met: (s: number) => boolean, elsewhere: (s: number) => boolean) =>
    side.taxa.forEach((t, i) => {
      const [w, row] = [side.weights[i]!, channel.rows[t]!];
      total += w;
      right += w * massWhere(row, (s) => met(s) && !elsewhere(s));
      open += w * massWhere(row, (s) => met(s) && elsewhere(s));
    });
  count(one, made.met[0], made.met[1]);
  count(other, made.met[1], made.met[0]);
  const decided = (total - open) / total;
  const error = decided - (right / total) * (1 - misread);
  const confirmer = { channel, leads: made.leads, error, open: open / total };
  return worth(confirmer) >= WORTH_SAYING ? confirmer : undefined;
}

interface Parted {
  leads: Condition[];
  /** Where each lead is met in the support of the channel. */
  met: [(s: number) => boolean, (s: number) => boolean];
}

const massWhere = (row: Float64Array, met: (s: number) => boolean): number => {
  let sum = 0;
  for (let s = 0; s < row.length; s += 1) if (met(s)) sum += row[s]!;
  return sum;
};

const trueOfAll = ({ rows }: Channel, { taxa }: ArrivingTaxa, met: (s: number) => boolean): boolean =>
  taxa.every((t) => massWhere(rows[t]!, met) >= TRUE_OF);

/** The states that each side shows, where each has some that the other has not. */
function part(channel: Channel, one: ArrivingTaxa, other: ArrivingTaxa): Parted | undefined {
  const { character, state } = channel;
  const characterId = character.id;
  if (state !== undefined || character.kind === 'flag') {
    const named = state === undefined ? {} : { states: [state] };
    const [p, q] = [channel.rows[one.taxa[0]!]![0]!, channel.rows[other.taxa[0]!]![0]!];
    if (Math.abs(p - q) < 2 * TRUE_OF - 1) return undefined;
    const [yes, no] = [(s: number) => s === 0, (s: number) => s === 1];
    for (const first of [true, false]) {
      const met: Parted['met'] = first ? [yes, no] : [no, yes];
      if (!trueOfAll(channel, one, met[0]) || !trueOfAll(channel, other, met[1])) continue;
      return { met, leads: [first, !first].map((present) => ({ characterId, ...named, present })) };
    }
    return undefined;
  }
  const [mine, theirs] = [shownBy(channel, one), shownBy(channel, other)];
  if ([...mine].every((s) => theirs.has(s)) || [...theirs].every((s) => mine.has(s))) return undefined;
  if (Math.max(mine.size, theirs.size) > STATES_NAMED) return undefined;
  return {
    met: [(s) => mine.has(s), (s) => theirs.has(s)],
    leads: [mine, theirs].map((states): Condition => ({
      characterId,
      states: character.states.filter((_, s) => states.has(s)).map(({ id }) => id),
    })),
  };
}

/** The fewest states that nearly all specimens of every taxon of a side show. */
function shownBy({ rows }: Channel, { taxa }: ArrivingTaxa): Set<number> {
  const shown = new Set<number>();
  for (const t of taxa) {
    const row = rows[t]!;
    let mass = 0;
    for (const s of shown) mass += row[s]!;
    while (mass < TRUE_OF) {
      let next = -1;
      for (let s = 0; s < row.length; s += 1)
        if (!shown.has(s) && (next < 0 || row[s]! > row[next]!)) next = s;
      if (next < 0) break;
      shown.add(next);
      mass += row[next]!;
    }
  }
  return shown;
}

/** A cut in the gap between the ranges of both sides, rounded to two figures of the display unit; none where they overlap. */
function cut(channel: Channel, one: ArrivingTaxa, other: ArrivingTaxa): Parted | undefined {
  const { character, grid } = channel;
  if (!grid) return undefined;
  for (const oneBelow of [true, false]) {
    const [low, high] = oneBelow ? [one, other] : [other, one];
    const [from, to] = [endOf(channel, low, 'upper'), endOf(channel, high, 'lower')];
    if (from > to) continue;
    const x = grid.from + ((from + to) / 2 + 0.5) * grid.step;
    const factor = unitFactor(character);
    const value =
      character.kind === 'count' ? Math.ceil(x) : Number((Math.exp(x) / factor).toPrecision(2)) * factor;
    const at = (s: number) => {
      const here = grid.from + s * grid.step;
      return character.kind === 'count' ? here : Math.exp(here);
    };
    const [below, above] = [(s: number) => at(s) < value, (s: number) => at(s) >= value];
    // Rounding may have carried the cut out of the gap.
    if (!trueOfAll(channel, low, below) || !trueOfAll(channel, high, above)) continue;
    const conditions: Condition[] = [
      { characterId: character.id, below: value },
      { characterId: character.id, from: value },
    ];
    return oneBelow
      ? { met: [below, above], leads: conditions }
      : { met: [above, below], leads: [conditions[1]!, conditions[0]!] };
  }
  return undefined;
}

/** The place on the grid up to which nearly all specimens of every taxon of a side lie, or from which on. */
function endOf({ rows }: Channel, { taxa }: ArrivingTaxa, end: 'lower' | 'upper'): number {
  const size = rows[taxa[0]!]!.length;
  let place = end === 'upper' ? 0 : size - 1;
  for (const t of taxa) {
    const row = rows[t]!;
    let mass = 0;
    if (end === 'upper') {
      let s = -1;
      while (mass < TRUE_OF && s < size - 1) mass += row[(s += 1)]!;
      place = Math.max(place, s);
    } else {
      let s = size;
      while (mass < TRUE_OF && s > 0) mass += row[(s -= 1)]!;
      // The last place that is still below them.
      place = Math.min(place, s - 1);
    }
  }
  return place;
}

/** How much a reader trusts a statement: the log odds that it is read rightly. */
export const trust = (channel: Channel, reader: Sight['reader']): number => {
  const m = Math.min(0.45, misreadRate(channel.character, reader === 'exact' ? 'careful' : reader));
  return Math.log((1 - m) / m);
};

/** Share of the specimens that arrive which a reader of the question and its confirmers puts on a wrong lead. */
export function jointSlip(arriving: Arriving, question: Question, also: readonly Confirmer[]): number {
  let [slips, total] = [0, 0];
  for (let i = 0; i < arriving.taxa.length; i += 1) {
    const t = arriving.taxa[i]!;
    total += arriving.weights[i]!;
    const share = question.shares[0]![t]!;
    if (share !== share) continue;
    slips += arriving.weights[i]! * outvoted([{ error: question.slip[t]!, open: 0 }, ...also]);
  }
  return slips / total;
}

const atMost = (low: number, x: number, high: number) => Math.min(high, Math.max(low, x));

/** Chance that of statements with these error rates, weighted by their log odds, the wrong ones prevail; ties go half. */
function outvoted(statements: readonly Pick<Confirmer, 'error' | 'open'>[]): number {
  let votes: [vote: number, chance: number][] = [[0, 1]];
  for (const { error, open } of statements) {
    const right = 1 - open - error;
    const weight = Math.log(atMost(1.2, right / Math.max(1e-9, error), 1e4));
    votes = votes.flatMap(([vote, chance]): typeof votes => [
      [vote - weight, chance * error],
      [vote + weight, chance * right],
      ...(open > 0 ? [[vote, chance * open] as [number, number]] : []),
    ]);
  }
  return votes.reduce(
    (wrong, [vote, chance]) => wrong + (vote < -1e-9 ? chance : vote < 1e-9 ? chance / 2 : 0),
    0,
  );
}
