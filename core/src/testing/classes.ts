import type { Choice, ChoiceData, Situation } from '../confusion/index.ts';
import { randomFrom } from '../random/index.ts';

/** States of nine taxa in three genera of three: species differ from their relatives in two characters, genera in all. */
const STATES = [
  [0, 0, 0, 0],
  [0, 1, 0, 1],
  [0, 0, 1, 1],
  [1, 0, 0, 0],
  [1, 1, 0, 1],
  [1, 0, 1, 1],
  [2, 0, 0, 0],
  [2, 1, 0, 1],
  [2, 0, 1, 1],
];
/** Evidence of a character whose states differ, nats. */
const DIFFERS = 0.9;

/** The situation of a truth among all nine, every character visible; an answer may also be blank. */
export function situationAmongNine(truth: number): Situation {
  const characters = [0, 1, 2, 3];
  const evidence = new Float64Array(STATES.length * characters.length);
  STATES.forEach((states, k) =>
    characters.forEach((c) => {
      if (states[c] !== STATES[truth]![c]) evidence[k * characters.length + c] = DIFFERS;
    }),
  );
  return { truth, options: STATES.map((_, k) => k), unnamed: [0], characters, evidence };
}

/** A small class that answers by the similarity-choice model with these uses; each student meets every taxon so many times. */
export function classWithUses(
  uses: readonly number[],
  students: number,
  times: number,
  seed = 5,
): ChoiceData {
  const random = randomFrom(seed);
  const situations = STATES.map((_, truth) => situationAmongNine(truth));
  const choices: Choice[] = [];
  situations.forEach(({ truth, options, characters, evidence }, situation) => {
    const weights = [
      ...options.map((k) => {
        const unlike = characters.reduce(
          (sum, c) => sum + uses[c]! * evidence[k * characters.length + c]!,
          0,
        );
        return Math.exp((k === truth ? 0.5 : 0) - unlike);
      }),
      0.05,
    ];
    for (let student = 0; student < students; student += 1)
      for (let i = 0; i < times; i += 1)
        choices.push({ student, situation, answer: random.weighted(weights) });
  });
  return {
    taxa: STATES.map((_, k) => `t${k}`),
    characters: ['kind', 'leaf', 'bud', 'bark'],
    students,
    situations,
    choices,
  };
}
