import { queryOptions } from '@tanstack/react-query';
import type { PhotoRecord } from '@hurrow/core/measurement';
import { get } from '../app/api.ts';

export interface Photo {
  id: string;
  /** Size of the picture on the screen, in pixels. */
  width: number;
  height: number;
  record: PhotoRecord;
}

/** The photos of a taxon with what is said of them. */
export const photosQuery = (taxonId: string) =>
  queryOptions({
    queryKey: ['photos', taxonId],
    queryFn: () => get<{ revision: number; photos: Photo[] }>(`/api/library/taxa/${taxonId}/photos`),
    retry: false,
  });
