import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Saving, type SavingState } from './saving.ts';

/** Keys of what the pages ask for, by what they are about: what a change makes stale. */
export const STALE = {
  accounts: ['accounts'],
  backups: ['backups'],
  second: ['second'],
  courses: ['courses'],
  course: (id: string) => ['course', id],
  quiz: (id: string) => ['quiz', id],
  marks: ['marks'],
  confusions: ['confusions'],
  confusionsOf: (courseId: string) => ['confusions', courseId],
  keeping: ['keeping'],
} as const;

/** Saving for a form or a button: `save` runs one call at a time, `saving` and `problem` say how it stands. See `Saving`. */
export function useSaving() {
  const queries = useQueryClient();
  const [state, setState] = useState<SavingState>({ saving: false, problem: undefined });
  const [held] = useState(() => new Saving(setState, (key) => queries.invalidateQueries({ queryKey: key })));
  return { ...state, save: held.run, say: held.say };
}
