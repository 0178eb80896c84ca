import {
  baseRateLoss,
  fitClass,
  fitStudent,
  Laplace,
  leavingOut,
  logLoss,
  withoutEvidence,
  type ChoiceData,
} from '@hurrow/core/confusion';
import { randomFrom } from '@hurrow/core/random';
import { modelClass, simulatedClass, type ClassOptions, type SimulatedClass } from './classes.ts';
import { milliseconds, timed, type Row } from './row.ts';

const seeds = (from: number, count: number) => Array.from({ length: count }, (_, i) => from + i);
const mean = (values: readonly number[]) => values.reduce((sum, x) => sum + x, 0) / values.length;

/** Chance that a neglected character scores above another, over the characters that decided anything. */
function auc(scores: readonly number[], { neglected, data }: SimulatedClass): number {
  const decided = new Set(data.situations.flatMap(decidersOf));
  const [found, rest] = [true, false].map((is) => [...decided].filter((c) => neglected.includes(c) === is));
  return mean(
    found!.flatMap((n) =>
      rest!.map((c) => (scores[n]! > scores[c]! ? 1 : scores[n] === scores[c] ? 0.5 : 0)),
    ),
  );
}

/** Characters that tell the truth of a situation from any option. */
function decidersOf({ characters, options, evidence }: ChoiceData['situations'][number]): number[] {
  return characters.filter((_, i) => options.some((_k, k) => evidence[k * characters.length + i]! > 0));
}

/** The two rivals of `bench/generator.md`: even blame, and even blame per opportunity. */
function blame({ data }: SimulatedClass): { even: number[]; perOpportunity: number[] } {
  const [even, opportunities] = [data.characters.map(() => 0), data.characters.map(() => 0)];
  for (const { situation, answer } of data.choices) {
    const { truth, characters, options, evidence } = data.situations[situation]!;
    const width = characters.length;
    for (const [k] of options.entries())
      characters.forEach((c, i) => (opportunities[c]! += evidence[k * width + i]! > 0 ? 1 : 0));
    if (options[answer] === truth) continue;
    const differ = characters.filter((_, i) => evidence[answer * width + i]! > 0);
    for (const c of differ) even[c]! += 1 / differ.length;
  }
  return { even, perOpportunity: even.map((sum, c) => sum / Math.max(1, opportunities[c]!)) };
}

const scoresOf = (held: SimulatedClass): number[] =>
  [...fitClass(held.data).theta.slice(0, held.data.characters.length)].map((w) => -w);

/** Mean, and the lower bound of its 95 % interval over the seeds. */
function gain(values: readonly number[]): { mean: number; lower: number } {
  const m = mean(values);
  const sd = Math.sqrt(values.reduce((sum, x) => sum + (x - m) ** 2, 0) / (values.length - 1));
  // Student's t of 19 degrees of freedom.
  return { mean: m, lower: m - (2.093 * sd) / Math.sqrt(values.length) };
}

function accuracy(kind: 'G1' | 'G2', wanted: { auc: string; gain: string }): Row[] {
  const classes = seeds(1001, 20).map((seed) => simulatedClass(kind, seed));
  const model = classes.map((held) => auc(scoresOf(held), held));
  const rivals = classes.map((held) => {
    const { even, perOpportunity } = blame(held);
    return { even: auc(even, held), perOpportunity: auc(perOpportunity, held) };
  });
  const better = rivals.map(({ even, perOpportunity }) => Math.max(even, perOpportunity));
  const paired = gain(model.map((x, i) => x - better[i]!));
  const losses = classes.slice(0, 5).flatMap(leftOutLosses);
  return [
    { what: `${kind}: wrong answers, 20 classes`, value: percent(mean(classes.map(({ errors }) => errors))) },
    {
      what: `${kind}: AUC of the model for neglected characters`,
      value: mean(model).toFixed(3),
      wanted: wanted.auc,
    },
    {
      what: `${kind}: AUC of even blame, and of even blame per opportunity`,
      value: `${mean(rivals.map((r) => r.even)).toFixed(3)}, ${mean(rivals.map((r) => r.perOpportunity)).toFixed(3)}`,
    },
    {
      what: `${kind}: paired gain over the better of the two, its lower 95 % bound`,
      value: `${paired.mean.toFixed(4)}, ${paired.lower.toFixed(4)}`,
      wanted: wanted.gain,
    },
    {
      what: `${kind}: log-loss on the quiz left out: model, without evidence, base rate`,
      value: (['model', 'plain', 'base'] as const)
        .map((which) => mean(losses.map((loss) => loss[which])).toFixed(3))
        .join(', '),
      wanted: 'the first lowest',
    },
  ];
}

