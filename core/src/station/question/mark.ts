import {
  calledOf,
  fullPoints,
  lessened,
  markAnswer,
  normaliseName,
  slip,
  slipsAllowed,
  type Answer,
  type Mark,
  type MarkingPolicy,
  type NamedTaxon,
  type PartMark,
  type Ruling,
} from '../../names/index.ts';
import { parseRange, valueInWords, type Audience } from '../../score/index.ts';
import { inItsWords, lettersOf, type FrozenQuestion } from './question.ts';

/** What a question is marked against. */
export interface QuestionMarked {
  question: FrozenQuestion;
  truth: NamedTaxon;
  list: readonly NamedTaxon[];
  marking: MarkingPolicy;
}

/**
 * What was answered to a question, as it was written or in terms.
 *
 * @example
 * saidTo({ kind: 'state', offered: [{ id: 'opp', term: 'opposite', plain: 'in pairs' }], … }, { said: 'opp' }); // 'opposite'
 */
export function saidTo(
  { kind, offered, items }: FrozenQuestion,
  answer: Answer,
  audience: Audience = 'technical',
): string {
  if (kind === 'family') return (answer.family ?? '').trim();
  if (kind === 'genus') return (answer.genus ?? answer.name ?? '').trim();
  const said = (answer.said ?? '').trim();
  if (items) return saidOfEach(said, items.length, offered, audience);
  const chosen = offered.find(({ id }) => id === said);
  return chosen ? inItsWords(chosen, audience) : said;
}

function saidOfEach(
  said: string,
  count: number,
  offered: FrozenQuestion['offered'],
  audience: Audience,
): string {
  const called = calledOf(said, count);
  if (called.every((id) => id === undefined)) return '';
  return lettersOf(count)
    .map((letter, i) => {
      const found = offered.find(({ id }) => id === called[i]);
      return `${letter} ${found ? inItsWords(found, audience) : '–'}`;
    })
    .join(', ');
}

/** By this answers to one question are equal, so that points given by hand hold for all of them. */
export const saidKey = (question: FrozenQuestion, answer: Answer): string =>
  `${question.kind} ${question.about}: ${normaliseName(saidTo(question, answer))}`;

/** What would have been right, in the words of a course: “opposite”, “2–3”, “Pinaceae”. */
export function rightInWords(
  { question, truth }: Pick<QuestionMarked, 'question' | 'truth'>,
  audience: Audience,
): string {
  const { kind, offered, right, number, items } = question;
  if (items) return saidOfEach(right.join(' '), items.length, offered, audience);
  if (kind === 'family') return truth.family;
  if (kind === 'genus')
    return audience === 'plain' && kindsOf(truth)[0] ? `${kindsOf(truth)[0]} (${truth.genus})` : truth.genus;
  if (number)
    return valueInWords(
      { kind: 'range', low: number.from, high: number.to },
      number.character,
      audience,
      number.units,
    );
  return right
    .flatMap((id) => offered.find((each) => each.id === id) ?? [])
    .map((each) => inItsWords(each, audience))
    .join(' or ');
}

/**
 * Marks an answer to a question. The station is worth what every station of its quiz is worth; a family or genus that is misspelled costs what a
 * misspelling costs. The resolution is `unasked`: the answer names no tree, and says nothing of what trees are taken for.
 *
 * @param ruling points given by hand, which stand
 */
export function markQuestion(answer: Answer, marked: QuestionMarked, ruling?: Ruling): Mark {
  const byRules = partOf(answer, marked);
  const points = ruling?.points?.[byRules.part];
  const part: PartMark =
    points === undefined
      ? byRules
      : {
          ...byRules,
          points: Math.min(byRules.outOf, Math.max(0, points)),
          quality: 'ruled',
          remark: 'given by hand',
        };
  return { points: part.points, outOf: part.outOf, parts: [part], resolution: { how: 'unasked' } };
}

