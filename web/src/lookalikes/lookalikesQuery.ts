import { queryOptions } from '@tanstack/react-query';
import type { Key } from '@hurrow/core/key';
import type { KeptRule } from '@hurrow/core/rule';
import type { Level } from '@hurrow/core/vocabulary';
import { get } from '../app/api.ts';

export interface SureWayRecord {
  text: string;
  characters: string[];
}

export interface KeptKey {
  id: string;
  title: string;
  key: Key;
  options: { level: Level; banned: string[]; manyLeads: boolean };
}

export interface Lookalikes {
  revision: number;
  /** By both ids in alphabetical order, with a bar between them. */
  sureWays: Record<string, SureWayRecord>;
  rules: KeptRule[];
  keys: KeptKey[];
}

export const lookalikesQuery = queryOptions({
  queryKey: ['lookalikes'],
  queryFn: () => get<Lookalikes>('/api/library/lookalikes'),
});

export const pairKey = (a: string, b: string): string => [a, b].sort().join('|');
