import { useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import { confusionsQuery } from '../app/data.ts';
import { countedOf } from './counting.ts';

const NOTHING = { stations: [], answers: [] };

/** The confusions of a course, stations that are voided or left out aside: counted, and joined into pairs, most frequent first. */
export function useConfusions(courseId: string) {
  const query = useQuery(confusionsQuery(courseId));
  const { data } = query;
  const counted = useMemo(() => countedOf(data ?? NOTHING), [data]);
  return { query, data, ...counted };
}
