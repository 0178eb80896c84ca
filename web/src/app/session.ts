import { queryOptions, useQuery } from '@tanstack/react-query';
import { get } from './api.ts';

export interface Session {
  setupNeeded: boolean;
  demo: boolean;
  /** The server's date, which the demo holds still. */
  today: string;
  who: {
    id: string;
    name: string;
    role: 'owner' | 'instructor' | 'assistant' | 'student';
    course?: string;
  } | null;
}

export const sessionQuery = queryOptions({
  queryKey: ['session'],
  queryFn: () => get<Session>('/api/session'),
  staleTime: Infinity,
});

/** May the person who is signed in change courses and the library? Assistants look, enter papers and renew codes. */
export const useMayChange = (): boolean => useQuery(sessionQuery).data?.who?.role !== 'assistant';
