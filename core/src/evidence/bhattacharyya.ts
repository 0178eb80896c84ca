import type { Channel, Readings } from './readings.ts';

export interface CharacterEvidence {
  characterId: string;
  /** Nats: −ln of Bhattacharyya's coefficient. */
  evidence: number;
  /** The channels that take part: one, or for an any-of character the best two of its states. */
  channels: Channel[];
}

/**
 * Evidence of one channel between taxa a and b: `e = −ln Σ_s √(P(s|a)·P(s|b))` in nats (A. Bhattacharyya 1943, Bulletin
 * of the Calcutta Mathematical Society 35: 99–109). Additive over independent characters. Undefined where either is unknown. On
 * leaves, flowers or fruit that only some specimens carry it is worth less: with the others it says nothing.
 */
export function channelEvidence(channel: Channel, a: number, b: number): number | undefined {
  const e = carriedEvidence(channel, a, b);
  const share = channel.present ?? channel.borne;
  if (e === undefined || !share || channel.character.derived) return e;
  const carried = Math.sqrt((share[a] || 1) * (share[b] || 1));
  return -Math.log(1 - carried + carried * Math.exp(-e));
}

/** The same where both specimens carry what the channel is on. */
export function carriedEvidence(channel: Channel, a: number, b: number): number | undefined {
  const [p, q] = [channel.roots[a], channel.roots[b]];
  if (!p || !q) return undefined;
  let sum = 0;
  for (let s = 0; s < p.length; s += 1) sum += p[s]! * q[s]!;
  return Math.max(0, -Math.log(Math.min(1, sum)));
}

/** Evidence of one character between two taxa; of an any-of character, the sum of its two best states. */
export function characterEvidence(
  channels: readonly Channel[],
  a: number,
  b: number,
): CharacterEvidence | undefined {
  const known = channels
    .map((channel) => ({ channel, e: channelEvidence(channel, a, b) }))
    .filter((entry): entry is { channel: Channel; e: number } => entry.e !== undefined);
  if (known.length === 0) return undefined;
  const best = known[0]!.channel.character.anyOf
    ? known.sort((x, y) => y.e - x.e).slice(0, 2)
    : known.slice(0, 1);
  return {
    characterId: best[0]!.channel.character.id,
    evidence: best.reduce((sum, entry) => sum + entry.e, 0),
    channels: best.map((entry) => entry.channel),
  };
}

/** Evidence of all characters known for both taxa, strongest first. Groups of near-duplicates are not yet thinned. */
export function pairEvidence(readings: Readings, a: number, b: number): CharacterEvidence[] {
  const list: CharacterEvidence[] = [];
  for (const channels of readings.channels.values()) {
    const evidence = characterEvidence(channels, a, b);
    if (evidence) list.push(evidence);
  }
  return list.sort((x, y) => y.evidence - x.evidence);
}

/**
 * Of each group of near-duplicates the one character that takes part: that with the largest mean evidence over the pairs of
 * the list that know it. Characters without a group stand for themselves.
 * @returns the ids of the characters that are left out, each with the one that speaks for it.
 */
export function spokenFor(readings: Readings): Map<string, string> {
  const groups = new Map<string, string[]>();
  for (const [id, channels] of readings.channels) {
    const group = channels[0]!.character.group;
    if (group) groups.set(group, [...(groups.get(group) ?? []), id]);
  }
  const left = new Map<string, string>();
  for (const members of groups.values()) {
    if (members.length < 2) continue;
    const means = members
      .map((id) => ({ id, mean: meanEvidence(readings, id) }))
      .sort((x, y) => y.mean - x.mean);
    for (const { id } of means.slice(1)) left.set(id, means[0]!.id);
  }
  return left;
}

function meanEvidence(readings: Readings, id: string): number {
  const channels = readings.channels.get(id)!;
  let sum = 0;
  let pairs = 0;
  for (let a = 0; a < readings.taxa.length; a += 1)
    for (let b = a + 1; b < readings.taxa.length; b += 1) {
      const found = characterEvidence(channels, a, b);
      if (!found) continue;
      sum += found.evidence;
      pairs += 1;
    }
  return pairs ? sum / pairs : 0;
}

/** Total evidence of every pair of a list, as the upper triangle row by row: (0,1), (0,2), … Nats. */
export function allPairs(readings: Readings): Float64Array {
  const n = readings.taxa.length;
  const totals = new Float64Array((n * (n - 1)) / 2);
  const left = spokenFor(readings);
  for (const [id, channels] of readings.channels) {
    if (left.has(id)) continue;
    let cell = 0;
    for (let a = 0; a < n; a += 1)
      for (let b = a + 1; b < n; b += 1, cell += 1) {
        const found =
          channels.length === 1
            ? channelEvidence(channels[0]!, a, b)
            : characterEvidence(channels, a, b)?.evidence;
        if (found !== undefined) totals[cell]! += found;
      }
  }
  return totals;
}
