import { foldLatin } from './fold.ts';
import { plainLatin, type KnownNames, type LatinName } from './known.ts';
import { otherPlants } from './otherPlants.ts';
import { SEGREGATES } from './reference/segregates.ts';
import { latinSlip, slip, slipsAllowed, type Near } from './slip.ts';
import type { Word } from './written.ts';

/** What one written name comes to. */
export interface Reading {
  /** `whole` names as written or by rule, `near` ones with slips, `genus` alone, a plant that is not on the list, or nothing known. */
  how: 'whole' | 'near' | 'genus' | 'other' | 'unknown';
  /** The names that are met, each with how many letters are wrong in it. */
  met: { name: { taxonId: string; kind: 'exact' | 'synonym' | 'common'; written: string }; off: number }[];
  /** The genus that was written, as it is spelled rightly, and how many letters are wrong in it. */
  genus?: { written: string; off: number };
  /** The plant off the list. */
  other?: string;
  /** How many letters are wrong in what is near. */
  off?: number;
}

export const UNKNOWN: Reading = { how: 'unknown', met: [] };

/** Words between the names of authors, and the commonest of these where they are written small. */
const AUTHORS = new Set(
  `l ex et f fil in d de von non nom cons hort auct sensu l mill miller mirb franco dougl douglas hook nutt nuttall engelm engelmann parry don lindl lamb loudon
  marsh marshall michx torr gray sarg carr carriere raf bong pursh rydb greene roth ehrh scop huds jacq poir dc crantz gaertn moench karst
  arnold matt liebl s a j h r br wats watson bebb barratt anders andersson sudw voss britt britton linn linnaeus willd koehne roem roemer benth bartlett
  muhl wall walter walt ait aiton maxim siebold zucc hemsl rehd rehder schneid cass cooper piper lemmon jeps trel dipp dippel kunth spach lam lamarck
  brayshaw shaw schwerin borkh desf thunb sm presl ledeb pall pallas vent st petersen turcz fisch mey`
    .split(/\s+/)
    .filter(Boolean),
);

const isAuthor = ({ word, short, capital }: Word): boolean => short || capital || AUTHORS.has(word);

/** Is this what may stand behind a scientific name: nothing, authors, or words that only say how sure one is? */
export const isTail = (words: readonly Word[]): boolean =>
  words.every((word) => word.lower || isAuthor(word));

/** Reads words as a scientific name: whole, shortened, turned round, misspelled, its genus or epithet alone. */
export function readLatin(words: readonly Word[], known: KnownNames): Reading {
  const plain = words.map(({ word }) => word);
  if (plain.length === 0) return UNKNOWN;
  const alone = plain.filter((word) => !['sp', 'spp', 'species', 'cf', 'aff'].includes(word));
  if (alone.length < plain.length && alone.length === 1) return oneWord(alone[0]!, known, true);
  if (alone.length === 1) return oneWord(alone[0]!, known, false);
  const [first, second] = words as [Word, Word, ...Word[]];
  const whole = wholeName(words, known);
  if (whole) return whole;
  if (isInitial(first, known)) {
    const short = shortGenus(words, known);
    if (short) return short;
  }
  const turned = words.length === 2 && !known.genera.has(first.word) && wholeName([second, first], known);
  if (turned) return turned;
  const segregate = segregateName(words, known);
  if (segregate) return segregate;
  const near = nearName(words, known);
  if (near.how !== 'unknown' && near.how !== 'genus') return near;
  const back = words.length === 2 && near.how === 'unknown' ? nearName([second, first], known) : UNKNOWN;
  return back.how === 'near' ? back : near;
}

const met = (names: readonly LatinName[], off = 0): Reading['met'] => names.map((name) => ({ name, off }));

/** A name of the list with all its words, with authors behind it or an epithet of lower rank. */
export function wholeName(words: readonly Word[], known: KnownNames): Reading | undefined {
  const plain = words.map(({ word }) => word);
  for (let n = Math.min(4, plain.length); n >= 2; n -= 1) {
    const [genus = '', ...rest] = plain.slice(0, n);
    // “uva ursi” is one epithet.
    const names =
      known.byLatin.get([genus, ...rest].join(' ')) ?? known.byLatin.get(`${genus} ${rest.join('')}`);
    if (!names) continue;
    const behind = words.slice(n);
    // “Abies Grandis Lasiocarpa” names two trees, however large the second is written.
    const second = behind.flatMap((word) => (word.lower ? [] : othersOf(genus, word.word, names, known)));
    if (second.length > 0) return { how: 'whole', met: met([...names, ...second]) };
    const lower = behind[0] && (behind[0].lower || !isAuthor(behind[0])) ? behind[0] : undefined;
    if (lower && !lower.lower && !isLowerRank(lower.word, names, known)) return undefined;
    if (!isTail(behind.slice(lower ? 1 : 0))) return undefined;
    return { how: 'whole', met: met(names), genus: { written: names[0]!.written.split(' ')[0]!, off: 0 } };
  }
  const joined = plain.length === 1 ? undefined : otherName(plain, words, known);
  return joined;
}

