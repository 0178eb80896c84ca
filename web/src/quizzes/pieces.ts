import { t } from '@lingui/core/macro';
import type { Collecting } from '@hurrow/contract/outings';
import type { ProfiledTaxon } from '@hurrow/core/evidence';
import {
  collectingList,
  pieceWarnings,
  type CollectingLine,
  type GroundTree,
  type TreeObservation,
} from '@hurrow/core/grounds';
import { dayAfter, type Place } from '@hurrow/core/season';
import { needsOfQuiz } from '../grounds/gathering.ts';
import type { Planned } from './planned.ts';
import { sentenceSaid } from '../language/inField.ts';
import { dayLabel } from '../language/inWords.ts';

/** What of grounds a plan is held against. */
export interface PiecesGround {
  trees: readonly GroundTree[];
  observations: readonly TreeObservation[];
  list: readonly ProfiledTaxon[];
  reference: Place;
  site: Place;
}

export interface PiecesAsked extends PiecesGround {
  stations: readonly Pick<Planned, 'taxonId' | 'medium' | 'view'>[];
  /** ISO date. */
  heldOn: string;
  quizId: string | undefined;
  lists: readonly Collecting[];
  quizzes: readonly { id: string; title: string; heldOn: string }[];
}

/** The pieces that a plan needs. */
export interface Pieces {
  /** What stands against each, by the place of its station from 0. */
  warnings: Map<number, string[]>;
  /** Stations that need a piece, and those for which one can be cut or has been. */
  needed: number;
  had: number;
}

/** A list that is for no quiz counts for one that is held within so many days. */
const NEAR = 14;

/** The collecting list by which a quiz is gathered: its own, else the latest one of the days before it that is for no other. */
export const listFor = (
  lists: readonly Collecting[],
  quizId: string | undefined,
  heldOn: string,
): Collecting | undefined =>
  lists.find((list) => quizId !== undefined && list.quizId === quizId) ??
  lists
    .filter(({ quizId: of, day }) => of === null && day <= heldOn && dayAfter(day, NEAR) >= heldOn)
    .sort((a, b) => (a.day < b.day ? 1 : -1))[0];

/** What stands against the pieces of a plan on some grounds: each is cut where its collecting list says, else from the best tree. */
export function piecesOf({ stations, heldOn, quizId, lists, quizzes, ...ground }: PiecesAsked): Pieces {
  const needs = needsOfQuiz(stations.map((station, i) => ({ ...station, position: i + 1 })));
  const own = listFor(lists, quizId, heldOn);
  const lines = collectingList({
    ...ground,
    needs,
    day: own?.day ?? heldOn,
    pestHosts: own?.pestHosts ?? false,
  });
  const tagOf = (id: string) => ground.trees.find((tree) => tree.id === id)?.tag ?? t`a tree that is gone`;
  const before = shownBefore(lists, quizzes, quizId, heldOn);
  const warnings = new Map<number, string[]>();
  let had = 0;
  for (const each of lines) {
    const { taxonId, kind, id } = each.need;
    const same = own?.needs.filter((need) => need.taxonId === taxonId && need.kind === kind) ?? [];
    const pieces = (own?.items ?? [])
      .filter(({ needId }) => same.some((need) => need.id === needId))
      .map(({ treeId, goodUntil, state }) => ({
        treeId,
        goodUntil,
        there: state === 'kept' || state === 'used',
      }));
    const line = asChosen(each, same.flatMap((need) => own!.chosen[need.id] ?? [])[0]);
    if (line.source || pieces.some(({ there }) => there)) had += 1;
    const said = pieceWarnings({ line, heldOn, pieces, before, tagOf, callDay: dayLabel }).map(sentenceSaid);
    if (said.length > 0) warnings.set(Number(id.split(' ')[1]) - 1, said);
  }
  return { warnings, needed: needs.length, had };
}

/** The line with the source that was chosen in its list, where it would do. */
function asChosen(line: CollectingLine, treeId: string | undefined): CollectingLine {
  const chosen = line.others.find((source) => source.treeId === treeId);
  if (!chosen || !line.source) return line;
  return { ...line, source: chosen, others: [line.source, ...line.others.filter((each) => each !== chosen)] };
}

/** Trees that were shown in the quizzes before, the latest first. */
const shownBefore = (
  lists: readonly Collecting[],
  quizzes: PiecesAsked['quizzes'],
  quizId: string | undefined,
  heldOn: string,
): { treeId: string; title: string }[] =>
  quizzes
    .filter((quiz) => quiz.id !== quizId && quiz.heldOn < heldOn)
    .sort((a, b) => (a.heldOn < b.heldOn ? 1 : -1))
    .flatMap(({ id, title }) =>
      lists
        .filter((list) => list.quizId === id)
        .flatMap(({ items }) =>
          items
            .filter(({ state }) => state === 'used' || state === 'kept')
            .map(({ treeId }) => ({ treeId, title })),
        ),
    );
