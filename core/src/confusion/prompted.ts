import { normalCdf } from '../random/index.ts';
import type { Consequence } from './consequences.ts';

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

const deviationOf = ({ interval }: PromptFinding): number => (interval[1] - interval[0]) / (2 * Z90);

/**
 * Findings of several classes as one a character: the mean of the effects, weighted by how well each is known.
 *
 * @param classes findings of each class; the characters of the first come first
 * @example
 * pooledPrompts([own, lastYears])[0]; // { characterId: 'needle.bands', stations: 5, effect: 0.19, interval: [0.1, 0.28], … }
 */
export function pooledPrompts(classes: readonly (readonly PromptFinding[])[]): PromptFinding[] {
  const byCharacter = new Map<string, PromptFinding[]>();
  for (const found of classes.flat())
    byCharacter.set(found.characterId, [...(byCharacter.get(found.characterId) ?? []), found]);
  return [...byCharacter].map(([characterId, all]) => {
    const weights = all.map((found) => 1 / Math.max(1e-6, deviationOf(found)) ** 2);
    const sum = weights.reduce((x, y) => x + y, 0);
    const effect = all.reduce((mean, found, i) => mean + (weights[i]! / sum) * found.effect, 0);
    const half = Z90 / Math.sqrt(sum);
    return {
      characterId,
      stations: all.reduce((count, { stations }) => count + stations, 0),
      told: together(all.map(({ told }) => told)),
      others: together(all.map(({ others }) => others)),
      effect,
      interval: [effect - half, effect + half],
    };
  });
}

/**
 * What looking would have saved, by the model and by what being told to look did: their mean, each weighted by how well it is known. The experiment speaks
 * for all answers at which the character could tell.
 *
 * @param answers so many there are
 * @example
 * withExperiment({ prevented: 4, interval: [1, 12], chance: 0.9 }, found, 100); // { prevented: 8.1, interval: [3.4, 12.8], … }
 */
export function withExperiment(model: Consequence, found: PromptFinding, answers: number): Consequence {
  const known = [
    { value: model.prevented, sd: Math.max(0.5, (model.interval[1] - model.interval[0]) / (2 * Z90)) },
    { value: answers * found.effect, sd: Math.max(0.5, answers * deviationOf(found)) },
  ];
  const precision = known.reduce((sum, { sd }) => sum + 1 / sd ** 2, 0);
  const prevented = known.reduce((sum, { value, sd }) => sum + value / sd ** 2, 0) / precision;
  const half = Z90 / Math.sqrt(precision);
  return {
    prevented,
    interval: [prevented - half, prevented + half],
    chance: normalCdf(prevented * Math.sqrt(precision)),
  };
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
