import { dayLabel, dayOfYear } from '../season/index.ts';
import type { Sentence } from '../words/index.ts';
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
  /** How a day of the year is called, where another language than English is spoken. */
  callDay?(day: number): string;
}

/** Under this share it is said that it may not be there. */
const LIKELY = 0.8;
/** What keeps no longer than so many days is cut at the last. */
const SOON = 2;

/**
 * What stands against the piece that a station needs, for the plan: nowhere to cut it, wilted or over by the day, perhaps not there, out of the hand's reach, soon
 * wilting, or of the very tree that was shown before. The gravest first; none where all is well.
 *
 * @example
 * pieceWarnings({ line, heldOn: '2026-10-15', pieces: [], before: [], tagOf }).map((each) => inFull(each));
 * // ['R-07 is out of reach by hand: a pole pruner, helmet and eye protection, nobody beneath.']
 */
export function pieceWarnings({
  line,
  heldOn,
  pieces,
  before,
  tagOf,
  callDay = dayLabel,
}: PieceAsked): Sentence[] {
  const { source, others, why, instead, keeping } = line;
  const cut = pieces.find(({ there }) => there);
  if (cut)
    return [
      ...(cut.goodUntil < heldOn
        ? [
            {
              words: 'What was cut from # keeps until # only: cut another.',
              put: [tagOf(cut.treeId), callDay(dayOfYear(cut.goodUntil))],
            },
          ]
        : []),
      ...shownBefore(cut.treeId, [], before, tagOf),
    ];
  const lost =
    pieces.length > 0 ? [{ words: 'What was cut for it has wilted or is lost: cut another.' }] : [];
  if (!source && why)
    return [...lost, instead[0] ? { words: '# Instead: #', put: [why, instead[0].words] } : why];
  if (!source) return lost;
  const tag = tagOf(source.treeId);
  const { share } = source.likely;
  return [
    ...lost,
    ...(share < LIKELY
      ? [
          {
            words: 'It may not be there that day: # has it in # of 10 years.',
            put: [tag, Math.round(10 * share)],
          },
        ]
      : []),
    ...(source.reach === 'pole'
      ? [
          {
            words: '# is out of reach by hand: a pole pruner, helmet and eye protection, nobody beneath.',
            put: [tag],
          },
        ]
      : []),
    ...(source.reach === 'sprouts'
      ? [
          {
            words: 'From # only sprouts are in reach, and their leaves are larger than those of the crown.',
            put: [tag],
          },
        ]
      : []),
    ...shownBefore(
      source.treeId,
      others.map(({ treeId }) => treeId),
      before,
      tagOf,
    ),
    ...(keeping.days <= SOON ? [{ words: '# #', put: [lastOf(keeping.days), { words: keeping.bag }] }] : []),
  ];
}

function shownBefore(
  treeId: string,
  others: readonly string[],
  before: PieceAsked['before'],
  tagOf: PieceAsked['tagOf'],
): Sentence[] {
  const earlier = before.find((each) => each.treeId === treeId);
  if (!earlier) return [];
  const fresh = others.find((id) => before.every((each) => each.treeId !== id));
  const said = {
    words: '# was shown in # as well: who remembers the tree need not look.',
    put: [tagOf(treeId), earlier.title],
  };
  return [fresh ? { words: '# #', put: [said, { words: '# is another.', put: [tagOf(fresh)] }] } : said];
}

const lastOf = (days: number): Sentence =>
  days === 1
    ? { words: 'It keeps a day at most: cut it last.' }
    : { words: 'It keeps # days at most: cut it last.', put: [days] };
