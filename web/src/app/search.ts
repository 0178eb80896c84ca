import { queryOptions } from '@tanstack/react-query';
import { get } from './api.ts';

/** The library searched by names and marks, with slips; best first. Not asked while nothing is typed. */
export const librarySearch = (asked: string, revision: number) =>
  queryOptions({
    queryKey: ['search', asked, revision],
    queryFn: () =>
      get<{ found: { id: string }[] }>(`/api/library/search?limit=2000&q=${encodeURIComponent(asked)}`),
    enabled: asked !== '',
    placeholderData: (before: { found: { id: string }[] } | undefined) => before,
  });
