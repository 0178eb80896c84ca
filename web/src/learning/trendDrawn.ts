import { scaleLinear, scalePoint } from 'd3-scale';
import { line } from 'd3-shape';

/** A quiz each: its title, and by line the share in per cent. */
export type TrendRow = Record<string, number | string>;

interface Spot {
  x: number;
  y: number;
}

export interface DrawnTrend {
  /** Heights of round shares, with the share in per cent. */
  levels: { y: number; share: number }[];
  quizzes: { x: number; title: string }[];
  lines: { key: string; path: string; spots: Spot[] }[];
  /** The field between the axes. */
  left: number;
  right: number;
  bottom: number;
}

/** Room around the field, in pixels. */
const AROUND = { top: 10, right: 30, bottom: 30, left: 52 };
/** About so many shares are marked beside the field. */
const LEVELS = 5;

/**
 * Where the lines of a chart run: shares by quiz, from nought up. A quiz that did not ask something has no point on its line, which goes on
 * to the next.
 *
 * @param size of the picture, in pixels
 * @example
 * trendDrawn([{ title: 'Quiz 1', ash: 40 }, { title: 'Quiz 2', ash: 20 }], ['ash'], { width: 400, height: 300 }).lines[0].spots.length; // 2
 */
export function trendDrawn(
  rows: readonly TrendRow[],
  keys: readonly string[],
  size: { width: number; height: number },
): DrawnTrend {
  const [left, right, bottom] = [AROUND.left, size.width - AROUND.right, size.height - AROUND.bottom];
  const shares = rows
    .flatMap((row) => keys.map((key) => row[key]))
    .filter((share) => typeof share === 'number');
  const height = scaleLinear([0, Math.max(1, ...shares)], [bottom, AROUND.top]).nice(LEVELS);
  const across = scalePoint(
    rows.map((_, i) => i),
    [left + 40, right - 40],
  );
  const quizzes = rows.map((row, i) => ({ x: across(i)!, title: String(row['title']) }));
  const path = line<Spot>(
    ({ x }) => x,
    ({ y }) => y,
  );
  return {
    levels: height.ticks(LEVELS).map((share) => ({ share, y: height(share) })),
    quizzes,
    lines: keys.map((key) => {
      const spots = rows.flatMap((row, i) => {
        const share = row[key];
        return typeof share === 'number' ? [{ x: quizzes[i]!.x, y: height(share) }] : [];
      });
      return { key, spots, path: path(spots) ?? '' };
    }),
    left,
    right,
    bottom,
  };
}
