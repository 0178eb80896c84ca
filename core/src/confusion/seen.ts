/** What one student said to one “what do you see” question, with the states that were right there. */
export interface Seen {
  characterId: string;
  stationId: string;
  studentId: string;
  right: readonly string[];
  said: string;
}

/** How a class reads a character when it is asked to look at it. */
export interface ReadingFinding {
  characterId: string;
  readings: number;
  wrong: number;
  /** Share of wrong readings: the mean of its posterior, with its 90 % interval. */
  share: number;
  interval: [number, number];
  /** Wrong readings by what was there and what was said, the most frequent first. */
  mistaken: { right: string[]; said: string; count: number; students: string[] }[];
}

/** The weight of what is expected of a beginner, in readings. */
const PRIOR_READINGS = 4;
const GRID = 2000;

/**
 * The share of wrong readings of each character that was asked for: Beta-binomial, the prior a beginner's misread rate with the weight of four
 * readings (docs/method.md, Misread or overlooked). Characters in the order in which they were first asked.
 * @param misreadOf a beginner's share of wrong readings of a character, 0–1
 */
export function readingFindings(
  seen: readonly Seen[],
  misreadOf: (characterId: string) => number,
): ReadingFinding[] {
  const byCharacter = new Map<string, Seen[]>();
  for (const one of seen)
    byCharacter.set(one.characterId, [...(byCharacter.get(one.characterId) ?? []), one]);
  return [...byCharacter].map(([characterId, all]) => {
    const wrong = all.filter(({ right, said }) => !right.includes(said));
    const expected = Math.min(0.99, Math.max(0.01, misreadOf(characterId)));
    const a = PRIOR_READINGS * expected + wrong.length;
    const b = PRIOR_READINGS * (1 - expected) + all.length - wrong.length;
    return {
      characterId,
      readings: all.length,
      wrong: wrong.length,
      share: a / (a + b),
      interval: betaInterval(a, b, 0.9),
      mistaken: mistaken(wrong),
    };
  });
}

function mistaken(wrong: readonly Seen[]): ReadingFinding['mistaken'] {
  const pairs = new Map<string, ReadingFinding['mistaken'][number]>();
  for (const { right, said, studentId } of wrong) {
    const key = JSON.stringify([right, said]);
    const held = pairs.get(key) ?? { right: [...right], said, count: 0, students: [] };
    held.count += 1;
    if (!held.students.includes(studentId)) held.students.push(studentId);
    pairs.set(key, held);
  }
  return [...pairs.values()].sort((x, y) => y.count - x.count);
}

/** The central interval of a Beta distribution that holds `mass` of it, by summing its density on a grid of 1/2000. */
export function betaInterval(a: number, b: number, mass: number): [number, number] {
  const logs = Array.from({ length: GRID }, (_, i) => {
    const p = (i + 0.5) / GRID;
    return (a - 1) * Math.log(p) + (b - 1) * Math.log(1 - p);
  });
  const top = Math.max(...logs);
  const density = logs.map((log) => Math.exp(log - top));
  // Below 1 a parameter makes the density rise without bound at its end: there the cell's mass is taken exactly.
  density[0]! *= 2 ** (a - 1) / a;
  density[GRID - 1]! *= 2 ** (b - 1) / b;
  const total = density.reduce((sum, d) => sum + d, 0);
  const quantile = (share: number): number => {
    let below = 0;
    const at = density.findIndex((d) => (below += d) >= share * total);
    return (at + 0.5) / GRID;
  };
  return [quantile((1 - mass) / 2), quantile(1 - (1 - mass) / 2)];
}

/** A class reads a character well if fewer than one reading in five is wrong, badly if more than one in four is; both beyond doubt. */
const READ_WELL = 0.2;
const READ_BADLY = 0.25;

/**
 * Why a character is not used: `overlooked`, read well by those who are asked to look; `misread`, read badly even then, so that it has to be taught
 * itself; undefined where too few readings tell.
 */
export function misreadOrOverlooked({ interval }: ReadingFinding): 'overlooked' | 'misread' | undefined {
  if (interval[0] > READ_BADLY) return 'misread';
  return interval[1] < READ_WELL ? 'overlooked' : undefined;
}
