import { SHOWN_BY, standingOf, type ShownOrgan } from '../vocabulary/index.ts';
import { carriedEvidence } from './bhattacharyya.ts';
import type { Channel } from './readings.ts';

/**
 * What the readings of one organ say of two taxa. The characters of an organ do not stand for themselves: a specimen may be odd in it
 * (a sprout, a shade leaf, a sick or a young twig), and then all that is read there says nothing of which of the two it is; and sizes,
 * colors and growth go together, so that each of them says less than it seems to.
 */

/** Share of specimens that are odd in an organ. What is read there then speaks as often for one taxon as for the other. */
const ODD = 0.02;
/** A supporting character is taken as one that says something of its own in this share of the specimens. */
const OF_ITS_OWN = 0.75;

/** From this evidence on, in nats, an organ tells two taxa apart for sure, but for odd specimens. */
const FOR_SURE = 4.5;
/** The characters that tell least are left out where an organ has many, up to this share of what it tells. */
const NEXT_TO_NOTHING = 0.05;
const MANY = 6;
/**
 * Readings whose log ratios lie within a cell of some width are taken for one, with the sum of their probabilities under both taxa: means
 * are kept, and the error found is never too small. Those beyond a limit are taken for it: an odd specimen is likelier by far. In nats.
 */
interface Grain {
  width: number;
  limit: number;
}
const WITHIN_ORGAN: Grain = { width: 0.15, limit: 8 };
const BETWEEN_ORGANS: Grain = { width: 0.2, limit: 14 };
/** Up to so many readings each stands for itself: of two things together, and of one. */
const EACH_FOR_ITSELF = 64;
const FEW = 16;
/** Readings rarer than this are left out. */
const HARDLY_EVER = 1e-7;

/** What may be read: the probability of each reading, or of several of one ratio, under both taxa. */
interface Outcomes {
  a: Float64Array;
  b: Float64Array;
}

const NOTHING: Outcomes = { a: Float64Array.of(1), b: Float64Array.of(1) };

/** The share of specimens in which a channel says something of its own. */
const ownShare = ({ character }: Channel): number =>
  standingOf(character) === 'supporting' ? OF_ITS_OWN : 1;

/** What may be read of one channel. */
function outcomesOf(channel: Channel, a: number, b: number): Outcomes {
  const [p, q] = [channel.rows[a]!, channel.rows[b]!];
  const own = ownShare(channel);
  if (own === 1) return inCells({ a: p, b: q });
  const mixed = (x: number, y: number) => own * x + ((1 - own) * (x + y)) / 2;
  return inCells({ a: p.map((x, s) => mixed(x, q[s]!)), b: q.map((y, s) => mixed(y, p[s]!)) });
}

/** Readings that are many, of a number, joined by the cell of their ratio. */
const inCells = (outcomes: Outcomes): Outcomes =>
  outcomes.a.length > FEW ? joined(outcomes, NOTHING, WITHIN_ORGAN) : outcomes;

const ratiosOf = ({ a, b }: Outcomes) => a.map((p, i) => Math.log((p + 1e-300) / (b[i]! + 1e-300)));

/** What may be read of two things that do not depend on one another. */
function joint(x: Outcomes, y: Outcomes, grain: Grain): Outcomes {
  const size = x.a.length * y.a.length;
  if (size <= EACH_FOR_ITSELF) {
    const [a, b] = [new Float64Array(size), new Float64Array(size)];
    for (let i = 0, k = 0; i < x.a.length; i += 1)
      for (let j = 0; j < y.a.length; j += 1, k += 1) {
        a[k] = x.a[i]! * y.a[j]!;
        b[k] = x.b[i]! * y.b[j]!;
      }
    return { a, b };
  }
  return joined(x, y, grain);
}

