import { comparedWord } from './compared.ts';
import { knownNames, type KnownNames, type NamedTaxon } from './known.ts';
import { normaliseName } from './fold.ts';
import { exactly, readCommon } from './readCommon.ts';
import { isTail, readLatin, wholeName, type Reading } from './readLatin.ts';
import { slipsAllowed } from './slip.ts';
import { writtenNames, type Word } from './written.ts';

export type { NamedTaxon } from './known.ts';

export type ResolvedHow =
  'exact' | 'synonym' | 'common' | 'misspelled' | 'ambiguous' | 'genus' | 'none' | 'blank' | 'unasked';

export interface Resolution {
  /** `unasked` where the station asked for something else than the name of its tree. */
  how: ResolvedHow;
  taxonId?: string;
  /** How many letters are wrong, weighed as `slip` does; 0 unless misspelled, missing where no name was met. */
  distance?: number;
  /** The name that was met, as it is written in the list. */
  matched?: string;
  /** The genus that was written, as it is spelled rightly. */
  genus?: string;
  /** For `ambiguous`: the taxa that it may name. */
  candidates?: string[];
  /** The nearest other taxon, when one was near. */
  rival?: string;
  /** The plant that was named and is not on the list. */
  other?: string;
  /** The family that was written beside the name, as it was written. */
  family?: string;
}

/** How many spellings are remembered for a list. */
const REMEMBERED = 5000;
/** A taxon that is no more than so many letters farther off is as near. */
const AS_NEAR = 0.45;

const resolvedByList = new WeakMap<readonly NamedTaxon[], Map<string, Resolution>>();

/**
 * Resolves what a student wrote to a taxon of the list: its scientific or common name as it is written or as follows by rule, turned round,
 * shortened, misspelled, with authors, in a sentence, or two names that agree; the genus or epithet alone where only one taxon bears it. What
 * is rightly the name of another plant, two trees at once, or as near to another tree, names none.
 *
 * @param list the names that may be given; its index is built once
 * @example
 * resolveName('I think P. ponderosa (Douglas ex Lawson)', list); // { how: 'exact', taxonId: 'pinus-ponderosa', distance: 0, … }
 * resolveName('Picea contorta', list); // { how: 'genus', genus: 'Picea', … }: the epithet belongs to a pine
 */
export function resolveName(text: string, list: readonly NamedTaxon[]): Resolution {
  if (!normaliseName(text)) return { how: 'blank', distance: 0 };
  const remembered = resolvedByList.get(list) ?? new Map<string, Resolution>();
  resolvedByList.set(list, remembered);
  const held = remembered.get(text) ?? resolve(text, knownNames(list));
  if (remembered.size >= REMEMBERED) remembered.clear();
  remembered.set(text, held);
  return held;
}

function resolve(text: string, known: KnownNames): Resolution {
  const { names, denied } = writtenNames(text);
  const family = names.find((name) => name.family)?.family;
  const also = family ? { family } : {};
  if (names.length === 0) return { how: 'blank', distance: 0 };
  if (denied) return { how: 'none', ...also };
  const withWords = names.filter(({ words }) => words.length > 0);
  if (withWords.length === 0) return { how: 'none', ...also };
  const readings = withWords.map(({ words, choice }) => ({ choice, reading: readWords(words, known) }));
  // “pine, ponderosa”: what a comma parts may be one name turned round.
  if (withWords.length === 2 && readings.some(({ reading }) => reading.how !== 'whole')) {
    const turned = readWords([...withWords[1]!.words, ...withWords[0]!.words], known);
    const isNear = turned.how === 'near' && readings.every(({ reading }) => !NAMES.includes(reading.how));
    if (
      ((turned.how === 'whole' || isNear) && oneTaxon(turned)) ||
      (turned.how === 'other' && turned.off === undefined)
    )
      return { ...settle([turned], known), ...also };
  }
  const hasWhole = readings.some(({ reading }) => reading.how === 'whole');
  const kept = readings.filter(
    ({ reading, choice }, i) => !isRemark(reading, hasWhole) || choice || readings[i + 1]?.choice,
  );
  if (kept.length === 0) return { how: 'none', ...also };
  return {
    ...settle(
      kept.map(({ reading }) => reading),
      known,
    ),
    ...also,
  };
}

