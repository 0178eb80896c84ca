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
}

/** A confirming character puts at least this share of each side's specimens where the question does. */
const AGREES = 0.8;
/** No second character parts more taxa than this in the same way; it is not looked for. */
const CONFIRMED_UP_TO = 100;

/**
 * Up to `most` characters that part the taxa as the question does, the surest and plainest first. Taxa that come out on several
 * leads are left aside: no second character has to part what the first does not. Only questions of two leads are confirmed.
 */
export function confirmers(
  sight: Sight,
  arriving: Arriving,
  question: Question,
  most: number,
  options: QuestionOptions,
): Confirmer[] {
  if (most === 0 || question.leads.length !== 2 || arriving.taxa.length > CONFIRMED_UP_TO) return [];
  const sides = sidesOf(arriving, question);
  if (sides[0].taxa.length === 0 || sides[1].taxa.length === 0) return [];
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
      const made = confirm(channel, sides, misreadRate(character, sight.reader));
      if (made && (!best || made.error < best.error)) best = made;
    }
    if (best) found.push({ ...best, rank: best.error + 0.02 * lookingCost(character) });
  }
  const organ = options.organs?.[0];
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
    .map(({ channel, leads, error }) => ({ channel, leads, error }));
}

interface Side {
  taxa: number[];
  weights: number[];
  total: number;
}

/** The taxa that come out on one lead only, by lead. */
function sidesOf({ taxa, weights }: Arriving, question: Question): [Side, Side] {
  const sides: [Side, Side] = [
    { taxa: [], weights: [], total: 0 },
    { taxa: [], weights: [], total: 0 },
  ];
  for (let i = 0; i < taxa.length; i += 1) {
    const share = question.shares[0]![taxa[i]!]!;
    const side = share === 1 ? sides[0] : share === 0 ? sides[1] : undefined;
    if (!side) continue;
    side.taxa.push(taxa[i]!);
    side.weights.push(weights[i]!);
    side.total += weights[i]!;
  }
  return sides;
}

function confirm(channel: Channel, sides: [Side, Side], misread: number): Confirmer | undefined {
  for (const { taxa } of sides) for (const t of taxa) if (!channel.rows[t]) return undefined;
  // Where even the likelier side of each reading explains too little, nothing need be worked out.
  if (mayPart(channel, sides) < 2 * AGREES) return undefined;
  const mass: [Float64Array, Float64Array] = [massOf(channel, sides[0]), massOf(channel, sides[1])];
  const made = channel.grid ? cut(channel, mass) : part(channel, mass);
  if (!made) return undefined;
  const [right, left] = made.right.map((share) => share * (1 - misread)) as [number, number];
  if (right < AGREES || left < AGREES) return undefined;
  const whole = sides[0].total + sides[1].total;
  return {
    channel,
    leads: made.leads,
    error: ((1 - right) * sides[0].total + (1 - left) * sides[1].total) / whole,
  };
}

/** The mean row of a side. */
function massOf(channel: Channel, { taxa, weights, total }: Side): Float64Array {
  const mass = new Float64Array(channel.rows[taxa[0]!]!.length);
  for (let i = 0; i < taxa.length; i += 1) {
    const row = channel.rows[taxa[i]!]!;
    const w = weights[i]! / total;
    for (let s = 0; s < row.length; s += 1) mass[s]! += w * row[s]!;
  }
  return mass;
}

/**
 * The most that any parting of a channel could put right, summed over two sides, 1–2: `Σ_s max(a(s), b(s))`. Worked out for one taxon
 * against one, where most of a key's couplets are; otherwise the bound is 2, which leaves it to the means.
 */
function mayPart(channel: Channel, [one, other]: [Side, Side]): number {
  if (one.taxa.length > 1 || other.taxa.length > 1) return 2;
  const [p, q] = [channel.rows[one.taxa[0]!]!, channel.rows[other.taxa[0]!]!];
  let sum = 0;
  for (let s = 0; s < p.length; s += 1) sum += Math.max(p[s]!, q[s]!);
  return sum;
}

/** Each state to the side that shows it more; a side names the states that it really shows. */
function part(channel: Channel, [a, b]: [Float64Array, Float64Array]) {
  const { character, state } = channel;
  const characterId = character.id;
  let [right, left] = [0, 0];
  const mine = [...a].map((p, s) => p >= b[s]!);
  mine.forEach((first, s) => {
    if (first) right += a[s]!;
    else left += b[s]!;
  });
  if (state !== undefined || character.kind === 'flag') {
    const seen = mine[0]!;
    if (seen === mine[1]) return undefined;
    const named = state === undefined ? {} : { states: [state] };
    return {
      right: [right, left] as const,
      leads: [
        { characterId, ...named, present: seen },
        { characterId, ...named, present: !seen },
      ],
    };
  }
  // What a side shows in few specimens only is not named on it.
  const shown = (own: Float64Array, first: boolean) =>
    character.states.filter((_, s) => mine[s] === first && own[s]! > 0.05).map(({ id }) => id);
  const leads = [shown(a, true), shown(b, false)];
  if (leads.some((states) => states.length === 0 || states.length > 3)) return undefined;
  return {
    right: [right, left] as const,
    leads: leads.map((states): Condition => ({ characterId, states })),
  };
}

/** The cut that puts most specimens of both sides where they belong, rounded to two figures of the display unit. */
function cut({ character, grid }: Channel, [a, b]: [Float64Array, Float64Array]) {
  if (!grid) return undefined;
  let [belowA, belowB] = [0, 0];
  let best = { at: 0, score: 0, aBelow: true, right: 0, left: 0 };
  for (let s = 0; s < grid.size - 1; s += 1) {
    belowA += a[s]!;
    belowB += b[s]!;
    for (const aBelow of [true, false]) {
      const [right, left] = aBelow ? [belowA, 1 - belowB] : [1 - belowA, belowB];
      const score = Math.min(right, left);
      if (score > best.score) best = { at: s, score, aBelow, right, left };
    }
  }
  const x = grid.from + (best.at + 0.5) * grid.step;
  const factor = unitFactor(character);
  const value =
    character.kind === 'count' ? Math.ceil(x) : Number((Math.exp(x) / factor).toPrecision(2)) * factor;
  const low: Condition = { characterId: character.id, below: value };
  const high: Condition = { characterId: character.id, from: value };
  return { right: [best.right, best.left] as const, leads: best.aBelow ? [low, high] : [high, low] };
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
    slips += arriving.weights[i]! * outvoted([question.slip[t]!, ...also.map(({ error }) => error)]);
  }
  return slips / total;
}

/** Chance that of statements with these error rates, weighted by their log odds, the wrong ones prevail; ties go half. */
function outvoted(errors: readonly number[]): number {
  const weights = errors.map((e) =>
    Math.log((1 - Math.min(0.45, Math.max(1e-4, e))) / Math.min(0.45, Math.max(1e-4, e))),
  );
  let wrong = 0;
  for (let mask = 0; mask < 1 << errors.length; mask += 1) {
    let [chance, vote] = [1, 0];
    errors.forEach((e, j) => {
      const bad = (mask >> j) & 1;
      chance *= bad ? e : 1 - e;
      vote += bad ? -weights[j]! : weights[j]!;
    });
    wrong += vote < -1e-9 ? chance : vote < 1e-9 ? chance / 2 : 0;
  }
  return wrong;
}
