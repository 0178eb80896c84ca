import { languagesOf, taxonNamedIn } from '../taxon/index.ts';
import type { Library } from './library.ts';

const named = new WeakMap<Library, Map<string, Library>>();

/**
 * A library as a course says its trees: the common names of a language stand before those of the library, which are names still. The same
 * object each time it is asked for the same library and language, and the library itself where it has no name in that language.
 *
 * @param language a tag of BCP 47 as the names have it, or null for the library's own
 * @example
 * namedIn(library, 'de').taxa[0]!.taxon.commonNames; // ['Gelb-Kiefer', 'ponderosa pine']
 */
export function namedIn<L extends Library>(library: L, language: string | null): L {
  if (language === null || !languagesOf(library.taxa).includes(language)) return library;
  const held = named.get(library) ?? new Map<string, Library>();
  named.set(library, held);
  const found = held.get(language) as L | undefined;
  if (found) return found;
  const made = {
    ...library,
    taxa: library.taxa.map((entry) => ({ ...entry, taxon: taxonNamedIn(entry.taxon, language) })),
  };
  held.set(language, made);
  return made;
}
