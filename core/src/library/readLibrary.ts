import type { ProfiledTaxon } from '../evidence/index.ts';
import { reconcile } from '../score/index.ts';
import type { Vocabulary } from '../vocabulary/index.ts';
import { vocabularyOfLibrary, type Library, type TaxonStatements } from './library.ts';

/**
 * A library that no longer changes, with what is worked out of it: each taxon is reconciled when it is first asked for and never again, and
 * found by its id without a search. Take it with `readLibrary`, so that all who read the same library share one.
 */
export class ReadLibrary<L extends Library = Library> {
  readonly library: L;
  /** The characters of the library: built in, changed and its own. */
  readonly vocabulary: Vocabulary;
  private readonly byId: ReadonlyMap<string, TaxonStatements>;
  private readonly reconciled = new Map<string, ProfiledTaxon>();
  private all: readonly ProfiledTaxon[] | undefined;

  constructor(library: L) {
    this.library = library;
    this.vocabulary = vocabularyOfLibrary(library);
    this.byId = new Map(library.taxa.map((entry) => [entry.taxon.id, entry]));
  }

  /** A taxon with what every source says of it; undefined where the library does not have it. */
  statementsOf(id: string): TaxonStatements | undefined {
    return this.byId.get(id);
  }

  /** A taxon with its adopted scores; undefined where the library does not have it. */
  profileOf(id: string): ProfiledTaxon | undefined {
    const held = this.reconciled.get(id);
    if (held) return held;
    const entry = this.byId.get(id);
    if (!entry) return undefined;
    const { library, vocabulary } = this;
    const profile = {
      taxon: entry.taxon,
      scores: reconcile(entry.scores, vocabulary, library.reconciliation),
    };
    this.reconciled.set(id, profile);
    return profile;
  }

  /** The taxa of some ids with their adopted scores, in the order of the ids; those that the library does not have are left out. */
  profilesOf(ids: readonly string[]): ProfiledTaxon[] {
    return ids.flatMap((id) => this.profileOf(id) ?? []);
  }

  /** All taxa with their adopted scores, retired ones among them, in the order of the library. */
  get profiles(): readonly ProfiledTaxon[] {
    this.all ??= this.profilesOf(this.library.taxa.map(({ taxon }) => taxon.id));
    return this.all;
  }
}

const read = new WeakMap<Library, ReadLibrary>();

/**
 * What is worked out of a library, shared by all who hold the same object.
 *
 * @example
 * readLibrary(library).profileOf('abies-grandis')?.taxon.genus; // 'Abies'
 * readLibrary(library) === readLibrary(library); // true
 */
export function readLibrary<L extends Library>(library: L): ReadLibrary<L> {
  const held = read.get(library) as ReadLibrary<L> | undefined;
  if (held) return held;
  const made = new ReadLibrary(library);
  read.set(library, made);
  return made;
}
