import { queryOptions } from '@tanstack/react-query';
import { call } from '../app/api.ts';

/** The photos of a taxon with what is said of them. */
export const photosQuery = (taxonId: string) =>
  queryOptions({
    queryKey: ['photos', taxonId],
    queryFn: () => call('GET /api/library/taxa/{taxonId}/photos', { params: { taxonId } }),
    retry: false,
  });
