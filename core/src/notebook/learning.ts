import type { Meaning, OwnPhrase } from './ownWords.ts';
import { stemsOf } from './stems.ts';

/** An entry as far as words are learnt from it. */
export interface Example {
  studentId: string;
  /** Stretches of its words that were not understood. */
  unknown: readonly string[];
  /** What was chosen from pictures. */
  chosen: readonly Meaning[];
}

/** A phrase whose meaning may be learnt from what was chosen beside it. */
export interface WordToTeach extends OwnPhrase {
  /** Entries in which it stands, and those of them that chose this state. */
  entries: number;
  chose: number;
  students: number;
}

/** So many students must have written it, and so large a part of the entries that have it must have chosen the same. */
const FEWEST_STUDENTS = 2;
const AGREEING = 0.75;
/** It must stand so many times as often with that state as the state is chosen anyway. */
const LIFT = 1.5;

/**
 * What words of the class that Hurrow does not know may mean, by the states that were chosen beside them: to be confirmed by the instructor.
 * Only phrases of two students and more are offered; the best supported first.
 *
 * @example
 * learnable([
 *   { studentId: 'a', unknown: ['crocodile'], chosen: [{ characterId: 'bark.surface', state: 'squareBlocks' }] },
 *   { studentId: 'b', unknown: ['like a crocodile'], chosen: [{ characterId: 'bark.surface', state: 'squareBlocks' }] },
 *   { studentId: 'c', unknown: [], chosen: [{ characterId: 'bark.surface', state: 'smooth' }] },
 * ])[0]!.state; // 'squareBlocks'
 */
export function learnable(examples: readonly Example[]): WordToTeach[] {
  const phrases = new Map<string, { phrase: string; of: Set<Example> }>();
  for (const example of examples)
    for (const phrase of example.unknown) {
      const key = stemsOf(phrase).join(' ');
      const held = phrases.get(key) ?? { phrase, of: new Set() };
      held.of.add(example);
      if (phrase.length < held.phrase.length) held.phrase = phrase;
      phrases.set(key, held);
    }
  return [...phrases.values()]
    .flatMap(({ phrase, of }) => meaningOf(phrase, [...of], examples) ?? [])
    .sort((x, y) => y.students - x.students || y.chose / y.entries - x.chose / x.entries);
}

function meaningOf(phrase: string, of: readonly Example[], all: readonly Example[]): WordToTeach | undefined {
  const students = new Set(of.map(({ studentId }) => studentId)).size;
  if (students < FEWEST_STUDENTS) return undefined;
  const meanings = of.flatMap(({ chosen }) => chosen);
  const judged = meanings.map((meaning) => {
    const has = (example: Example) => example.chosen.some((each) => isSame(each, meaning));
    const chose = of.filter(has).length;
    const anyway = all.filter(has).length / all.length;
    return { ...meaning, chose, lift: chose / of.length / anyway };
  });
  const best = judged
    .filter(({ chose, lift }) => chose / of.length >= AGREEING && lift >= LIFT)
    .sort((x, y) => y.lift * y.chose - x.lift * x.chose)[0];
  return (
    best && {
      phrase,
      characterId: best.characterId,
      state: best.state,
      entries: of.length,
      chose: best.chose,
      students,
    }
  );
}

const isSame = (a: Meaning, b: Meaning): boolean => a.characterId === b.characterId && a.state === b.state;
