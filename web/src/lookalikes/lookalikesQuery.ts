import { queryOptions } from '@tanstack/react-query';
import { call } from '../app/api.ts';

export const lookalikesQuery = queryOptions({
  queryKey: ['lookalikes'],
  queryFn: () => call('GET /api/library/lookalikes'),
});

export const pairKey = (a: string, b: string): string => [a, b].sort().join('|');
