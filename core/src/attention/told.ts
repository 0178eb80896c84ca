/** One answer to “what did you go by”: places of the characters that were offered, and of those that were ticked. */
export interface Told {
  offered: readonly number[];
  told: readonly number[];
}

/** How often a character was told, against a character that is told as readily as most. */
export interface Telling {
  /** On how many lists it stood that told of anything. */
  offered: number;
  told: number;
  /** What would be expected of a typical character on the same lists, given what else was told there. */
  expected: number;
}

const STEPS = 30;
/** Of the typical rate, in ticks: what is told of no list at all still has one. */
const HALF = 0.5;

/**
 * Reports as rates: of what a student ticks each character has a share in proportion to its weight (Luce 1959; found by the iteration of
 * Hunter 2004), so that it does not count against a character that it stood among others told readily. Lists on which nothing was ticked say nothing here.
 *
 * @param characters how many there are
 * @returns one entry a character
 * @example
 * tellingsOf(3, [{ offered: [0, 1, 2], told: [0] }, { offered: [0, 1, 2], told: [1] }])[2]; // { offered: 2, told: 0, expected: 0.68… }
 */
export function tellingsOf(characters: number, reports: readonly Told[]): Telling[] {
  const tellings = Array.from({ length: characters }, (): Telling => ({ offered: 0, told: 0, expected: 0 }));
  const speaking = reports.filter(({ told }) => told.length > 0);
  for (const { offered, told } of speaking) {
    for (const c of offered) tellings[c]!.offered += 1;
    for (const c of told) tellings[c]!.told += 1;
  }
  const asked = [...tellings.keys()].filter((c) => tellings[c]!.offered > 0);
  const weight = new Float64Array(characters).fill(1);
  const exposure = new Float64Array(characters);
  for (let step = 0; step < STEPS; step += 1) {
    exposure.fill(0);
    for (const { offered, told } of speaking) {
      const all = offered.reduce((sum, c) => sum + weight[c]!, 0);
      for (const c of offered) exposure[c]! += told.length / all;
    }
    for (const c of asked) weight[c] = (tellings[c]!.told + HALF) / (exposure[c]! + HALF);
    // The typical weight is 1.
    const typical = medianOf(asked.map((c) => weight[c]!));
    for (const c of asked) weight[c]! /= typical;
  }
  for (const c of asked) tellings[c]!.expected = exposure[c]!;
  return tellings;
}

function medianOf(values: readonly number[]): number {
  const sorted = [...values].sort((x, y) => x - y);
  return sorted.length ? sorted[Math.floor(sorted.length / 2)]! : 1;
}