/** Words beside a name that name nothing, or only resemble some plant’s name. */
const isRemark = ({ how, off }: Reading, besideName: boolean): boolean =>
  how === 'unknown' || (besideName && how === 'other' && off !== undefined);

const oneTaxon = ({ met }: Reading): boolean => new Set(met.map(({ name }) => name.taxonId)).size === 1;

const NAMES: Reading['how'][] = ['whole', 'near', 'genus'];
const RANK: Reading['how'][] = ['whole', 'other', 'near', 'genus', 'unknown'];

/** The better of a scientific and a common reading; failing both, two names one behind the other that agree. */
function readWords(words: readonly Word[], known: KnownNames): Reading {
  const latin = readLatin(words, known);
  if (latin.how === 'whole') return latin;
  const common = readCommon(words, known);
  if (common.how === 'whole') return common;
  // A bare noun of the list's common names is no slip of a genus.
  if (common.how === 'genus' && latin.how !== 'genus') return common;
  const two = words.length > 2 && words.length < 9 ? twoNames(words, known) : undefined;
  if (two) return two;
  // Both near: the nearer decides, as in any other tie.
  if (latin.how === 'near' && common.how === 'near')
    return {
      how: 'near',
      met: [...latin.met, ...common.met],
      ...(latin.genus ? { genus: latin.genus } : {}),
    };
  // A slip of a common name of another plant is none of a genus, and the other way round.
  const latinOff = latin.how === 'genus' ? latin.genus?.off : latin.off;
  if (common.how === 'other' && common.off !== undefined)
    return latinOff === undefined || common.off < latinOff + 0.3 ? common : latin;
  if (common.how === 'near' && latin.how === 'other' && !latin.other?.includes(' ')) return common;
  return RANK.indexOf(latin.how) <= RANK.indexOf(common.how) ? latin : common;
}

/** “Abies grandis grand fir”: both halves are names. */
function twoNames(words: readonly Word[], known: KnownNames): Reading | undefined {
  for (let at = words.length - 1; at > 0; at -= 1) {
    const [front, back] = [words.slice(0, at), words.slice(at)];
    const a = wholly(front, known);
    if (a?.how !== 'whole') continue;
    const b = wholly(back, known) ?? readCommon(back, known);
    if (b.how !== 'whole' && b.how !== 'near' && !isTail(back)) continue;
    if (b.how !== 'whole' && b.how !== 'near') return a;
    if (front.length === 1 || (back.length === 1 && b.how === 'whole')) {
      // One word of a name beside another name is a name only where both agree.
      if (sharedTaxa([a, b]).length === 0) continue;
    }
    const shared = sharedTaxa([a, b]);
    if (shared.length > 0)
      return { how: 'whole', met: [...a.met, ...b.met].filter(({ name }) => shared.includes(name.taxonId)) };
    return { how: 'whole', met: [...a.met, ...b.met] };
  }
  return undefined;
}

/** What words are without any slip, if they are a name. */
function wholly(words: readonly Word[], known: KnownNames): Reading | undefined {
  const latin = words.length > 1 ? wholeName(words, known) : undefined;
  return latin?.how === 'whole'
    ? latin
    : exactly(
        words.map(({ word }) => comparedWord(word)),
        known,
      );
}

function sharedTaxa(readings: readonly Reading[]): string[] {
  const [first, ...rest] = readings.map(({ met }) => [...new Set(met.map(({ name }) => name.taxonId))]);
  return (first ?? []).filter((id) => rest.every((ids) => ids.includes(id)));
}