function joined(x: Outcomes, y: Outcomes, { width, limit }: Grain): Outcomes {
  const [ofX, ofY] = [ratiosOf(x), ratiosOf(y)];
  const zero = Math.round(limit / width);
  const [a, b] = [new Float64Array(2 * zero + 1), new Float64Array(2 * zero + 1)];
  for (let i = 0; i < ofX.length; i += 1) {
    const [p, q, ratio] = [x.a[i]!, x.b[i]!, ofX[i]!];
    for (let j = 0; j < ofY.length; j += 1) {
      const cell = Math.max(0, Math.min(2 * zero, zero + Math.round((ratio + ofY[j]!) / width)));
      a[cell]! += p * y.a[j]!;
      b[cell]! += q * y.b[j]!;
    }
  }
  return met(a, b);
}

/** The cells in which anything is read. */
function met(a: Float64Array, b: Float64Array): Outcomes {
  let size = 0;
  for (let i = 0; i < a.length; i += 1)
    if (a[i]! + b[i]! > HARDLY_EVER) {
      [a[size], b[size]] = [a[i]!, b[i]!];
      size += 1;
    }
  return { a: a.slice(0, size), b: b.slice(0, size) };
}

/** What may be read of an organ of which some specimens are odd: no reading says more than `ln((1 − odd/2)/(odd/2))`, some 4.2 nats. */
function withOdd({ a, b }: Outcomes): Outcomes {
  const [sound, odd] = [1 - ODD / 2, ODD / 2];
  return {
    a: a.map((p, i) => sound * p + odd * b[i]!),
    b: b.map((q, i) => sound * q + odd * a[i]!),
  };
}

/** What may be read of an organ. */
function ofOrgan(channels: readonly Channel[], a: number, b: number): Outcomes {
  const evidence = evidenceTogether(channels, a, b, evidenceBound);
  if (evidence < FOR_SURE) {
    return withOdd(ofChannels(telling(channels, a, b, evidence), a, b));
  }
  // Two readings are all that is left; the wrong one is that of odd specimens, and of some half of what the bound allows.
  const wrong = ODD / 2 + ((1 - ODD) * Math.exp(-evidence)) / 4;
  return { a: Float64Array.of(1 - wrong, wrong), b: Float64Array.of(wrong, 1 - wrong) };
}

/** The channels of an organ without those that tell next to nothing. */
function telling(channels: readonly Channel[], a: number, b: number, evidence: number): readonly Channel[] {
  if (channels.length <= MANY) return channels;
  let spare = NEXT_TO_NOTHING * evidence;
  const left = new Set<Channel>();
  const each = channels.map((channel) => ({ channel, e: evidenceBound(channel, a, b) }));
  for (const { channel, e } of each.sort((x, y) => x.e - y.e)) {
    spare -= e;
    if (spare < 0) break;
    if (!channel.character.derived) left.add(channel);
  }
  return channels.filter((channel) => !left.has(channel));
}

/** What may be read of channels that all specimens carry, or that those bear of which it is told. */
const jointly = (channels: readonly Channel[], a: number, b: number): Outcomes =>
  channels.map((channel) => outcomesOf(channel, a, b)).reduce((x, y) => joint(x, y, WITHIN_ORGAN), NOTHING);

/** What may be read of the channels of an organ: of what is borne by a share of the specimens, over those that bear none, green and ripe fruit. */
function ofChannels(channels: readonly Channel[], a: number, b: number): Outcomes {
  const { always, stages } = parted(channels, a, b);
  const lasting = jointly(always, a, b);
  if (!stages) return lasting;
  const each = stages.map(({ ofA, ofB, channels: own }): Outcomes => {
    const read = jointly(own, a, b);
    return { a: read.a.map((p) => ofA * p), b: read.b.map((q) => ofB * q) };
  });
  const together = (side: 'a' | 'b') =>
    Float64Array.from(each.flatMap((outcomes) => [...outcomes[side]]).map((p) => Math.max(p, HARDLY_EVER)));
  return joint(lasting, { a: together('a'), b: together('b') }, WITHIN_ORGAN);
}

