import { scientificName } from '../taxon/index.ts';
import { answerText } from './answer.ts';
import { normaliseName } from './fold.ts';
import {
  lessened,
  type Answer,
  type AnswerPart,
  type Judged,
  type MarkingPolicy,
  type PartMark,
} from './policy.ts';
import { isTail } from './readLatin.ts';
import type { NamedTaxon } from './resolve.ts';
import { latinSlip, slipsAllowed } from './slip.ts';
import { FAMILY_WORDS, familyNear, writtenNames } from './written.ts';

/** The marks of genus, epithet and family, each by its own quality, as the policy asks for them. */
export function scientificParts({ answer, truth, named, resolution, marking, isRuled }: Judged): PartMark[] {
  const { policy, points } = marking;
  const right = named?.id === truth.id;
  const byCommonName =
    right && (resolution.how === 'common' || truth.commonNames.includes(resolution.matched ?? ''));
  // A synonym in use is as good as the accepted name: its own parts are what the spelling is held against.
  const accepted =
    right && resolution.matched && !isRuled && !byCommonName && resolution.how !== 'genus'
      ? resolution.matched
      : scientificName(truth);
  const [genusWord, ...epithetWords] = accepted.replace('× ', '').split(' ');
  const wanted = { genus: genusWord!, epithet: epithetWords.join(' ') };
  const typed = latinWritten(answer, wanted);
  const family =
    policy === 'binomialFamily' ? [markFamily(answer.family ?? resolution.family ?? '', truth, marking)] : [];

  if (byCommonName)
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
    isRuled && right && ['wrong', 'missing'].includes(mark.quality) && answerText(answer)
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
  const genusStands = right || !['wrong', 'missing'].includes(genus.quality);
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
  const all = best.map(({ word }) => word);
  // The epithet alone, or in front of its genus.
  if (all.length === 1 && near(all[0]!, wanted.epithet) < near(all[0]!, wanted.genus))
    return { genus: '', epithet: all[0]! };
  if (all.length === 2) {
    const [a, b] = all as [string, string];
    const turned = near(b, wanted.genus) + near(a, wanted.epithet);
    if (turned < near(a, wanted.genus) + near(b, wanted.epithet)) return { genus: b, epithet: a };
  }
  // “grand fir Abies grandis”: it begins where the genus stands.
  const offs = all.map((word) => near(word, wanted.genus));
  const at = Math.min(...offs) <= slipsAllowed(wanted.genus.length) ? offs.indexOf(Math.min(...offs)) : 0;
  const [first = '', second = '', ...rest] = all.slice(at);
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
  const within = (word: string) => {
    const off = latinSlip(typed, word);
    return off <= slipsAllowed(word.length) ? off : Infinity;
  };
  const off = Math.min(...spelled.map(within));
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
  return mark.quality === 'wrong' &&
    present &&
    present !== plain &&
    families.some((family) => family.toLowerCase() === present)
    ? { ...mark, points: outOf, quality: 'right', remark: 'right, an older name' }
    : mark;
}
