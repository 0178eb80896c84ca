import type { ProfiledTaxon, ReadingOptions } from '../evidence/index.ts';
import type { Solve } from '../program/index.ts';
import { choiceFairness, fairnessOf, questionFairness, Reader } from '../station/index.ts';
import type { Vocabulary } from '../vocabulary/index.ts';
import type { Candidate } from './candidates.ts';
import { expectedResult, expectedRight, type ExpectedResult } from './expected.ts';
import { kindOf, viewOfKind } from './kinds.ts';
import { neighboursOf } from './neighbours.ts';
import { orderOf } from './order.ts';
import { proposeForms, type Relaxation } from './propose.ts';
import type { ClassSoFar, QuizWishes } from './wishes.ts';

/** A quiz as it is proposed. */
export interface AssembledQuiz {
  /** In the order in which they stand. */
  stations: Candidate[];
  /** Pairs of places, from 0, that stand nearer than they should. */
  tooNear: [number, number][];
  expected: ExpectedResult;
}

export interface Assembly {
  forms: AssembledQuiz[];
  relaxed: Relaxation[];
  worth: number;
  bound: number;
}

export interface AssemblyGround extends ReadingOptions {
  list: readonly ProfiledTaxon[];
  vocabulary: Vocabulary;
  day: number;
}

/** Those that are chosen are judged by as many readings as a station that stands; who turns out less fair is left out and the quiz made again. */
const READINGS = 4000;
const ROUNDS = 4;

/**
 * A whole quiz: chosen, judged again by 4,000 readings a station, and put in an order in which no neighbour gives another away.
 *
 * @param forms how many that are alike
 * @returns undefined where there is nothing to choose from
 */
export function assembleQuiz(
  candidates: readonly Candidate[],
  wishes: QuizWishes,
  so: ClassSoFar,
  { list, vocabulary, day, ...options }: AssemblyGround,
  solve: Solve,
  forms = 1,
): Assembly | undefined {
  const judged = new Map(candidates.map((each) => [each.id, each]));
  const sure = new Set<string>();
  const readers = new Map<string, Reader>();
  const judge = (id: string) => {
    const each = judged.get(id)!;
    sure.add(id);
    const right = each.question || each.choose ? askedRight(each) : undefined;
    if (right !== undefined) judged.set(id, { ...each, right });
    if (each.question) return;
    const kind = kindOf(each.kind)!;
    const reader = readers.get(kind.id) ?? new Reader(list, vocabulary, viewOfKind(kind, day), options);
    readers.set(kind.id, reader);
    const t = list.findIndex(({ taxon }) => taxon.id === each.taxonId);
    const found = fairnessOf(reader, t, READINGS);
    const rivals = found.rivals.slice(0, each.rivals.length || 1);
    judged.set(id, { ...each, right: right ?? found.right, rivals });
  };
  const askedRight = ({ taxonId, view, question }: Candidate) =>
    question
      ? questionFairness(question, list, taxonId, vocabulary, view, options)
      : choiceFairness(list, taxonId, vocabulary, view, options).right;
  let found: ReturnType<typeof proposeForms>;
  for (let round = 0; round < ROUNDS; round += 1) {
    found = proposeForms([...judged.values()], wishes, so, solve, forms);
    if (!found) return undefined;
    const open = found.flatMap(({ stations }) => stations).filter((id) => !sure.has(id));
    open.forEach(judge);
    const unfair = open.filter((id) => judged.get(id)!.right < wishes.fair && !wishes.pins.includes(id));
    if (unfair.length === 0) break;
  }
  return {
    forms: found!.map(({ stations }) =>
      inOrder(
        stations.map((id) => judged.get(id)!),
        so,
      ),
    ),
    relaxed: found![0]!.relaxed,
    worth: found![0]!.worth,
    bound: found![0]!.bound,
  };
}

/** Stations in their order, with what they bring together. */
function inOrder(stations: readonly Candidate[], so: ClassSoFar): AssembledQuiz {
  const { order, tooNear } = orderOf(neighboursOf(stations, so));
  const place = new Map(order.map((which, i) => [which, i]));
  return {
    stations: order.map((which) => stations[which]!),
    tooNear: tooNear.map(([a, b]) => [place.get(a)!, place.get(b)!]),
    expected: expectedResult(stations.map((each) => expectedRight(each, so))),
  };
}