/** A stage that the part which a specimen bears may be in, none among them: its share of each taxon, and the channels that are read of it. */
interface Stage {
  part: 'none' | 'any' | 'ripeFruit';
  ofA: number;
  ofB: number;
  channels: readonly Channel[];
}

const isRipe = ({ character }: Channel): boolean => character.part === 'ripeFruit';

/** The channels of an organ that speak of all specimens, and those of flowers or fruit stage by stage; no stages where all bear or none is known to. */
function parted(
  channels: readonly Channel[],
  a: number,
  b: number,
): { always: readonly Channel[]; stages?: Stage[] } {
  if (!channels.some(({ borne }) => borne)) return { always: channels };
  const always = channels.filter(({ borne }) => !borne);
  const bearing = channels.filter(({ borne, character }) => borne && !character.derived);
  const [ripe, any] = [bearing.filter(isRipe), bearing.filter((channel) => !isRipe(channel))];
  const shareOf = (own: readonly Channel[]): [number, number] | undefined => {
    const borne = own.find(({ borne: shares }) => shares)?.borne;
    if (!borne) return undefined;
    const [ofA, ofB] = [borne[a]!, borne[b]!];
    // Of whom the calendar says nothing is taken to bear as the other does.
    return [Number.isNaN(ofA) ? ofB || 1 : ofA, Number.isNaN(ofB) ? ofA || 1 : ofB];
  };
  const presence = channels.filter(({ character, borne }) => borne && character.derived);
  const ofRipe = shareOf(ripe) ?? [0, 0];
  const ofAny = shareOf([...presence, ...any]) ?? ofRipe;
  const stages: Stage[] = [
    { part: 'none', ofA: 1 - ofAny[0], ofB: 1 - ofAny[1], channels: [] },
    {
      part: 'any',
      ofA: Math.max(0, ofAny[0] - ofRipe[0]),
      ofB: Math.max(0, ofAny[1] - ofRipe[1]),
      channels: any,
    },
    { part: 'ripeFruit', ofA: ofRipe[0], ofB: ofRipe[1], channels: [...any, ...ripe] },
  ];
  return { always, stages: stages.filter(({ ofA, ofB }) => ofA + ofB > 0) };
}

/** What the channels of an organ tell together, in nats, if each tells so much of those that bear what it is read from. */
function evidenceTogether(
  channels: readonly Channel[],
  a: number,
  b: number,
  evidenceOf: (channel: Channel, a: number, b: number) => number,
): number {
  const sum = (own: readonly Channel[]) =>
    own.reduce((total, channel) => total + evidenceOf(channel, a, b), 0);
  const { always, stages } = parted(channels, a, b);
  if (!stages) return sum(always);
  const shared = stages.reduce(
    (total, { ofA, ofB, channels: own }) => total + Math.sqrt(ofA * ofB) * Math.exp(-sum(own)),
    0,
  );
  return sum(always) - Math.log(Math.max(HARDLY_EVER, shared));
}

/** The evidence that a channel gives at least, in nats. */
function evidenceBound(channel: Channel, a: number, b: number): number {
  const e = carriedEvidence(channel, a, b) ?? 0;
  const own = ownShare(channel);
  // Of the total variation, 1 − e^−e at least, only a share is left; and ρ ≤ √(1 − TV²).
  return own === 1 ? e : -0.5 * Math.log(1 - (own * (1 - Math.exp(-e))) ** 2);
}

/** An upper bound of Bhattacharyya's coefficient of all that is read: over the organs `√(1 − ((1 − odd)(1 − ρ))²)`, ρ = e^−Σe. */
export function coefficientBound(channels: readonly Channel[], a: number, b: number): number {
  let product = 1;
  for (const own of byOrgan(channels, a, b)) {
    const evidence = evidenceTogether(own, a, b, evidenceBound);
    product *= Math.sqrt(1 - ((1 - ODD) * (1 - Math.exp(-evidence))) ** 2);
  }
  return product;
}