/** The name of a plant that is known and not on the list. */
function otherName(plain: readonly string[], words: readonly Word[], known: KnownNames): Reading | undefined {
  const others = otherPlants();
  const [genus = '', epithet = '', third = ''] = plain;
  const own = others.epithets.get(genus);
  const hit = own?.find((word) => word === epithet || word === epithet + third);
  if (!hit || !isTail(words.slice(hit === epithet ? 2 : 3))) return undefined;
  // The list has a lower rank of it: which one was written is still to be seen.
  const hasLower = known.byGenus.get(genus)?.some((name) => name.epithet === hit && name.infra);
  if (hasLower && words.some((word) => word.lower)) return undefined;
  return { how: 'other', met: [], other: `${others.genera.get(genus)} ${hit}`, ...genusRead(genus, known) };
}

function genusRead(genus: string, known: KnownNames, off = 0): Pick<Reading, 'genus'> {
  const listed = known.genera.get(genus);
  return listed ? { genus: { written: listed.genus, off } } : {};
}

/** A third word that may be an epithet of lower rank: not one of another tree of this genus. */
const isLowerRank = (word: string, names: readonly LatinName[], known: KnownNames): boolean =>
  word.length > 3 &&
  /(?:a|us|um|is|e|i|ens|or|er|x)$/.test(word) &&
  othersOf(names[0]!.genus, word, names, known).length === 0;

/** Names of other taxa in this genus that have a word as their epithet. */
const othersOf = (genus: string, word: string, names: readonly LatinName[], known: KnownNames): LatinName[] =>
  (known.byGenus.get(genus) ?? []).filter(
    ({ epithet, taxonId }) => epithet === word && names.every((name) => name.taxonId !== taxonId),
  );

/** “P.”, “Ps”, “Pseud.”: the beginning of a genus of the list, and no word by itself. */
const isInitial = ({ word, short }: Word, known: KnownNames): boolean =>
  (short || word.length <= 2) &&
  word.length <= 6 &&
  !known.genera.has(word) &&
  [...known.byGenus.keys()].some((genus) => genus.startsWith(word));

function shortGenus(words: readonly Word[], known: KnownNames): Reading | undefined {
  const [first, second, third] = words;
  const wanted = [second!.word, second!.word + (third?.word ?? '')];
  const fits = known.latin.filter(({ genus }) => genus.startsWith(first!.word));
  const whole = fits.filter(({ epithet, infra }) => wanted.includes(epithet) || wanted.includes(infra));
  // An accepted name goes before a synonym, which nobody shortens without having said it.
  const accepted = whole.filter(({ kind }) => kind === 'exact');
  if (whole.length > 0) return { how: 'whole', met: met(accepted.length > 0 ? accepted : whole) };
  if (otherPlants().isEpithet(second!.word) && !fits.some(({ epithet }) => foldsAlike(epithet, second!.word)))
    return undefined;
  const near = fits
    .map((name) => ({ name, off: latinSlip(second!.word, name.epithet) }))
    .filter(({ name, off }) => name.epithet !== '' && off <= slipsAllowed(name.epithet.length));
  return near.length > 0 ? { how: 'near', met: near } : undefined;
}

/** The name under a genus that others keep apart, or do not: “Sabina scopulorum” for Juniperus scopulorum. */
function segregateName([first, second, ...behind]: readonly Word[], known: KnownNames): Reading | undefined {
  const genera = SEGREGATES.get(first!.word);
  if (!genera || !isTail(behind) || known.genusBank.has(first!.word)) return undefined;
  const names = known.latin.filter(
    ({ genus, epithet, infra }) => genera.includes(genus) && !infra && foldsAlike(epithet, second!.word),
  );
  return names.length > 0
    ? { how: 'whole', met: names.map((name) => ({ name: { ...name, kind: 'synonym' }, off: 0 })) }
    : undefined;
}

const foldsAlike = (a: string, b: string): boolean => foldLatin(a) === foldLatin(b);

function oneWord(word: string, known: KnownNames, isGenus: boolean): Reading {
  const listed = known.genera.get(word);
  const ofGenus = (plain: string, off: number): Reading => ({
    how: 'genus',
    met: met(known.byGenus.get(plain) ?? []),
    genus: { written: known.genera.get(plain)!.genus, off },
  });
  if (listed) return ofGenus(word, 0);
  const synonym = known.byGenus.get(word) ?? [];
  if (synonym.length > 0 && new Set(synonym.map(({ taxonId }) => taxonId)).size === 1)
    return {
      how: 'genus',
      met: met(synonym.slice(0, 1)),
      genus: { written: synonym[0]!.written.split(' ')[0]!, off: 0 },
    };
  const others = otherPlants();
  if (others.genera.has(word)) return { how: 'other', met: [], other: others.genera.get(word)! };
  const joined = known.latin.filter((name) => plainLatin(name).replace(/ /g, '') === word);
  if (joined.length > 0) return { how: 'whole', met: met(joined) };
  const epithets = isGenus ? undefined : known.byEpithet.get(word);
  if (epithets) return { how: 'whole', met: met(epithets) };
  const genus = nearGenus(word, known);
  if (genus && word.length >= 4 && slip(word, genus.word) <= slipsAllowed(genus.word.length) + 0.5)
    return ofGenus(genus.word, genus.off);
  if (isGenus || word.length < 7 || others.isEpithet(word)) return UNKNOWN;
  // Alone, an epithet has nothing beside it that vouches for it.
  const near = known.epithetBank
    .near(word)
    .filter(({ off }) => off <= 1.6)
    .flatMap(({ word: epithet, off }) => met(known.byEpithet.get(epithet)!, off));
  return near.length > 0 ? { how: 'near', met: near } : UNKNOWN;
}

