import { scientificName } from '../taxon/index.ts';
import { normaliseName } from './fold.ts';
import { isTail } from './readLatin.ts';
import { resolveName, type NamedTaxon, type Resolution } from './resolve.ts';
import { latinSlip, slipsAllowed } from './slip.ts';
import { FAMILY_WORDS, familyNear, writtenNames } from './written.ts';

export const NAMING_POLICIES = ['common', 'genus', 'binomial', 'binomialFamily'] as const;
export type NamingPolicy = (typeof NAMING_POLICIES)[number];

export const POLICY_TITLES: Record<NamingPolicy, string> = {
  common: 'common name',
  genus: 'genus',
  binomial: 'genus and epithet',
  binomialFamily: 'genus, epithet and family',
};

export interface MarkingPolicy {
  policy: NamingPolicy;
  /** Points for each part that the policy asks for. */
  points: { name: number; genus: number; epithet: number; family: number };
  /** Taken off for each misspelled part; a part never falls below zero. */
  deduction: number;
}

export const DEFAULT_MARKING: MarkingPolicy = {
  policy: 'binomialFamily',
  points: { name: 2, genus: 1, epithet: 1, family: 1 },
  deduction: 0.25,
};

/** What a student wrote, verbatim: one line, or the parts of a scientific name. */
export interface Answer {
  name?: string;
  genus?: string;
  epithet?: string;
  family?: string;
  /** The states that were seen, by character, where the station asks “what do you see”. They bear no points. */
  seen?: Record<string, string>;
}

/** What of an answer is a name. */
export type AnswerPart = 'name' | 'genus' | 'epithet' | 'family';

/** How well a part was written. What is right but incomplete is `partly`; what the instructor decided is `ruled`. */
export type PartQuality = 'right' | 'misspelled' | 'partly' | 'wrong' | 'missing' | 'ruled';

export interface PartMark {
  part: AnswerPart;
  written: string;
  points: number;
  outOf: number;
  quality: PartQuality;
  /** How many letters are wrong in what is misspelled, weighed as `slip` does. */
  off?: number;
  /** The reason in words. */
  remark: string;
}

export interface Mark {
  points: number;
  outOf: number;
  parts: PartMark[];
  /** The taxon of the list that was named, rightly or wrongly. */
  resolution: Resolution;
}

/** An instructor's word on an answer, which outweighs the rules: it counts as this taxon, or as none. */
export interface Ruling {
  taxonId: string | null;
  /** Points given by hand to parts of the answer. */
  points?: Partial<Record<AnswerPart, number>>;
}

/** The answer as one string: what is resolved, grouped and ruled on. */
export const answerText = (answer: Answer): string =>
  [answer.name ?? '', answer.genus ?? '', answer.epithet ?? ''].join(' ').replace(/\s+/g, ' ').trim();

/**
 * An answer with each name in its own box: a whole binomial written into one of them is parted, and a genus or epithet written twice
 * counts once.
 *
 * @example
 * partedAnswer({ genus: 'Acer rubrum' }); // { genus: 'Acer', epithet: 'rubrum' }
 */
export function partedAnswer(answer: Answer): Answer {
  const words = (text: string | undefined) => (text ?? '').trim().split(/\s+/).filter(Boolean);
  const [genus, epithet] = [words(answer.genus), words(answer.epithet)];
  const same = (a: string | undefined, b: string | undefined) => a?.toLowerCase() === b?.toLowerCase();
  if (genus.length > 1 && epithet.length === 0)
    return { ...answer, genus: genus[0]!, epithet: genus.slice(1).join(' ') };
  if (genus.length > 1 && same(genus.slice(1).join(' '), epithet.join(' ')))
    return { ...answer, genus: genus[0]! };
  if (epithet.length > 1 && genus.length === 0)
    return { ...answer, genus: epithet[0]!, epithet: epithet.slice(1).join(' ') };
  if (genus.length === 1 && epithet.length > 1 && same(genus[0], epithet[0]))
    return { ...answer, epithet: epithet.slice(1).join(' ') };
  return answer;
}

/**
 * Marks an answer against the true taxon under a policy. Points for each part, a deduction for a misspelled part, never
 * below zero. A ruling says which taxon the answer counts as: what is then not spelled as that taxon costs what a misspelling costs. Points
 * that a ruling gives by hand stand, within what the part is worth.
 */
export function markAnswer(
  answer: Answer,
  truth: NamedTaxon,
  list: readonly NamedTaxon[],
  marking: MarkingPolicy,
  ruling?: Ruling,
): Mark {
  const parted = partedAnswer(answer);
  const read = resolveName(answerText(parted), list);
  // A ruling that names the tree which the rules read changes nothing of the reading; it may still give points by hand.
  const overrules =
    ruling !== undefined && (ruling.taxonId !== (read.taxonId ?? null) || read.how === 'ambiguous');
  const resolution = overrules ? ruled(ruling) : read;
  const named = list.find((taxon) => taxon.id === resolution.taxonId);
  const byRules =
    marking.policy === 'common'
      ? [markWhole(answer, truth, named, resolution, marking, overrules)]
      : scientificParts(parted, truth, named, resolution, marking, overrules);
  const parts = byRules.map((part) => given(part, ruling?.points?.[part.part]));
  return {
    points: sum(parts.map((part) => part.points)),
    outOf: sum(parts.map((part) => part.outOf)),
    parts,
    resolution,
  };
}

