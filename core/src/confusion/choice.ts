/** Answers that name no tree of the list; in the model each has an intercept and nothing else. */
export const UNNAMED = ['blank', 'off the list', 'right genus only', 'wrong genus only'] as const;
export type Unnamed = (typeof UNNAMED)[number];

/** One truth in one view against the names that could be given: what all students at such a station have in common. */
export interface Situation {
  /** Place of the truth in `ChoiceData.taxa`. */
  truth: number;
  /** Places in `ChoiceData.taxa` of the names that could be given; the truth is one of them. */
  options: readonly number[];
  /** Places in `UNNAMED` of the other answers that were open; none of them where one had to be chosen. */
  unnamed: readonly number[];
  /** Places in `ChoiceData.characters` of what was visible. */
  characters: readonly number[];
  /** Evidence between the truth and each option: options × characters, row by row, nats. The row of the truth is 0. */
  evidence: Float64Array;
}

/** One answer of one student. */
export interface Choice {
  student: number;
  situation: number;
  /** Place in the situation's `options`, or `options.length` and on for its `unnamed`. */
  answer: number;
}

/** What the confusion model is fitted to. Students, taxa and characters are known by their place in a list. */
export interface ChoiceData {
  taxa: readonly string[];
  characters: readonly string[];
  students: number;
  situations: readonly Situation[];
  choices: readonly Choice[];
}

/** The choices at one situation, counted. */
export interface Tally {
  /** Those who answered, one entry an answer. */
  students: Int32Array;
  /** 1 where the entry of `students` named the truth. */
  right: Uint8Array;
  /** How often each alternative was given, in the order of options, then unnamed. */
  counts: Float64Array;
}

/** The choices of each situation, counted. */
export function tallies({ situations, choices }: ChoiceData): Tally[] {
  const bySituation: Choice[][] = situations.map(() => []);
  for (const choice of choices) bySituation[choice.situation]!.push(choice);
  return bySituation.map((held, s) => {
    const { options, unnamed, truth } = situations[s]!;
    const place = options.indexOf(truth);
    const counts = new Float64Array(options.length + unnamed.length);
    for (const { answer } of held) counts[answer]! += 1;
    return {
      students: Int32Array.from(held, ({ student }) => student),
      right: Uint8Array.from(held, ({ answer }) => (answer === place ? 1 : 0)),
      counts,
    };
  });
}
