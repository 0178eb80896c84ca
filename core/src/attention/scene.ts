/** One thing that can be read of a character: how a beginner reads it off this tree, and how well each name fits each reading. */
export interface LookedAt {
  /** P(reading | this tree), over the readings. */
  chances: Float64Array;
  /** Match of each option with each reading, 0–1: readings × options, row by row (`matchOf`). */
  match: Float64Array;
}

/** A character that could be looked at in a scene. */
export interface Look {
  /** Place of the character in the list of all. */
  character: number;
  /** Share of specimens that carry the part on the day, 0–1. */
  carried: number;
  channels: readonly LookedAt[];
}

/** One tree in one view against the names that could be given. */
export interface Scene {
  /** How many names could be given. */
  options: number;
  /** Place of the tree among them. */
  truth: number;
  looks: readonly Look[];
  answers: number;
  /** How many of the answers were right. */
  right: number;
}

/**
 * How well names fit readings, bounded so that one reading never settles all: `max(0, 1 + ln(p_k(x) / max p(x)) / 3)`. A name without a score
 * takes the mean of those known, one to which the character does not apply 0.
 * @param rows P(reading | name) of each option; `gap` where the score is missing, undefined where the character does not apply
 * @returns readings × options, row by row, each 0–1
 *
 * @example
 * matchOf([Float64Array.of(0.9, 0.1), Float64Array.of(0.1, 0.9)], 2); // [1, 0.27, 0.27, 1]
 */
export function matchOf(rows: readonly (Float64Array | 'gap' | undefined)[], readings: number): Float64Array {
  const match = new Float64Array(readings * rows.length);
  for (let x = 0; x < readings; x += 1) {
    let most = 0;
    for (const row of rows) if (row instanceof Float64Array) most = Math.max(most, row[x]!);
    if (most === 0) continue;
    let [sum, known] = [0, 0];
    rows.forEach((row, k) => {
      if (!(row instanceof Float64Array)) return;
      const m = Math.max(0, 1 + Math.log(Math.max(1e-12, row[x]! / most)) / 3);
      match[x * rows.length + k] = m;
      sum += m;
      known += 1;
    });
    rows.forEach((row, k) => {
      if (row === 'gap') match[x * rows.length + k] = sum / known;
    });
  }
  return match;
}