/** A lower bound of the same: e^−Σe of each organ, but never less than odd specimens leave, `2√(odd/2·(1 − odd/2))`. */
export function coefficientFloor(channels: readonly Channel[], a: number, b: number): number {
  const least = 2 * Math.sqrt((ODD / 2) * (1 - ODD / 2));
  return byOrgan(channels, a, b).reduce((product, own) => {
    const evidence = evidenceTogether(own, a, b, (channel) => carriedEvidence(channel, a, b) ?? 0);
    return product * Math.max(least, Math.exp(-evidence));
  }, 1);
}

/** The mass that what is read of two taxa has in common, `Σ min(ofA·P(x|a), ofB·P(x|b))`, of which only a share is in the condition. */
export function sharedMass(
  channels: readonly Channel[],
  a: number,
  b: number,
  ofA: number,
  ofB: number,
): number {
  if (ofA === 0 || ofB === 0) return 0;
  const all = byOrgan(channels, a, b)
    .map((own) => ofOrgan(own, a, b))
    .reduce((x, y) => joint(x, y, BETWEEN_ORGANS), NOTHING);
  return all.a.reduce((sum, p, i) => sum + Math.min(ofA * p, ofB * all.b[i]!), 0);
}

/** The channels known for both taxa, organ by organ as a view shows them. */
function byOrgan(channels: readonly Channel[], a: number, b: number): Channel[][] {
  const organs = new Map<ShownOrgan, Channel[]>();
  for (const channel of channels) {
    if (!channel.rows[a] || !channel.rows[b]) continue;
    const organ = SHOWN_BY[channel.character.organ];
    const own = organs.get(organ);
    if (own) own.push(channel);
    else organs.set(organ, [channel]);
  }
  return [...organs.values()];
}

/**
 * How much likelier what is read of one specimen is under a than under b, in nats, as `sharedMass` counts it: organ by organ, each
 * of them odd in some specimens. `read` gives the place of a reading in a channel's support, undefined where the specimen does not bear
 * what it is read from.
 */
export function ratioOfReadings(
  channels: readonly Channel[],
  a: number,
  b: number,
  read: (channel: Channel) => number | undefined,
): number {
  const [sound, odd] = [1 - ODD / 2, ODD / 2];
  const ratioOf = (channel: Channel): number => {
    const s = read(channel);
    if (s === undefined) return 0;
    const [p, q] = [channel.rows[a]![s]!, channel.rows[b]![s]!];
    const share = ownShare(channel);
    const mean = ((1 - share) * (p + q)) / 2;
    return Math.log((share * p + mean) / (share * q + mean));
  };
  const sum = (own: readonly Channel[]) => own.reduce((total, channel) => total + ratioOf(channel), 0);
  return byOrgan(channels, a, b).reduce((total, own) => {
    const { always, stages } = parted(own, a, b);
    const stage = stages && stageRead(stages, own, read);
    const ratio =
      sum(always) +
      (stage ? Math.log((stage.ofA + HARDLY_EVER) / (stage.ofB + HARDLY_EVER)) + sum(stage.channels) : 0);
    const inverse = Math.exp(-ratio);
    return total + Math.log((sound + odd * inverse) / (odd + sound * inverse));
  }, 0);
}

/** The stage that a specimen is in: the ripest of which something is read of it. */
function stageRead(
  stages: readonly Stage[],
  own: readonly Channel[],
  read: (channel: Channel) => number | undefined,
): Stage | undefined {
  const isSeen = (part: Stage['part']) =>
    own.some((channel) => {
      if (!channel.borne) return false;
      if (channel.character.derived) return part !== 'ripeFruit' && read(channel) === 0;
      return (part === 'ripeFruit') === isRipe(channel) && read(channel) !== undefined;
    });
  const part = (['ripeFruit', 'any'] as const).find(isSeen) ?? 'none';
  return stages.find((stage) => stage.part === part);
}
