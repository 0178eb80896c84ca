import { queryOptions, useQuery } from '@tanstack/react-query';
import { call } from './api.ts';

export const sessionQuery = queryOptions({
  queryKey: ['session'],
  queryFn: () => call('GET /api/session'),
  staleTime: Infinity,
});

/** May the person who is signed in change courses and the library? Assistants look, enter papers and renew codes. */
export const useMayChange = (): boolean => useQuery(sessionQuery).data?.who?.role !== 'assistant';