/** A part with the points that the instructor gave it by hand, if any. */
const given = (part: PartMark, points: number | undefined): PartMark =>
  points === undefined
    ? part
    : {
        ...part,
        points: Math.min(part.outOf, Math.max(0, points)),
        quality: 'ruled',
        remark: 'given by hand',
      };

const ruled = (ruling: Ruling): Resolution =>
  ruling.taxonId === null
    ? { how: 'none' }
    : { how: 'exact', taxonId: ruling.taxonId, distance: 0, matched: 'ruled by the instructor' };

function markWhole(
  answer: Answer,
  truth: NamedTaxon,
  named: NamedTaxon | undefined,
  resolution: Resolution,
  marking: MarkingPolicy,
  isRuled: boolean,
): PartMark {
  const outOf = marking.points.name;
  const written = answerText(answer);
  const part = { part: 'name' as const, written, outOf };
  if (resolution.how === 'blank') return { ...part, points: 0, quality: 'missing', remark: 'no answer' };
  if (named?.id !== truth.id)
    return { ...part, points: 0, quality: 'wrong', remark: whatElse(resolution, named) };
  const asAName = [scientificName(truth), ...truth.synonyms, ...truth.commonNames].map(normaliseName);
  if (isRuled && !asAName.includes(normaliseName(written)))
    return {
      ...part,
      points: lessened(outOf, marking),
      quality: 'ruled',
      remark: 'ruled right, spelled otherwise',
    };
  if (resolution.how === 'genus')
    return { ...part, points: outOf / 2, quality: 'partly', remark: 'the genus only' };
  if (resolution.how !== 'misspelled') return { ...part, points: outOf, quality: 'right', remark: 'right' };
  return {
    ...part,
    points: lessened(outOf, marking),
    quality: 'misspelled',
    off: resolution.distance ?? 0,
    remark: `spelling: ${resolution.matched}`,
  };
}

/** What an answer says that does not name the tree. */
function whatElse(resolution: Resolution, named: NamedTaxon | undefined): string {
  if (named) return `that is ${named.commonNames[0] ?? scientificName(named)}`;
  if (resolution.how === 'ambiguous')
    return (resolution.candidates ?? []).length > 1
      ? 'may be more than one tree'
      : 'two names that do not agree';
  if (resolution.other) return `that is ${resolution.other}, which is not on the list`;
  if (resolution.how === 'genus') return 'the genus only';
  return 'not recognized';
}

const lessened = (outOf: number, { deduction }: MarkingPolicy): number => Math.max(0, outOf - deduction);

function scientificParts(
  answer: Answer,
  truth: NamedTaxon,
  named: NamedTaxon | undefined,
  resolution: Resolution,
  marking: MarkingPolicy,
  isRuled: boolean,
): PartMark[] {
  const { policy, points } = marking;
  const right = named?.id === truth.id;
  // A synonym in use is as good as the accepted name: its own parts are what the spelling is held against.
  const accepted =
    right && resolution.matched && !isRuled && resolution.how !== 'common' && resolution.how !== 'genus'
      ? resolution.matched
      : scientificName(truth);
  const [genusWord, ...epithetWords] = accepted.replace('× ', '').split(' ');
  const wanted = { genus: genusWord!, epithet: epithetWords.join(' ') };
  const typed = latinWritten(answer, wanted);
  const family =
    policy === 'binomialFamily' ? [markFamily(answer.family ?? resolution.family ?? '', truth, marking)] : [];

  if (resolution.how === 'common' && right)
    return [
      {
        part: 'genus',
        written: answerText(answer),
        points: 0,
        outOf: points.genus,
        quality: 'missing',
        remark: 'the common name; the genus is asked for',
      },
      ...(policy === 'genus' ? [] : [missing('epithet', points.epithet, 'the epithet is asked for')]),
      ...family,
    ];

  // Whole names as they stand in some book: the words themselves need not be held against the list's own again.
  const whole = right && !isRuled && (resolution.how === 'exact' || resolution.how === 'synonym');
  // A ruling says that it is this tree; what is spelled otherwise costs what it costs where no ruling was needed.
  const ruledRight = (mark: PartMark): PartMark =>
    isRuled && right && mark.points === 0 && answerText(answer)
      ? {
          ...mark,
          points: lessened(mark.outOf, marking),
          quality: 'ruled',
          remark: 'ruled right, spelled otherwise',
        }
      : mark;
  const genus = ruledRight(
    markPart('genus', typed.genus, [wanted.genus, truth.genus], points.genus, marking, whole),
  );
  if (policy === 'genus') return [genus];
  const genusStands = genus.points > 0 || right;
  return [genus, ruledRight(epithetOf(typed.epithet, genusStands)), ...family];

  function epithetOf(written: string, stands: boolean): PartMark {
    const part = {
      part: 'epithet' as const,
      written,
      points: 0,
      outOf: points.epithet,
      quality: 'wrong' as const,
    };
    // "alba" is no answer for Populus alba when the genus written is Quercus: an epithet counts only with its genus.
    if (!stands && written.trim()) return { ...part, remark: 'an epithet counts only with its genus' };
    if (named && named.id !== truth.id && named.genus === truth.genus && written.trim())
      return { ...part, remark: `that is ${scientificName(named)}` };
    if (resolution.other?.includes(' ') && written.trim())
      return { ...part, remark: `that is ${resolution.other}, which is not on the list` };
    return markPart('epithet', written, [wanted.epithet], points.epithet, marking, whole);
  }
}

