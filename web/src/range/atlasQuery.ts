import { queryOptions } from '@tanstack/react-query';
import countiesUrl from 'us-atlas/counties-10m.json?url';
import worldUrl from 'world-atlas/countries-50m.json?url';
import { atlasOf } from '@hurrow/core/map';

async function file<T>(url: string): Promise<T> {
  const response = await fetch(url);
  if (!response.ok) throw new Error('The map could not be fetched. Look at the connection and try again.');
  return (await response.json()) as T;
}

/** The atlas, fetched when a map is first looked at: 1.6 MB of data that no other page carries. */
export const atlasQuery = queryOptions({
  queryKey: ['atlas'],
  queryFn: async () => {
    const [world, us] = await Promise.all([
      file<Parameters<typeof atlasOf>[0]>(worldUrl),
      file<Parameters<typeof atlasOf>[1]>(countiesUrl),
    ]);
    return atlasOf(world, us);
  },
  staleTime: Infinity,
  gcTime: Infinity,
  structuralSharing: false,
});