function leftOutLosses({ data, quizOf }: SimulatedClass) {
  const quizOfChoice = (choice: number) => String(quizOf[data.choices[choice]!.situation]);
  return [...new Set(quizOf)].map((quiz) => {
    const { fit, learned, held } = leavingOut(data, quizOfChoice, String(quiz), {});
    const plain = fitClass(withoutEvidence(learned));
    return {
      model: logLoss(fit, held),
      plain: logLoss(plain, withoutEvidence(held)),
      base: baseRateLoss(learned, held),
    };
  });
}

function sensitivity(): Row[] {
  const over = (options: ClassOptions) =>
    mean(
      seeds(1001, 10).map((seed) => {
        const held = simulatedClass('G1', seed, options);
        return auc(scoresOf(held), held);
      }),
    ).toFixed(3);
  return [
    ...[0.25, 0.35, 0.5].map((visible) => ({
      what: `G1, ${percent(visible)} of the characters visible: AUC`,
      value: over({ visible }),
    })),
    ...[0.35, 0.5, 0.65].map((misread) => ({
      what: `G1, neglected characters misread in ${percent(misread)}: AUC`,
      value: over({ misread }),
    })),
  ];
}

function coverage(): Row[] {
  const [inside, counted] = [
    { neglected: 0, other: 0 },
    { neglected: 0, other: 0 },
  ];
  for (const seed of seeds(2001, 40)) {
    const { data, neglected, use } = modelClass(seed);
    new Laplace(fitClass(data)).uses().forEach(({ interval: [low, high] }, c) => {
      const kind = neglected.includes(c) ? 'neglected' : 'other';
      counted[kind] += 1;
      if (use[c]! >= low && use[c]! <= high) inside[kind] += 1;
    });
  }
  return (['neglected', 'other'] as const).map((kind) => ({
    what: `Coverage of 90 % intervals, ${kind} characters, 40 classes`,
    value: percent(inside[kind] / counted[kind]),
    wanted: '85–95 %',
  }));
}

const percent = (share: number) => `${(100 * share).toFixed(share < 1 && share > 0.1 ? 1 : 0)} %`;

/** A large class: 200 students, 200 stations each, 60 taxa in tens, 80 characters of which a third can be seen. */
function largeClass(quizzes: number): ChoiceData {
  const random = randomFrom(60);
  const [taxa, characters, students, perQuiz] = [60, 80, 200, 40];
  const states = Array.from({ length: taxa }, (_, t) =>
    Array.from({ length: characters }, (_c, c) =>
      random.uniform() < 0.15 ? Math.floor(3 * random.uniform()) : (Math.floor(t / 6) * (c + 1)) % 3,
    ),
  );
  const situations = Array.from({ length: perQuiz * quizzes }, (_, s) => {
    const truth = s % taxa;
    const seen = [...Array(characters).keys()].filter(() => random.uniform() < 0.35);
    const evidence = new Float64Array(taxa * seen.length);
    states.forEach((row, k) =>
      seen.forEach((c, i) => (evidence[k * seen.length + i] = row[c] === states[truth]![c] ? 0 : 0.75)),
    );
    return { truth, options: [...Array(taxa).keys()], unnamed: [], characters: seen, evidence };
  });
  const choices = situations.flatMap(({ truth, characters: seen, evidence }, situation) => {
    const weights = states.map((_, k) =>
      Math.exp(
        (k === truth ? 1 : 0) -
          seen.reduce((sum, c, i) => sum + (c % 10 ? 0.8 : 0.1) * evidence[k * seen.length + i]!, 0),
      ),
    );
    return Array.from({ length: students }, (_, student) => ({
      student,
      situation,
      answer: random.weighted(weights),
    }));
  });
  return {
    taxa: states.map((_, t) => String(t)),
    characters: Array.from({ length: characters }, (_, c) => String(c)),
    students,
    situations,
    choices,
  };
}

function speed(): Row[] {
  const [before, after] = [largeClass(4), largeClass(5)];
  const what = '200 students × 200 answers, 60 taxa, 80 characters';
  const first = fitClass(before);
  const fit = fitClass(after);
  return [
    { what: `Stage 1, ${what}`, value: milliseconds(timed(() => fitClass(after), 3, 1)), wanted: '≤ 5 s' },
    {
      what: 'The same begun from the optimum before the last quiz',
      value: milliseconds(timed(() => fitClass(after, { start: first.theta }), 3, 1)),
      wanted: '≤ 1 s',
    },
    {
      what: 'Stage 2, one student of that class',
      value: milliseconds(timed(() => fitStudent(fit, 7), 5, 1)),
      wanted: '≤ 0.2 s',
    },
  ];
}

/** The confusion model on classes whose truths are known. */
export const confusion = (): Row[] => [
  ...accuracy('G1', { auc: '≥ 0.95', gain: '≥ 0.10, > 0.05' }),
  ...accuracy('G2', { auc: '≥ 0.90', gain: '≥ 0.07, > 0.05' }),
  ...sensitivity(),
  ...coverage(),
  ...speed(),
];