const missing = (part: AnswerPart, outOf: number, remark = 'no answer'): PartMark => ({
  part,
  written: '',
  points: 0,
  outOf,
  quality: 'missing',
  remark,
});

/** The genus and the epithet as they were written, wherever in the answer they stand; turned round where they stand so. */
function latinWritten(
  answer: Answer,
  wanted: { genus: string; epithet: string },
): { genus: string; epithet: string } {
  if (answer.genus !== undefined && answer.epithet !== undefined)
    return { genus: answer.genus, epithet: withoutAuthors(answer.epithet) };
  const text = answerText(answer);
  const names = writtenNames(text).names.map(({ words }) => words);
  const near = (word: string, right: string) => latinSlip(word, normaliseName(right).split(' ')[0] ?? '');
  const [best = []] = [...names].sort(
    (a, b) =>
      Math.min(...a.map(({ word }) => near(word, wanted.genus))) -
      Math.min(...b.map(({ word }) => near(word, wanted.genus))),
  );
  const words = best.map(({ word }) => word);
  const [first = '', second = '', ...rest] = words;
  // The epithet alone, or in front of its genus.
  if (words.length === 1 && near(first, wanted.epithet) < near(first, wanted.genus))
    return { genus: '', epithet: first };
  if (
    words.length === 2 &&
    near(second, wanted.genus) + near(first, wanted.epithet) <
      near(first, wanted.genus) + near(second, wanted.epithet)
  )
    return { genus: second, epithet: first };
  return { genus: first, epithet: withoutAuthors([second, ...rest].join(' ')) };
}

/** An epithet box without the authors and cultivars that some write into it. */
function withoutAuthors(written: string): string {
  const [name] = writtenNames(written).names;
  if (!name) return written;
  const tail = name.words.findIndex((_, i) => i > 0 && isTail(name.words.slice(i)));
  return (tail < 0 ? name.words : name.words.slice(0, tail)).map(({ word }) => word).join(' ');
}

/** A part against the words that would be right; how far off it is, in words and in letters. */
function markPart(
  part: PartMark['part'],
  written: string,
  wanted: string[],
  outOf: number,
  marking: MarkingPolicy,
  isWhole = false,
): PartMark {
  const typed = normaliseName(written);
  if (!typed) return missing(part, outOf);
  const spelled = wanted.map(normaliseName);
  const right: PartMark = { part, written, points: outOf, outOf, quality: 'right', remark: 'right' };
  if (spelled.includes(typed)) return right;
  if (part === 'genus' && typed.length <= 4 && spelled.some((word) => word.startsWith(typed)))
    return { ...right, remark: 'abbreviated' };
  // The first word of a trinomial is the species: what stands behind it is more than is asked for.
  if (isWhole) return { ...right, remark: part === 'epithet' ? 'right' : 'right, as others call the genus' };
  const off = Math.min(
    ...spelled.map((word) =>
      latinSlip(typed, word) <= slipsAllowed(word.length) ? latinSlip(typed, word) : Infinity,
    ),
  );
  if (off < Infinity)
    return {
      ...right,
      points: lessened(outOf, marking),
      quality: 'misspelled',
      off: Number(off.toFixed(2)),
      remark: `spelling: ${wanted[0]}`,
    };
  return { ...right, points: 0, quality: 'wrong', remark: 'wrong' };
}

/** The family in Latin or in English, by its present or an older name. */
function markFamily(written: string, truth: NamedTaxon, marking: MarkingPolicy): PartMark {
  const families = [truth.family, ...(truth.olderFamilies ?? [])];
  const outOf = marking.points.family;
  const plain = normaliseName(written).replace(/ family$/, '');
  const english = [
    ...families.flatMap((family) => FAMILY_WORDS[family.toLowerCase()] ?? []),
    ...(truth.familyCommon ? [normaliseName(truth.familyCommon).replace(/ family$/, '')] : []),
  ];
  if (english.includes(plain))
    return { part: 'family', written, points: outOf, outOf, quality: 'right', remark: 'right' };
  const present = familyNear(plain);
  const mark = markPart('family', written, families, outOf, marking);
  // “Leguminosae” is the old name of what is wanted.
  return mark.points === 0 &&
    present &&
    present !== plain &&
    families.some((family) => family.toLowerCase() === present)
    ? { ...mark, points: outOf, quality: 'right', remark: 'right, an older name' }
    : mark;
}

const sum = (numbers: number[]) => Number(numbers.reduce((total, n) => total + n, 0).toFixed(4));
