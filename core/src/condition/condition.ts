import type { Channel, Readings } from '../evidence/index.ts';

/**
 * A statement that is true or false of one specimen: "needles two or three in a bundle", "bud scales none", "blade of 6 cm or
 * more". The leads of a key, the marks that single a taxon out and rules of thumb are made of conditions.
 */
export interface Condition {
  characterId: string;
  /** One-of and ordinal characters: any one of these states. Any-of characters: the one state that is asked for. */
  states?: string[];
  /** Flags and states of any-of characters: seen (true) or missing (false). */
  present?: boolean;
  /** Numbers, in the stored unit: this or more. */
  from?: number;
  /** Numbers, in the stored unit: less than this. */
  below?: number;
}

/** The channel that a condition is read from; undefined where the view does not show it. */
export const channelOf = (readings: Readings, condition: Condition): Channel | undefined => {
  const channels = readings.channels.get(condition.characterId);
  if (!channels) return undefined;
  return channels[0]!.character.anyOf
    ? channels.find(({ state }) => state === condition.states?.[0])
    : channels[0];
};

/** Does one reading of a channel, given by its place in the support, meet the condition? */
export function meets({ character, grid, state }: Channel, reading: number, condition: Condition): boolean {
  if (state !== undefined || character.kind === 'flag' || character.kind === 'months')
    return (reading === 0) === (condition.present ?? true);
  if (grid) {
    const x = grid.from + reading * grid.step;
    const value = character.kind === 'count' ? x : Math.exp(x);
    // A number that stands on the border itself belongs to the upper part.
    const border = 1e-9 * Math.abs(value);
    return value >= (condition.from ?? -Infinity) - border && value < (condition.below ?? Infinity) - border;
  }
  return condition.states?.includes(character.states[reading]!.id) ?? false;
}

/** The places of a channel's support at which the condition holds, as 0 and 1. */
export const whereMet = (channel: Channel, size: number, condition: Condition): Uint8Array =>
  Uint8Array.from({ length: size }, (_, s) => (meets(channel, s, condition) ? 1 : 0));

/** Share of the readings of taxon t that meet the condition, 0–1; undefined where the taxon is not scored or does not show it. */
export function shareMeeting(readings: Readings, t: number, condition: Condition): number | undefined {
  const channel = channelOf(readings, condition);
  const row = channel?.rows[t];
  if (!channel || !row) return undefined;
  let share = 0;
  for (let s = 0; s < row.length; s += 1) if (meets(channel, s, condition)) share += row[s]!;
  return Math.min(1, share);
}
