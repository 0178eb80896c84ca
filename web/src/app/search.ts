import { keepPreviousData, queryOptions } from '@tanstack/react-query';
import { call } from './api.ts';

/** The library searched by names and marks, with slips; best first. Not asked while nothing is typed. */
export const librarySearch = (asked: string, revision: number) =>
  queryOptions({
    queryKey: ['search', asked, revision],
    queryFn: () => call('GET /api/library/search', { query: { limit: 2000, q: asked } }),
    enabled: asked !== '',
    placeholderData: keepPreviousData,
  });
