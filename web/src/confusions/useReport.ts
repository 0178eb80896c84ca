import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import type { ConfusionReport } from '@hurrow/core/confusion';
import type { Fairness } from '@hurrow/core/quiz';
import { get, post } from '../app/api.ts';
import { useLibrary } from '../app/data.ts';

/** Whose scores the evidence is taken from: as they stood when each quiz was opened, or as they stand now. */
export type Scores = 'then' | 'now';

export type ClassReport = ConfusionReport & {
  fairness: (Pick<Fairness, 'right' | 'judgement'> & { stationId: string })[];
};

interface Progress {
  share: number;
  doing: string;
}

const pause = (milliseconds: number) => new Promise((resolve) => setTimeout(resolve, milliseconds));
/** A computation that ends so often without a report has failed. */
const TRIES = 2;

/** The report on a course: asked for, waited for with progress, and asked for again when answers or the library change. */
export function useReport(courseId: string, scores: Scores) {
  const revision = useLibrary().library?.revision;
  const queries = useQueryClient();
  const [progress, setProgress] = useState<Progress & { key: string }>();
  const queryKey = ['confusions', courseId, 'report', scores, revision];
  const query = useQuery({
    queryKey,
    enabled: courseId !== '-' && revision !== undefined,
    staleTime: Infinity,
    retry: false,
    queryFn: async ({ signal }) => {
      const path = `/api/courses/${courseId}/confusions/report`;
      for (let tries = 0; ; tries += 1) {
        const { key, report } = await get<{ key: string; report?: ClassReport }>(`${path}?scores=${scores}`);
        if (report) return report;
        if (tries >= TRIES)
          throw new Error('The confusions could not be worked out. Reload the page and try again.');
        for (;;) {
          const { computing } = await get<{ computing: Progress | null }>(`${path}/${key}`);
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
      void post(`/api/courses/${courseId}/confusions/report/stop`, { key: progress.key }).catch(
        () => undefined,
      );
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