/** The genus of the list nearest to a word, where no other genus of plants is as near. */
function nearGenus(word: string, known: KnownNames): Near | undefined {
  const [best, second] = known.genusBank.near(word);
  if (!best || (second && second.off - best.off < 0.3)) return undefined;
  const other = otherPlants()
    .genusBank.near(word)
    .find((each) => each.word !== best.word);
  if (other && other.off <= best.off) return undefined;
  return known.genera.has(best.word) ? best : undefined;
}

/** A misspelled name: genus and epithet both near, and neither word nearer to, or rightly, that of another plant. */
function nearName(words: readonly Word[], known: KnownNames): Reading {
  const others = otherPlants();
  const [first, second] = words.map(({ word }) => word) as [string, string];
  const tails = [
    { epithet: second, behind: words.slice(2) },
    ...(words.length > 2 ? [{ epithet: second + words[2]!.word, behind: words.slice(3) }] : []),
  ];
  const { near: genera, strange } = nearGenera(first, known);
  if (genera.length === 0)
    return strange && strange.off <= 1
      ? { how: 'other', met: [], other: others.genera.get(strange.word)! }
      : UNKNOWN;
  const found: Reading['met'] = [];
  for (const { word: genus, off: genusOff } of genera)
    for (const { epithet, behind } of tails)
      for (const name of known.byGenus.get(genus) ?? []) {
        const off = name.epithet ? epithetOff(epithet, behind, name) : undefined;
        if (off === undefined) continue;
        // Of a genus that is nearer to that of other plants, the epithet has to be right.
        if (strange && strange.off < genusOff && off > 0.25) continue;
        if (others.isEpithet(epithet) && !foldsAlike(epithet, name.epithet)) continue;
        found.push({ name, off: genusOff + off });
      }
  const genus = genera[0]!;
  const read = strange && strange.off < genus.off ? {} : genusRead(genus.word, known, genus.off);
  const near = found.filter(({ off }) => off <= slipsAllowed(first.length + second.length) + 0.6);
  const least = Math.min(...near.map(({ off }) => off));
  if (near.length === 0 && !read.genus) return UNKNOWN;
  const other = nearestOther(
    first,
    tails.map(({ epithet }) => epithet),
    known,
  );
  if (other && other.off <= least) return { how: 'other', met: [], other: other.written, ...read };
  if (near.length > 0) return { how: 'near', met: near, off: least, ...read };
  return { how: 'genus', met: [], ...read };
}

function epithetOff(epithet: string, behind: readonly Word[], name: LatinName): number | undefined {
  const off = latinSlip(epithet, name.epithet, slipsAllowed(name.epithet.length));
  if (off > slipsAllowed(name.epithet.length)) return undefined;
  if (!name.infra) return isTail(behind) ? off : undefined;
  const lower = behind[0] && latinSlip(behind[0].word, name.infra);
  if (lower === undefined || lower > slipsAllowed(name.infra.length)) return undefined;
  return isTail(behind.slice(1)) ? off + lower : undefined;
}

/** Genera of the list near a word, and the nearest of other plants. A word that is rightly something else is near to none. */
function nearGenera(word: string, known: KnownNames): { near: readonly Near[]; strange?: Near } {
  const others = otherPlants();
  if (known.genusBank.has(word)) return { near: [{ word, off: 0 }] };
  if (others.genera.has(word)) return { near: [], strange: { word, off: 0 } };
  if (others.isCommonWord(word) || known.commonWords.has(word)) return { near: [] };
  const near = known.genusBank.near(word);
  const strange = others.genusBank.near(word).find((each) => !known.genusBank.has(each.word));
  return { near, ...(strange ? { strange } : {}) };
}

/** The name of a plant off the list that lies nearest: its genus and its epithet both near. */
function nearestOther(
  genus: string,
  epithets: readonly string[],
  known: KnownNames,
): { off: number; written: string } | undefined {
  const others = otherPlants();
  const found = others.genusBank.near(genus).flatMap((near) => {
    const listed = new Set((known.byGenus.get(near.word) ?? []).map(({ epithet }) => epithet));
    return epithets
      .flatMap((epithet) => others.epithetBank(near.word)?.near(epithet) ?? [])
      .filter(({ word }) => !listed.has(word))
      .map(({ word, off }) => ({ off: near.off + off, written: `${others.genera.get(near.word)} ${word}` }));
  });
  return found.sort((a, b) => a.off - b.off)[0];
}
