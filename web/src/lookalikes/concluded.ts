import type { Conclusion } from '@hurrow/core/rule';

/**
 * The conclusion of a rule after a choice in its list, `kind|name`: a genus or a family stands alone, trees by name are added up.
 *
 * @example
 * concluded({ kind: 'taxa', taxa: ['a'] }, 'taxon|b'); // { kind: 'taxa', taxa: ['a', 'b'] }
 */
export function concluded(before: Conclusion | undefined, choice: string): Conclusion {
  const [kind, name = ''] = choice.split('|') as ['genus' | 'family' | 'taxon', string?];
  if (kind !== 'taxon') return { kind, name };
  return { kind: 'taxa', taxa: [...new Set([...(before?.kind === 'taxa' ? before.taxa : []), name])] };
}
