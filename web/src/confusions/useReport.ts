import type { Progress, Scores } from '@hurrow/contract/confusions';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { call } from '../app/api.ts';
import { useLibrary } from '../app/data.ts';

const pause = (milliseconds: number) => new Promise((resolve) => setTimeout(resolve, milliseconds));
/** A computation that ends so often without a report has failed. */
const TRIES = 2;

/** The report on a course: asked for, waited for with progress, and asked for again when answers or the library change. */
export function useReport(courseId: string, scores: Scores, earlier: 'with' | 'without') {
  const revision = useLibrary().library?.revision;
  const queries = useQueryClient();
  const [progress, setProgress] = useState<Progress & { key: string }>();
  const queryKey = ['confusions', courseId, 'report', scores, earlier, revision];
  const query = useQuery({
    queryKey,
    enabled: courseId !== '-' && revision !== undefined,
    staleTime: Infinity,
    retry: false,
    queryFn: async ({ signal }) => {
      for (let tries = 0; ; tries += 1) {
        const { key, report } = await call('GET /api/courses/{courseId}/confusions/report', {
          params: { courseId },
          query: { scores, earlier },
        });
        if (report) return report;
        if (tries >= TRIES)
          throw new Error('The confusions could not be worked out. Reload the page and try again.');
        for (;;) {
          const { computing } = await call('GET /api/courses/{courseId}/confusions/report/{key}', {
            params: { courseId, key },
          });
          if (!computing || signal.aborted) break;
          setProgress({ key, ...computing });
          await pause(300);
        }
      }
    },
  });
  const stop = () => {
    void queries.cancelQueries({ queryKey });
    if (progress)
      void call('POST /api/courses/{courseId}/confusions/report/stop', {
        params: { courseId },
        body: { key: progress.key },
      }).catch(() => undefined);
  };
  return {
    // While something it rests on has changed, an older report is not shown.
    report: query.isFetching ? undefined : query.data,
    error: query.error,
    working: query.isFetching,
    progress,
    stop,
    again: () => void query.refetch(),
  };
}