/** What several names that were written come to together: one tree if they agree, several if they do not. */
function settle(readings: readonly Reading[], known: KnownNames): Resolution {
  const resolutions = readings.map((reading) => ofOne(reading, known));
  const [first] = resolutions;
  if (resolutions.length === 1) return first!;
  const named = resolutions.filter(({ taxonId, how }) => taxonId !== undefined || how === 'ambiguous');
  const others = resolutions.filter(({ how }) => how === 'none');
  const candidatesOf = ({ taxonId, candidates }: Resolution) =>
    taxonId === undefined ? (candidates ?? []) : [taxonId];
  if (named.length === 0) {
    const genera = [...new Set(resolutions.map(({ genus }) => genus))];
    return genera.length === 1 && genera[0]
      ? first!
      : { how: 'none', ...(first!.other ? { other: first!.other } : {}) };
  }
  const all = named.map(candidatesOf);
  const shared = all[0]!.filter((id) => all.every((ids) => ids.includes(id)));
  const generaFit = resolutions.every(
    ({ how, genus, taxonId }) =>
      how !== 'genus' ||
      taxonId !== undefined ||
      shared.some((id) => known.genera.get(genus?.toLowerCase() ?? '')?.taxa.includes(id)),
  );
  if (shared.length === 1 && others.length === 0 && generaFit) {
    // Two that agree: the one that says most, the scientific before the common, what is whole before what is not.
    const saying = (each: Resolution) => SAYS.indexOf(each.how);
    const [best] = named.filter(({ taxonId }) => taxonId === shared[0]).sort((x, y) => saying(x) - saying(y));
    return best ?? { how: 'ambiguous', distance: 0, candidates: shared };
  }
  const other = others.find((each) => each.other)?.other;
  return { how: 'ambiguous', distance: 0, candidates: [...new Set(all.flat())], ...(other ? { other } : {}) };
}

const KINDS = ['exact', 'synonym', 'common'];
/** What a reading says, the most first. */
const SAYS: ResolvedHow[] = ['exact', 'synonym', 'misspelled', 'common', 'genus'];

function ofOne(reading: Reading, known: KnownNames): Resolution {
  const { how, met, genus, other } = reading;
  if (how === 'unknown') return { how: 'none' };
  if (how === 'other')
    return genus
      ? {
          how: 'genus',
          genus: genus.written,
          distance: genus.off,
          matched: genus.written,
          ...(other ? { other } : {}),
        }
      : { how: 'none', ...(other ? { other } : {}) };
  if (how === 'genus') return ofGenus(reading, known);
  const byTaxon = [...met].sort(
    (a, b) => a.off - b.off || KINDS.indexOf(a.name.kind) - KINDS.indexOf(b.name.kind),
  );
  const best = byTaxon[0]!;
  const rival = byTaxon.find(({ name }) => name.taxonId !== best.name.taxonId);
  const near = byTaxon.filter(({ off }) => off < best.off + (best.off > 0 ? AS_NEAR : 1e-9));
  const candidates = [...new Set(near.map(({ name }) => name.taxonId))];
  if (candidates.length > 1) return { how: 'ambiguous', distance: best.off, candidates };
  return {
    how: best.off === 0 && how === 'whole' ? best.name.kind : 'misspelled',
    taxonId: best.name.taxonId,
    distance: Number(best.off.toFixed(2)),
    matched: best.name.written,
    ...(rival && rival.off <= slipsAllowed(20) ? { rival: rival.name.taxonId } : {}),
  };
}

/** A genus alone names a taxon where only one of the list is in it; a bare “fir” where all firs of the list are of one genus, that genus. */
function ofGenus({ met, genus }: Reading, known: KnownNames): Resolution {
  if (genus) {
    const listed = known.genera.get(genus.written.toLowerCase());
    const taxa = listed?.taxa ?? met.map(({ name }) => name.taxonId);
    const one = taxa.length === 1 && met.length > 0 ? { taxonId: taxa[0]! } : {};
    return { how: 'genus', ...one, genus: genus.written, distance: genus.off, matched: genus.written };
  }
  const taxa = [...new Set(met.map(({ name }) => name.taxonId))];
  const genera = [...known.genera.values()].filter((each) => each.taxa.some((id) => taxa.includes(id)));
  return genera.length === 1 && taxa.length > 1
    ? { how: 'genus', genus: genera[0]!.genus, distance: 0, matched: genera[0]!.genus }
    : { how: 'ambiguous', distance: 0, candidates: taxa };
}
