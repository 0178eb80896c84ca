import { useQuery, useQueryClient } from '@tanstack/react-query';
import type { Remote } from 'comlink';
import { useState } from 'react';
import { WorkerPool } from './pool.ts';
import type { LookalikesWork } from './lookalikes.worker.ts';

type Call<T> = (work: Remote<LookalikesWork>, progress: (share: number) => void) => Promise<T>;

const pool = new WorkerPool<LookalikesWork>(
  () => new Worker(new URL('./lookalikes.worker.ts', import.meta.url), { type: 'module' }),
);

/** Runs one call in a worker; when the signal is given it is stopped. */
export const runInWorker = <T>(
  call: Call<T>,
  signal?: AbortSignal,
  progress?: (share: number) => void,
): Promise<T> => pool.run(call, signal, progress);

/**
 * A result computed in a worker and held under what it depends on: the key must name every input (library revision, list, view,
 * options). Another key is another result, so that nothing stale is shown; a call that nobody waits for any more is ended.
 */
export function useWork<T>(key: readonly unknown[], call: Call<T>, wanted = true) {
  const [share, setShare] = useState(0);
  const queries = useQueryClient();
  const queryKey = ['work', ...key];
  const query = useQuery({
    queryKey,
    queryFn: ({ signal }) => {
      setShare(0);
      return runInWorker(call, signal, setShare);
    },
    enabled: wanted,
    staleTime: Infinity,
    gcTime: 10 * 60_000,
    retry: false,
  });
  return {
    result: query.data,
    error: query.error,
    working: query.isFetching,
    share,
    stop: () => void queries.cancelQueries({ queryKey }),
    again: () => void query.refetch(),
  };
}
