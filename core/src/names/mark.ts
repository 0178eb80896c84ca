import { scientificName } from '../taxon/index.ts';
import { answerText, partedAnswer } from './answer.ts';
import { normaliseName } from './fold.ts';
import { scientificParts } from './parts.ts';
import {
  lessened,
  type Answer,
  type Judged,
  type Mark,
  type MarkingPolicy,
  type PartMark,
  type Ruling,
} from './policy.ts';
import { resolveName, type NamedTaxon, type Resolution } from './resolve.ts';

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
  const judged: Judged = { answer, truth, named, resolution, marking, isRuled: overrules };
  const byRules =
    marking.policy === 'common' ? [markWhole(judged)] : scientificParts({ ...judged, answer: parted });
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

function markWhole({ answer, truth, named, resolution, marking, isRuled }: Judged): PartMark {
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

const sum = (numbers: number[]) => Number(numbers.reduce((total, n) => total + n, 0).toFixed(4));
