import { t } from '@lingui/core/macro';
import { queryOptions } from '@tanstack/react-query';

/** A library that an empty one can begin with; its file comes with Hurrow. */
export interface StarterOffer {
  id: string;
  title: string;
  what: string;
}

export const STARTERS: readonly StarterOffer[] = [
  {
    id: 'lowland',
    title: t`Trees of Britain and central Europe`,
    what: t`36 trees: oaks, limes, elms, birches, conifers and others`,
  },
  {
    id: 'inland',
    title: t`Trees of the inland Northwest of America`,
    what: t`42 trees: pines, firs, willows, cottonwoods and others`,
  },
];

/** The file of a starter, to be read by the ordinary import. Fails, with what to do, where there is no such starter. */
export const starterQuery = (id: string) =>
  queryOptions({
    queryKey: ['starter', id],
    enabled: id !== '',
    staleTime: Infinity,
    queryFn: () => fetchStarter(id, (path) => fetch(path)),
  });

export async function fetchStarter(
  id: string,
  get: (path: string) => Promise<Pick<Response, 'ok' | 'text'>>,
): Promise<{ name: string; text: string }> {
  const offer = STARTERS.find((starter) => starter.id === id);
  if (!offer)
    throw new Error('There is no such starter library. Choose one under Species, or import a file.');
  const answer = await get(`/starters/${offer.id}.json`);
  if (!answer.ok)
    throw new Error('The starter library could not be fetched. Try again, or import a file of your own.');
  return { name: offer.title, text: await answer.text() };
}
