import type { WholeCourse } from '@hurrow/contract/courses';
import { useQueries } from '@tanstack/react-query';
import type { Question, Repair, WithoutSense } from '@hurrow/core/station';
import { viewKey } from '@hurrow/core/view';
import type { useLibrary } from '../app/data.ts';
import { LEVELS } from '../lookalikes/setting.ts';
import { needsOf } from './needs.ts';
import { runInWorker } from '../workers/useWork.ts';
import type { Planned } from './planned.ts';
import type { Judged } from './proposed.ts';

export interface JudgedStation extends Judged {
  judgement: 'fair' | 'strained' | 'unfair';
  repair: Repair | undefined;
  /** What can be asked fairly in place of a name that cannot. */
  easier: { question: Question; right: number } | undefined;
  /** What it is to those of the class who do without a sense, where that is less. */
  without: WithoutSense[];
}

/** How fair each station of a plan is for the list as it is taught, place by place; undefined where it is being worked out. */
export function useJudged(
  stations: readonly Planned[],
  taxa: readonly string[],
  {
    course,
    library,
    day,
  }: { course: WholeCourse; library: ReturnType<typeof useLibrary>['library']; day: number },
): (JudgedStation | undefined)[] {
  const { latitude, longitude, elevation } = course;
  const site = { latitude, longitude, elevation };
  const needs = needsOf(course.students);
  const asked = {
    revision: library?.revision ?? 0,
    tag: library?.tag ?? '',
    taxa: [...taxa],
    levels: LEVELS,
    options: library ? { reference: library.reference, site } : {},
  };
  return useQueries({
    queries: stations.map(({ taxonId, view, question = null, choose = false }) => ({
      queryKey: [
        'work',
        'station',
        taxonId,
        viewKey(view),
        question,
        choose,
        needs,
        view.leaves,
        day,
        library?.revision,
        library?.tag,
        taxa,
        site,
      ],
      queryFn: ({ signal }: { signal: AbortSignal }) =>
        runInWorker(
          (worker) =>
            worker.station(
              { ...asked, view: { ...view, day } },
              { taxonId, question, choose, needs },
            ) as Promise<JudgedStation>,
          signal,
        ),
      enabled: library !== undefined && taxa.includes(taxonId),
      staleTime: Infinity,
      retry: false,
    })),
  }).map(({ data }) => data);
}