function partOf(answer: Answer, marked: QuestionMarked): PartMark {
  const { question, truth, list, marking } = marked;
  const outOf = fullPoints(marking);
  const written = saidTo(question, answer);
  switch (question.kind) {
    case 'family':
      return ofName('family', { family: written }, 'binomialFamily');
    case 'genus': {
      const latin = ofName('genus', { genus: written }, 'genus');
      return latin.points === 0 && marking.policy === 'common'
        ? (ofKind(written, truth, marking, outOf) ?? latin)
        : latin;
    }
    case 'number':
      return ofNumber(written, question.number!, outOf);
    default: {
      const part = { part: 'said' as const, written, outOf };
      if (!written) return { ...part, points: 0, quality: 'missing', remark: 'no answer' };
      if (question.items) return { ...part, ...ofSorted(answer, question, outOf) };
      return question.right.includes((answer.said ?? '').trim())
        ? { ...part, points: outOf, quality: 'right', remark: 'right' }
        : { ...part, points: 0, quality: 'wrong', remark: 'wrong' };
    }
  }

  /** One part of a name as the names of trees are marked, with all the points of the station. */
  function ofName(part: 'genus' | 'family', said: Answer, policy: MarkingPolicy['policy']): PartMark {
    const points = { name: 0, genus: 0, epithet: 0, family: 0, [part]: outOf };
    const { parts } = markAnswer(said, truth, list, { ...marking, policy, points });
    return parts.find((each) => each.part === part)!;
  }
}

/** Each specimen bears its share of the points. */
function ofSorted(
  answer: Answer,
  { right }: FrozenQuestion,
  outOf: number,
): Pick<PartMark, 'points' | 'quality' | 'remark'> {
  const called = calledOf(answer.said ?? '', right.length);
  const good = right.filter((state, i) => called[i] === state).length;
  return {
    points: Number(((outOf * good) / right.length).toFixed(2)),
    quality: good === right.length ? 'right' : good > 0 ? 'partly' : 'wrong',
    remark: good === right.length ? 'right' : `${good} of ${right.length} right`,
  };
}

/** What a tree is called without saying which: “maple” of bigleaf maple, “Douglas-fir” of Douglas-fir. */
export const kindsOf = ({ commonNames }: NamedTaxon): string[] => [
  ...new Set(commonNames.map((name) => name.trim().split(' ').at(-1)!)),
];

/** The kind of tree by its common name; undefined where it is none of the tree’s. */
function ofKind(
  written: string,
  truth: NamedTaxon,
  marking: MarkingPolicy,
  outOf: number,
): PartMark | undefined {
  const words = normaliseName(written).split(' ');
  const part = { part: 'genus' as const, written, outOf };
  const [near] = kindsOf(truth)
    .map((kind) => {
      const right = normaliseName(kind);
      // A kind of two words, as Douglas-fir, is held against the last two: it is no fir.
      const typed = words.slice(-right.split(' ').length).join(' ');
      return { kind, off: slip(typed, right) };
    })
    .filter(({ kind, off }) => off <= slipsAllowed(kind.length))
    .sort((a, b) => a.off - b.off);
  if (!near) return undefined;
  return near.off === 0
    ? { ...part, points: outOf, quality: 'right', remark: 'right' }
    : {
        ...part,
        points: lessened(outOf, marking),
        quality: 'misspelled',
        off: near.off,
        remark: `spelling: ${near.kind}`,
      };
}

function ofNumber(
  written: string,
  { character, units, from, to }: NonNullable<FrozenQuestion['number']>,
  outOf: number,
): PartMark {
  const part = { part: 'said' as const, written, points: 0, outOf };
  if (!written) return { ...part, quality: 'missing', remark: 'no answer' };
  const read = parseRange(written, character, { units });
  if (!read.ok) return { ...part, quality: 'wrong', remark: 'no number that could be read' };
  const { low, typical, high } = read.value;
  // “4 to 5” is right where all of it is.
  const [least, most] = [low ?? typical ?? high, high ?? typical ?? low];
  const isRight =
    least !== undefined &&
    most !== undefined &&
    least >= from * (1 - ROUNDING) &&
    most <= to * (1 + ROUNDING);
  return isRight
    ? { ...part, points: outOf, quality: 'right', remark: 'right' }
    : { ...part, quality: 'wrong', remark: 'wrong' };
}

/** Nobody loses a mark to a conversion of units. */
const ROUNDING = 1e-6;
