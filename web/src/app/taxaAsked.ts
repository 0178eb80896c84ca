/**
 * The trees that an address asks for (`?taxa=a,b`), place by place; an empty place is one that is still to be chosen.
 *
 * @example
 * taxaAsked(',tilia-cordata'); // ['', 'tilia-cordata']
 */
export const taxaAsked = (text: string | null): string[] => (text ? text.split(',') : []);

/**
 * The places after a choice in one of them. The first two keep their place when they are emptied; one after them is taken out.
 *
 * @example
 * withTaxonAt(['', 'b'], 0, 'a'); // ['a', 'b']
 * withTaxonAt(['a', 'b', 'c'], 2, ''); // ['a', 'b']
 */
export function withTaxonAt(places: readonly string[], place: number, id: string): string[] {
  const next = [...places];
  while (next.length < place) next.push('');
  if (id || place < 2) next[place] = id;
  else next.splice(place, 1);
  while (next.length > 0 && !next.at(-1)) next.pop();
  return next;
}
