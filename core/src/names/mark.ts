import { scientificName } from '../taxon/index.ts';
import { editDistance, foldLatin, normaliseName } from './fold.ts';
import { resolveName, type NamedTaxon, type Resolution } from './resolve.ts';

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

export interface PartMark {
  part: AnswerPart;
  written: string;
  points: number;
  outOf: number;
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
    : { ...part, points: Math.min(part.outOf, Math.max(0, points)), remark: 'given by hand' };

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
  if (!written) return { ...part, points: 0, remark: 'no answer' };
  if (resolution.how === 'ambiguous')
    return { ...part, points: 0, remark: 'more than one taxon bears this name' };
  if (named?.id !== truth.id)
    return {
      ...part,
      points: 0,
      remark: named ? `that is ${named.commonNames[0] ?? scientificName(named)}` : 'not recognized',
    };
  const asAName = [scientificName(truth), ...truth.synonyms, ...truth.commonNames].map(normaliseName);
  if (isRuled && !asAName.includes(normaliseName(written)))
    return {
      ...part,
      points: Math.max(0, outOf - marking.deduction),
      remark: 'ruled right, spelled otherwise',
    };
  if (resolution.how !== 'misspelled') return { ...part, points: outOf, remark: 'right' };
  return {
    ...part,
    points: Math.max(0, outOf - marking.deduction),
    remark: `spelling: ${resolution.matched}`,
  };
}

function scientificParts(
  answer: Answer,
  truth: NamedTaxon,
  named: NamedTaxon | undefined,
  resolution: Resolution,
  marking: MarkingPolicy,
  isRuled: boolean,
): PartMark[] {
  const { policy, points, deduction } = marking;
  const [typedGenus, typedEpithet] = splitAnswer(answer);
  const right = named?.id === truth.id;
  // A synonym in use is as good as the accepted name: its own parts are what the spelling is held against.
  const accepted =
    right && resolution.matched && !isRuled && resolution.how !== 'common'
      ? resolution.matched
      : scientificName(truth);
  const [genusWord, ...epithetWords] = accepted.replace('× ', '').split(' ');
  const parts: PartMark[] = [];

  // A ruling says that it is this tree; what is spelled otherwise costs what it costs where no ruling was needed.
  const ruledRight = (mark: PartMark): PartMark =>
    isRuled && right && mark.points === 0 && answerText(answer)
      ? { ...mark, points: Math.max(0, mark.outOf - deduction), remark: 'ruled right, spelled otherwise' }
      : mark;
  const byCommonName = resolution.how === 'common' && right;
  const genus = markPart('genus', typedGenus, [genusWord!, truth.genus], points.genus, deduction);
  parts.push(
    byCommonName
      ? {
          ...genus,
          points: 0,
          written: answerText(answer),
          remark: 'the common name; the genus is asked for',
        }
      : ruledRight(genus),
  );
  if (policy !== 'genus')
    parts.push(
      byCommonName
        ? {
            part: 'epithet',
            written: '',
            points: 0,
            outOf: points.epithet,
            remark: 'the epithet is asked for',
          }
        : ruledRight(
            markEpithet(
              typedEpithet,
              epithetWords.join(' '),
              points.epithet,
              deduction,
              parts[0]!.points > 0 || right,
              named,
              truth,
            ),
          ),
    );
  if (policy === 'binomialFamily')
    parts.push(
      markPart(
        'family',
        answer.family ?? '',
        [truth.family, ...(truth.olderFamilies ?? [])],
        points.family,
        deduction,
      ),
    );
  return parts;
}

function splitAnswer(answer: Answer): [string, string] {
  if (answer.genus !== undefined || answer.epithet !== undefined)
    return [answer.genus ?? '', answer.epithet ?? ''];
  const [genus = '', ...rest] = (answer.name ?? '').trim().split(/\s+/);
  return [genus, rest.join(' ')];
}

function markEpithet(
  written: string,
  wanted: string,
  outOf: number,
  deduction: number,
  genusStands: boolean,
  named: NamedTaxon | undefined,
  truth: NamedTaxon,
): PartMark {
  // "alba" is no answer for Populus alba when the genus written is Quercus: an epithet counts only with its genus.
  if (!genusStands && written.trim())
    return { part: 'epithet', written, points: 0, outOf, remark: 'an epithet counts only with its genus' };
  if (named && named.id !== truth.id && named.genus === truth.genus && written.trim())
    return { part: 'epithet', written, points: 0, outOf, remark: `that is ${scientificName(named)}` };
  return markPart('epithet', written, [wanted], outOf, deduction);
}

function markPart(
  part: PartMark['part'],
  written: string,
  wanted: string[],
  outOf: number,
  deduction: number,
): PartMark {
  const typed = normaliseName(written);
  if (!typed) return { part, written, points: 0, outOf, remark: 'no answer' };
  const spelled = wanted.map(normaliseName);
  if (spelled.includes(typed)) return { part, written, points: outOf, outOf, remark: 'right' };
  if (part === 'genus' && typed.length === 1 && spelled.some((word) => word.startsWith(typed)))
    return { part, written, points: outOf, outOf, remark: 'abbreviated' };
  const near = spelled.some((word) => {
    const distance = Math.min(editDistance(typed, word), editDistance(foldLatin(typed), foldLatin(word)));
    return distance <= Math.max(1, Math.floor(word.length / 5));
  });
  if (near)
    return { part, written, points: Math.max(0, outOf - deduction), outOf, remark: `spelling: ${wanted[0]}` };
  return { part, written, points: 0, outOf, remark: 'wrong' };
}

const sum = (numbers: number[]) => Number(numbers.reduce((total, n) => total + n, 0).toFixed(4));
