import { t } from '@lingui/core/macro';
import type { Quiz } from '@hurrow/contract/quizzes';
import type { Collecting, Item, ItemBody } from '@hurrow/contract/outings';
import { kindOf } from '@hurrow/core/assembly';
import {
  orderWalk,
  Paths,
  type CollectingLine,
  type GroundFeatures,
  type GroundTree,
  type LatLon,
  type Need,
  type Source,
} from '@hurrow/core/grounds';
import { dayAfter } from '@hurrow/core/season';
import { kindOfPlanned } from '../quizzes/proposed.ts';

/** What a quiz needs to be cut: each of its stations that shows something gathered. */
export const needsOfQuiz = (
  stations: readonly Pick<Quiz['stations'][number], 'position' | 'taxonId' | 'medium' | 'view'>[],
): Need[] =>
  stations.flatMap((station) => {
    const kind = kindOfPlanned(station) ?? (station.medium === 'cutting' ? kindOf('cutting') : undefined);
    if (!kind?.cut) return [];
    const serves = t`station ${station.position}`;
    return [{ id: serves, taxonId: station.taxonId, kind: kind.id, serves }];
  });

/** What a lesson or a sort needs: a piece of each of its species. */
export const needsOfSet = (taxa: readonly string[], kind: string, serves: string): Need[] =>
  taxa.map((taxonId) => ({ id: `${taxonId} ${kind}`, taxonId, kind, serves }));

/** One more need, unless it is on the list. */
export const withNeed = (needs: readonly Need[], taxonId: string, kind: string): Need[] => {
  const id = `${taxonId} ${kind}`;
  return needs.some((need) => need.id === id) ? [...needs] : [...needs, { id, taxonId, kind, serves: '' }];
};

/** The pieces of a list as a new quiz takes them up from its address. */
export const taxaOfNeeds = (needs: readonly Need[]): string =>
  encodeURIComponent(needs.map(({ taxonId, kind }) => `${taxonId} ${kind}`).join());

/** A line of the list as it stands: what was found, the source that was chosen, what has been cut for it. */
export interface GatherLine extends CollectingLine {
  /** Number on labels and in the list, from 1. */
  number: number;
  /** Pieces that are there. */
  items: Item[];
  /** Pieces that have wilted or were lost. */
  spent: Item[];
}

/** The source that was chosen for a need in place of the first. */
export const chosenSource = (
  line: CollectingLine,
  chosen: Readonly<Record<string, string>>,
): Source | undefined =>
  [line.source, ...line.others].find((source) => source?.treeId === chosen[line.need.id]) ?? line.source;

/** Lines in the order in which they are walked to; those of which nothing is cut come last, as they are numbered. */
export function asAWalk(
  lines: readonly CollectingLine[],
  {
    list,
    trees,
    features,
    start,
  }: { list: Collecting; trees: readonly GroundTree[]; features: GroundFeatures; start: LatLon },
): GatherLine[] {
  const whole = lines.map((line, i): GatherLine => ({
    ...line,
    source: chosenSource(line, list.chosen),
    number: i + 1,
    items: list.items.filter(
      ({ needId, state }) => needId === line.need.id && (state === 'kept' || state === 'used'),
    ),
    spent: list.items.filter(
      ({ needId, state }) => needId === line.need.id && (state === 'wilted' || state === 'lost'),
    ),
  }));
  const visited = [...new Set(whole.flatMap(({ source }) => source?.treeId ?? []))].flatMap(
    (id) => trees.find((tree) => tree.id === id) ?? [],
  );
  const paths = new Paths(features);
  const { order } = orderWalk({
    between: visited.map((a) => visited.map((b) => (a === b ? 0 : paths.route(a, b).metres))),
    fromStart: visited.map((tree) => paths.route(start, tree).metres),
    toEnd: visited.map((tree) => paths.route(tree, start).metres),
  });
  const rank = new Map(order.map((i, at) => [visited[i]!.id, at]));
  const place = ({ source }: GatherLine) => (source ? (rank.get(source.treeId) ?? 0) : Infinity);
  return whole.toSorted((a, b) => (place(a) === place(b) ? a.number - b.number : place(a) - place(b)));
}

/** A piece as it is ticked off: kept as its kind is, good as long as it usually is. */
export const newItem = (line: GatherLine, cutter: string, now: Date): ItemBody => ({
  needId: line.need.id,
  treeId: line.source!.treeId,
  cutAt: now.toISOString(),
  cutter,
  stored: '',
  goodUntil: dayAfter(now.toISOString().slice(0, 10), line.keeping.days),
  spares: line.keeping.spares,
  confirmedBy: '',
  state: 'kept',
  note: '',
});

/** What a piece is beside its id and trace. */
export function bodyOf({ id: _id, trace: _trace, ...body }: Item): ItemBody {
  return body;
}

/** “5 of 9 gathered; 2 cannot be cut”. */
export function gatheredInWords(lines: readonly GatherLine[]): string {
  const cut = lines.filter(({ source, items }) => source || items.length > 0);
  const done = cut.filter(({ items }) => items.length > 0).length;
  const none = lines.length - cut.length;
  return t`${done} of ${cut.length} gathered${none > 0 ? t`; ${none} cannot be cut` : ''}.`;
}
