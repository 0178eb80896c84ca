import { scientificName, type TaxonNames } from '../taxon/index.ts';
import { editDistance, foldLatin, normaliseName } from './fold.ts';

/** A taxon that may be named, with the names it goes by. */
export interface NamedTaxon extends TaxonNames {
  id: string;
}

export type ResolvedHow =
  'exact' | 'synonym' | 'common' | 'misspelled' | 'ambiguous' | 'genus' | 'none' | 'blank';

export interface Resolution {
  how: ResolvedHow;
  taxonId?: string;
  /** Edit distance after folding; 0 unless misspelled, missing where no name was met. */
  distance?: number;
  /** The name that was met, as it is written in the list. */
  matched?: string;
  /** For `genus`: the genus. For `ambiguous`: the taxa that bear the name. */
  genus?: string;
  candidates?: string[];
  /** The nearest other taxon, when one was near. */
  rival?: string;
}

type NameKind = 'exact' | 'synonym' | 'common';

interface Entry {
  taxonId: string;
  kind: NameKind;
  written: string;
  plain: string;
  folded: string;
}

/**
 * Resolves what a student wrote to a taxon of the list: accepted name, synonym, common name, a misspelling of one of these,
 * or a genus alone. A misspelling counts only if no other taxon of the list is as near.
 */
export function resolveName(text: string, list: readonly NamedTaxon[]): Resolution {
  const plain = normaliseName(text);
  if (!plain) return { how: 'blank', distance: 0 };
  const known = knownOf(list);
  const held = known.resolved.get(plain) ?? resolve(plain, list, known.entries);
  if (known.resolved.size >= REMEMBERED) known.resolved.clear();
  known.resolved.set(plain, held);
  return held;
}

function resolve(plain: string, list: readonly NamedTaxon[], entries: readonly Entry[]): Resolution {
  const exact = entries.filter((entry) => entry.plain === plain);
  if (exact.length > 0) return met(exact);

  const abbreviated = /^([a-z])\s+([a-z]+)$/.exec(plain);
  if (abbreviated) {
    const [, initial, epithet] = abbreviated;
    const fits = entries.filter((entry) => {
      const words = entry.plain.split(' ');
      return entry.kind !== 'common' && words[0]![0] === initial && words.slice(1).join(' ') === epithet;
    });
    if (fits.length > 0) return met(fits);
  }

  const genus = list.find((taxon) => normaliseName(taxon.genus) === plain);
  if (genus) return { how: 'genus', genus: genus.genus, distance: 0, matched: genus.genus };

  const typed = { common: foldName(plain, 'common'), latin: foldName(plain, 'exact') };
  const near = entries
    .map((entry) => ({
      entry,
      distance: distanceTo(entry.kind === 'common' ? typed.common : typed.latin, entry),
      allowed: allowance(entry.plain),
    }))
    .filter(({ distance, allowed }) => distance <= allowed)
    .sort((a, b) => a.distance - b.distance);
  const best = near[0];
  if (best) {
    const rival = near.find(({ entry }) => entry.taxonId !== best.entry.taxonId);
    if (rival && rival.distance <= best.distance)
      return {
        how: 'ambiguous',
        distance: best.distance,
        candidates: [
          ...new Set(near.filter((n) => n.distance === best.distance).map((n) => n.entry.taxonId)),
        ],
      };
    return {
      how: 'misspelled',
      taxonId: best.entry.taxonId,
      distance: best.distance,
      matched: best.entry.written,
      ...(rival ? { rival: rival.entry.taxonId } : {}),
    };
  }

  const words = plain.split(' ');
  const nearGenus = genusOf(words[0]!, list);
  if (nearGenus) return { how: 'genus', genus: nearGenus, distance: 0, matched: nearGenus };
  return { how: 'none' };
}

function met(entries: Entry[]): Resolution {
  const taxa = [...new Set(entries.map((entry) => entry.taxonId))];
  if (taxa.length > 1) return { how: 'ambiguous', distance: 0, candidates: taxa };
  const order: NameKind[] = ['exact', 'synonym', 'common'];
  const entry = [...entries].sort((a, b) => order.indexOf(a.kind) - order.indexOf(b.kind))[0]!;
  return { how: entry.kind, taxonId: entry.taxonId, distance: 0, matched: entry.written };
}

/** How many spellings are remembered for a list. */
const REMEMBERED = 5000;

interface KnownNames {
  entries: Entry[];
  /** What each spelling met so far comes to. */
  resolved: Map<string, Resolution>;
}

/** A class's papers are all resolved against the same few lists, and the same names come again and again. */
const knownByList = new WeakMap<readonly NamedTaxon[], KnownNames>();

function knownOf(list: readonly NamedTaxon[]): KnownNames {
  const held = knownByList.get(list) ?? { entries: makeEntries(list), resolved: new Map() };
  knownByList.set(list, held);
  return held;
}

function makeEntries(list: readonly NamedTaxon[]): Entry[] {
  return list.flatMap((taxon) => {
    const accepted = scientificName(taxon);
    const named: [NameKind, string][] = [
      ['exact', accepted],
      ...taxon.synonyms.map((name): [NameKind, string] => ['synonym', name]),
      ...taxon.commonNames.map((name): [NameKind, string] => ['common', name]),
    ];
    return named.map(([kind, written]) => {
      const plain = normaliseName(written);
      return { taxonId: taxon.id, kind, written, plain, folded: foldName(plain, kind) };
    });
  });
}

const foldName = (plain: string, kind: NameKind) =>
  kind === 'common' ? plain.replace(/\s/g, '').replace(/s$/, '') : plain.split(' ').map(foldLatin).join(' ');

const distanceTo = (typed: string, entry: Entry): number =>
  typed === entry.folded ? 0 : editDistance(typed, entry.folded);

/** A fifth of the letters may be wrong, at least one, at most four. */
const allowance = (plain: string) => Math.min(4, Math.max(1, Math.floor(plain.length / 5)));

function genusOf(word: string, list: readonly NamedTaxon[]): string | undefined {
  const folded = foldLatin(word);
  const near = [...new Set(list.map((taxon) => taxon.genus))]
    .map((genus) => ({ genus, distance: editDistance(folded, foldLatin(normaliseName(genus))) }))
    .sort((a, b) => a.distance - b.distance);
  const best = near[0];
  if (!best || word.length < 4 || best.distance > 1 || near[1]?.distance === best.distance) return undefined;
  return best.genus;
}
