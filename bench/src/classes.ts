import type { Choice, ChoiceData, Situation } from '@hurrow/core/confusion';
import { randomFrom, seedOf, type Random } from '@hurrow/core/random';

/** The simulated classes of `bench/generator.md`. */
export interface ClassOptions {
  /** Share of the characters that can be seen at a station. */
  visible?: number;
  /** How often a neglected character is misread (G1). */
  misread?: number;
}

export interface SimulatedClass {
  data: ChoiceData;
  /** Places of the characters that the class neglects: the truth to be found. */
  neglected: number[];
  /** Quiz of each situation. */
  quizOf: number[];
  /** Share of wrong answers. */
  errors: number;
}

export const SIZES = {
  genera: 10,
  species: 4,
  characters: 30,
  states: 3,
  students: 24,
  quizzes: 3,
  stations: 20,
};
const MISREAD = 0.1;

/**
 * Evidence of a character whose states differ, nats: Bhattacharyya's coefficient of (1−m, m/2, m/2) and (m/2, 1−m, m/2) is
 * `2·√((1−m)·m/2) + m/2`.
 */
const EVIDENCE = -Math.log(2 * Math.sqrt((1 - MISREAD) * (MISREAD / 2)) + MISREAD / 2);

/** States of each taxon, genus by genus. */
export function libraryOf(random: Random): number[][] {
  const taxa: number[][] = [];
  for (let g = 0; g < SIZES.genera; g += 1) {
    const genus = Array.from({ length: SIZES.characters }, () => Math.floor(random.uniform() * SIZES.states));
    for (let s = 0; s < SIZES.species; s += 1) {
      let species: number[];
      do species = genus.map((state) => (random.uniform() < 0.15 ? another(state, random) : state));
      while (taxa.some((held) => held.every((state, c) => state === species[c])));
      taxa.push(species);
    }
  }
  return taxa;
}

const another = (state: number, random: Random): number =>
  (state + 1 + Math.floor(random.uniform() * (SIZES.states - 1))) % SIZES.states;

/** The stations of the quizzes: a truth and what can be seen. */
export function stationsOf(
  random: Random,
  visible: number,
): { truth: number; quiz: number; seen: number[] }[] {
  const taxa = SIZES.genera * SIZES.species;
  return Array.from({ length: SIZES.quizzes }, (_, quiz) =>
    drawn([...Array(taxa).keys()], SIZES.stations, random).map((truth) => {
      let seen: number[];
      do seen = [...Array(SIZES.characters).keys()].filter(() => random.uniform() < visible);
      while (seen.length < 4);
      return { truth, quiz, seen };
    }),
  ).flat();
}

/** Some of a list without replacement, in random order. */
export function drawn<T>(from: readonly T[], count: number, random: Random): T[] {
  const left = [...from];
  return Array.from({ length: count }, () => left.splice(Math.floor(random.uniform() * left.length), 1)[0]!);
}

/** Four of the characters that tell apart at least six pairs within a genus. */
export function neglectedOf(library: readonly number[][], random: Random): number[] {
  const decides = [...Array(SIZES.characters).keys()].filter((c) => {
    let pairs = 0;
    for (let g = 0; g < SIZES.genera; g += 1)
      for (let a = 0; a < SIZES.species; a += 1)
        for (let b = a + 1; b < SIZES.species; b += 1)
          if (library[g * SIZES.species + a]![c] !== library[g * SIZES.species + b]![c]) pairs += 1;
    return pairs >= 6;
  });
  return drawn(decides, 4, random);
}

/** The situation of a station against the whole library. */
export function situationOf(library: readonly number[][], truth: number, seen: number[]): Situation {
  const evidence = new Float64Array(library.length * seen.length);
  library.forEach((states, k) =>
    seen.forEach((c, i) => {
      if (states[c] !== library[truth]![c]) evidence[k * seen.length + i] = EVIDENCE;
    }),
  );
  return { truth, options: [...library.keys()], unnamed: [], characters: seen, evidence };
}

