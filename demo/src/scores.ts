import type { ProfiledTaxon } from '@hurrow/core/evidence';
import type { ScoreValue } from '@hurrow/core/score';
import type { Trait } from '@hurrow/core/specimen';

/** The adopted values of one character of a taxon, under any qualifiers. */
export const scoresOf = (profiled: ProfiledTaxon, characterId: string): ScoreValue[] =>
  profiled.scores.filter((score) => score.characterId === characterId).map((score) => score.value);

/** How well a reading agrees with what is said of a taxon, from 0 to 1; a half where nothing is said. */
export function admits(values: readonly ScoreValue[], seen: Trait): number {
  if (values.length === 0) return 0.3;
  return Math.max(...values.map((value) => agreement(value, seen)));
}

function agreement(value: ScoreValue, seen: Trait): number {
  if (value.kind === 'states') {
    const wanted = Array.isArray(seen) ? seen : [String(seen)];
    return value.states.some((entry) => wanted.includes(entry.state) && entry.frequency !== 'never') ? 1 : 0;
  }
  if (value.kind === 'flag')
    return (value.frequency === 'always' || value.frequency === 'usually') === seen ? 1 : 0;
  if (value.kind === 'range' && typeof seen === 'number') {
    const low = (value.low ?? value.min ?? 0) * 0.85;
    const high = (value.high ?? value.max ?? Infinity) * 1.15;
    return seen >= low && seen <= high ? 1 : 0;
  }
  return 0.3;
}
