import type { OwnPhrase } from '@hurrow/core/notebook';
import { call } from '../app/api.ts';
import { STALE, useSaving } from '../app/useSaving.ts';
import { notebookKey } from './notebookKey.ts';

/** Keeps what words of a class mean. `teach` resolves to whether they were kept. */
export function useTeaching(courseId: string) {
  const { save, saving, problem } = useSaving();
  const teach = (phrases: readonly OwnPhrase[]) =>
    save(
      () =>
        call('PUT /api/courses/{courseId}/notebook-words', {
          params: { courseId },
          body: { phrases: [...phrases] },
        }),
      { stale: [notebookKey(courseId), STALE.confusionsOf(courseId)] },
    );
  return { teach, saving, problem };
}
