/** One answer at a station where half of the students, drawn by lot, were told what to look at first. */
export interface PromptedAnswer {
  characterId: string;
  stationId: string;
  prompted: boolean;
  right: boolean;
}

/** What being told to look did. */
export interface PromptFinding {
  characterId: string;
  stations: number;
  told: { answers: number; right: number };
  others: { answers: number; right: number };
  /** Right share of those told less that of the others, station by station. */
  effect: number;
  /** 90 %. */
  interval: [number, number];
}

const Z90 = 1.645;

/**
 * The effect of looking, measured: the difference of right answers between those who were told to look at a character first and the others, pooled
 * over stations (weights of N. Mantel & W. Haenszel 1959, _J. Natl. Cancer Inst._ 22: 719–748). Stations at which only one kind answered say nothing.
 * Characters in the order in which they were first prompted.
 *
 * @example
 * promptFindings(answers)[0]; // { characterId: 'needle.bands', effect: 0.21, interval: [0.08, 0.34], … }
 */
export function promptFindings(answers: readonly PromptedAnswer[]): PromptFinding[] {
  const byCharacter = grouped(answers, ({ characterId }) => characterId);
  return [...byCharacter].flatMap(([characterId, all]) => {
    const stations = [...grouped(all, ({ stationId }) => stationId).values()]
      .map((here) => ({ told: countOf(here, true), others: countOf(here, false) }))
      .filter(({ told, others }) => told.answers > 0 && others.answers > 0);
    if (stations.length === 0) return [];
    let [weights, sum, variance] = [0, 0, 0];
    for (const { told, others } of stations) {
      const weight = (told.answers * others.answers) / (told.answers + others.answers);
      weights += weight;
      sum += weight * (told.right / told.answers - others.right / others.answers);
      variance += weight ** 2 * (noiseOf(told) + noiseOf(others));
    }
    const [effect, half] = [sum / weights, (Z90 * Math.sqrt(variance)) / weights];
    return {
      characterId,
      stations: stations.length,
      told: together(stations.map(({ told }) => told)),
      others: together(stations.map(({ others }) => others)),
      effect,
      interval: [effect - half, effect + half],
    };
  });
}

function grouped(answers: readonly PromptedAnswer[], by: (answer: PromptedAnswer) => string) {
  const groups = new Map<string, PromptedAnswer[]>();
  for (const answer of answers) groups.set(by(answer), [...(groups.get(by(answer)) ?? []), answer]);
  return groups;
}

interface Count {
  answers: number;
  right: number;
}

const countOf = (answers: readonly PromptedAnswer[], told: boolean): Count => {
  const those = answers.filter(({ prompted }) => prompted === told);
  return { answers: those.length, right: those.filter(({ right }) => right).length };
};

const together = (counts: readonly Count[]): Count => ({
  answers: counts.reduce((sum, { answers }) => sum + answers, 0),
  right: counts.reduce((sum, { right }) => sum + right, 0),
});

/** Variance of a share; one right and one wrong answer more keep it from being none. */
function noiseOf({ answers, right }: Count): number {
  const p = (right + 1) / (answers + 2);
  return (p * (1 - p)) / answers;
}