/** A class of the generator G1 or G2, from a seed. */
export function simulatedClass(kind: 'G1' | 'G2', seed: number, options: ClassOptions = {}): SimulatedClass {
  const stream = (what: string) => randomFrom(seedOf(kind, seed, what));
  const library = libraryOf(stream('library'));
  const neglected = neglectedOf(library, stream('neglected'));
  const stations = stationsOf(stream('stations'), options.visible ?? 0.35);
  const answers = stream('answers');
  const students = Array.from({ length: SIZES.students }, () =>
    kind === 'G1'
      ? noisyReader(library, neglected, options.misread ?? 0.65, answers)
      : listReader(library, neglected, answers),
  );
  const choices: Choice[] = [];
  stations.forEach(({ truth, seen }, situation) =>
    students.forEach((answer, student) => choices.push({ student, situation, answer: answer(truth, seen) })),
  );
  const wrong = choices.filter(({ situation, answer }) => answer !== stations[situation]!.truth).length;
  return {
    data: {
      taxa: library.map((_, i) => String(i)),
      characters: Array.from({ length: SIZES.characters }, (_, c) => String(c)),
      students: students.length,
      situations: stations.map(({ truth, seen }) => situationOf(library, truth, seen)),
      choices,
    },
    neglected,
    quizOf: stations.map(({ quiz }) => quiz),
    errors: wrong / choices.length,
  };
}

type Reader = (truth: number, seen: readonly number[]) => number;

/** G1: reads everything visible, some of it wrongly, and names the taxon with most agreeing characters. */
function noisyReader(
  library: readonly number[][],
  neglected: number[],
  misread: number,
  random: Random,
): Reader {
  const care = Math.exp(0.25 * random.normal());
  const rate = (c: number) => Math.min(0.9, care * (neglected.includes(c) ? misread : MISREAD));
  return (truth, seen) => {
    const read = seen.map((c) => {
      const state = library[truth]![c]!;
      return random.uniform() < rate(c) ? another(state, random) : state;
    });
    const agreeing = library.map((states) => seen.filter((c, i) => states[c] === read[i]).length);
    const most = Math.max(...agreeing);
    return random.pick([...agreeing.keys()].filter((k) => agreeing[k] === most));
  };
}

/** G2: goes down a list of its own and drops the candidates that disagree. */
function listReader(library: readonly number[][], neglected: number[], random: Random): Reader {
  const left = Array.from({ length: SIZES.characters }, (_, c) => c);
  const list = Array.from({ length: 12 }, () => {
    const at = random.weighted(left.map((c) => (neglected.includes(c) ? 0.2 : 1)));
    return left.splice(at, 1)[0]!;
  });
  return (truth, seen) => {
    let candidates = [...library.keys()];
    for (const c of list) {
      if (!seen.includes(c)) continue;
      const state = library[truth]![c]!;
      const read = random.uniform() < MISREAD ? another(state, random) : state;
      const agreeing = candidates.filter((k) => library[k]![c] === read);
      if (agreeing.length) candidates = agreeing;
    }
    return random.pick(candidates);
  };
}

/** Uses of characters from which `modelClass` draws its answers. */
export const TRUE_USE = { neglected: 0.1, other: 0.9 };

/** A class that answers by the similarity-choice model itself, for the coverage of its intervals. */
export function modelClass(seed: number): SimulatedClass & { use: number[] } {
  const stream = (what: string) => randomFrom(seedOf('model', seed, what));
  const library = libraryOf(stream('library'));
  const neglected = neglectedOf(library, stream('neglected'));
  const stations = stationsOf(stream('stations'), 0.35);
  const random = stream('answers');
  const normals = (count: number, sd: number) => Array.from({ length: count }, () => sd * random.normal());
  const [abilities, overGiven, missed] = [
    normals(SIZES.students, 0.5),
    normals(library.length, 0.3),
    normals(library.length, 0.3),
  ];
  const use = Array.from({ length: SIZES.characters }, (_, c) =>
    neglected.includes(c) ? TRUE_USE.neglected : TRUE_USE.other,
  );
  const choices: Choice[] = [];
  const situations = stations.map(({ truth, seen }) => situationOf(library, truth, seen));
  situations.forEach(({ truth, evidence, characters }, situation) => {
    for (let student = 0; student < SIZES.students; student += 1) {
      const weights = library.map((_, k) => {
        let utility = overGiven[k]!;
        if (k === truth) utility += 1 + abilities[student]! - missed[truth]!;
        characters.forEach((c, i) => (utility -= use[c]! * evidence[k * characters.length + i]!));
        return Math.exp(utility);
      });
      choices.push({ student, situation, answer: random.weighted(weights) });
    }
  });
  const wrong = choices.filter(({ situation, answer }) => answer !== stations[situation]!.truth).length;
  return {
    data: {
      taxa: library.map((_, i) => String(i)),
      characters: use.map((_, c) => String(c)),
      students: SIZES.students,
      situations,
      choices,
    },
    neglected,
    quizOf: stations.map(({ quiz }) => quiz),
    errors: wrong / choices.length,
    use,
  };
}
