import { useState } from 'react';
import { readKept, writeKept } from '../app/keptText.ts';
import { marked } from './progress.ts';

function readIds(text: string | null): string[] {
  try {
    const held = JSON.parse(text ?? '[]') as unknown;
    return Array.isArray(held) ? held.filter((id) => typeof id === 'string') : [];
  } catch {
    return [];
  }
}

/** The stations of a quiz that a student wants to come back to: on this phone only, and nobody else's concern. */
export function useAgain(
  student: string,
  quizId: string,
): { again: string[]; mark(stationId: string): void } {
  const key = `hurrow.again.${student}.${quizId}`;
  const [again, setAgain] = useState(() => readIds(readKept(key)));
  const mark = (stationId: string) => {
    const next = marked(again, stationId);
    setAgain(next);
    writeKept(key, JSON.stringify(next));
  };
  return { again, mark };
}
