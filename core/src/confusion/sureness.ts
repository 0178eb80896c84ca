import { SURENESS, type Sureness } from '../names/index.ts';
import { wilsonInterval } from './pairs.ts';

/** An answer with how sure its student said to be. */
export interface SureAnswer {
  studentId: string;
  truth: string;
  /** null where no tree of the list was named. */
  named: string | null;
  /** null where nothing was said. */
  sure: Sureness | null;
}

/** How those were right who said one thing. */
export interface SureLevel {
  sure: Sureness;
  answers: number;
  right: number;
  /** Share that is right, with its 90 % interval. */
  share: number;
  interval: [number, number];
}

/** A tree that is surely taken for another: a wrong idea, and no guess. */
export interface SureMistake {
  truth: string;
  answer: string;
  /** Students who were sure of it, and all who gave this name. */
  sure: number;
  gave: number;
}

export interface SurenessFound {
  /** Answers of which it was said, and all. */
  said: number;
  answers: number;
  /** The surest first; those that nobody chose are left out. */
  levels: SureLevel[];
  mistakes: SureMistake[];
}

/** One student who is sure of a wrong name is nobody's pattern. */
const SEVERAL = 2;

/**
 * What a class's own word on how sure it is comes to: how often each level is right, and which trees are taken for others by students who are sure of it.
 *
 * @example
 * surenessOf(answers).levels[0]; // { sure: 'sure', answers: 80, right: 66, share: 0.825, interval: [0.74, 0.88] }
 */
export function surenessOf(answers: readonly SureAnswer[]): SurenessFound {
  const said = answers.filter(({ sure }) => sure !== null);
  const levels = SURENESS.flatMap((sure): SureLevel[] => {
    const own = said.filter((answer) => answer.sure === sure);
    if (own.length === 0) return [];
    const right = own.filter(({ named, truth }) => named === truth).length;
    return [
      {
        sure,
        answers: own.length,
        right,
        share: right / own.length,
        interval: wilsonInterval(right, own.length),
      },
    ];
  });
  const pairs = new Map<string, { truth: string; answer: string; sure: Set<string>; gave: Set<string> }>();
  for (const { studentId, truth, named, sure } of said) {
    if (named === null || named === truth) continue;
    const key = `${truth} ${named}`;
    const pair = pairs.get(key) ?? { truth, answer: named, sure: new Set(), gave: new Set() };
    pair.gave.add(studentId);
    if (sure === 'sure') pair.sure.add(studentId);
    pairs.set(key, pair);
  }
  return {
    said: said.length,
    answers: answers.length,
    levels,
    mistakes: [...pairs.values()]
      .filter(({ sure }) => sure.size >= SEVERAL)
      .map(({ truth, answer, sure, gave }) => ({ truth, answer, sure: sure.size, gave: gave.size }))
      .sort((a, b) => b.sure - a.sure || a.gave - b.gave),
  };
}
