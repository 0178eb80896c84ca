import { dayLabel, dayOfYear } from '../season/index.ts';
import { counted } from '../words/index.ts';
import type { CollectingLine } from './collecting.ts';

/** A piece that was cut for a station, as far as planning goes. */
export interface CutPiece {
  treeId: string;
  /** ISO date of the last day on which it can be shown. */
  goodUntil: string;
  /** It is there, and has neither wilted nor been lost. */
  there: boolean;
}

export interface PieceAsked {
  /** Whence the station's piece is cut. */
  line: CollectingLine;
  /** ISO date of the quiz. */
  heldOn: string;
  /** What has been cut for it. */
  pieces: readonly CutPiece[];
  /** Trees that earlier quizzes showed, the latest first. */
  before: readonly { treeId: string; title: string }[];
  tagOf(treeId: string): string;
}

/** Under this share it is said that it may not be there. */
const LIKELY = 0.8;
/** What keeps no longer than so many days is cut at the last. */
const SOON = 2;

/**
 * What stands against the piece that a station needs, for the plan: nowhere to cut it, wilted or over by the day, perhaps not there, out of the hand's reach, soon
 * wilting, or of the very tree that was shown before. Sentences, the gravest first; none where all is well.
 *
 * @example
 * pieceWarnings({ line, heldOn: '2026-10-15', pieces: [], before: [], tagOf }); // ['R-07 is out of reach by hand: a pole pruner, helmet, nobody beneath.']
 */
export function pieceWarnings({ line, heldOn, pieces, before, tagOf }: PieceAsked): string[] {
  const { source, others, why, instead, keeping } = line;
  const cut = pieces.find(({ there }) => there);
  if (cut)
    return [
      ...(cut.goodUntil < heldOn
        ? [`What was cut from ${tagOf(cut.treeId)} keeps until ${labelOf(cut.goodUntil)} only: cut another.`]
        : []),
      ...shownBefore(cut.treeId, [], before, tagOf),
    ];
  const lost = pieces.length > 0 ? ['What was cut for it has wilted or is lost: cut another.'] : [];
  if (!source) return [...lost, instead[0] ? `${why} Instead: ${instead[0].words}` : why];
  const tag = tagOf(source.treeId);
  const { share } = source.likely;
  return [
    ...lost,
    ...(share < LIKELY
      ? [`It may not be there that day: ${tag} has it in ${Math.round(10 * share)} of 10 years.`]
      : []),
    ...(source.reach === 'pole'
      ? [`${tag} is out of reach by hand: a pole pruner, helmet and eye protection, nobody beneath.`]
      : []),
    ...(source.reach === 'sprouts'
      ? [`From ${tag} only sprouts are in reach, and their leaves are larger than those of the crown.`]
      : []),
    ...shownBefore(
      source.treeId,
      others.map(({ treeId }) => treeId),
      before,
      tagOf,
    ),
    ...(keeping.days <= SOON
      ? [`It keeps ${counted(keeping.days, 'day')} at most: cut it last. ${keeping.bag}`]
      : []),
  ];
}

function shownBefore(
  treeId: string,
  others: readonly string[],
  before: PieceAsked['before'],
  tagOf: PieceAsked['tagOf'],
): string[] {
  const earlier = before.find((each) => each.treeId === treeId);
  if (!earlier) return [];
  const fresh = others.find((id) => before.every((each) => each.treeId !== id));
  return [
    `${tagOf(treeId)} was shown in ${earlier.title} as well: who remembers the tree need not look.${
      fresh ? ` ${tagOf(fresh)} is another.` : ''
    }`,
  ];
}

const labelOf = (day: string): string => dayLabel(dayOfYear(day));
