import { t } from '@lingui/core/macro';
import type { ConfusedPair } from '@hurrow/core/confusion';
import { percent } from './useNames.ts';

/** A square of the matrix: the row of the tree shown, the column of the name given. */
export interface Square {
  row: number;
  column: number;
}

const STEPS: Record<string, [number, number]> = {
  ArrowUp: [-1, 0],
  ArrowDown: [1, 0],
  ArrowLeft: [0, -1],
  ArrowRight: [0, 1],
};

/**
 * Where a key moves to, staying on the matrix; nothing for a key that does not move.
 *
 * @example
 * stepped({ row: 0, column: 0 }, 'ArrowRight', 5); // { row: 0, column: 1 }
 */
export function stepped(at: Square, key: string, trees: number): Square | undefined {
  const step = STEPS[key];
  if (!step) return undefined;
  const within = (i: number) => Math.min(trees - 1, Math.max(0, i));
  return { row: within(at.row + step[0]), column: within(at.column + step[1]) };
}

/** The side of a square of the matrix, px: as large as all fit, and never too small to press or larger than needed. */
export const sideOf = (trees: number): number => Math.max(9, Math.min(18, Math.floor(540 / trees)));

/** A confusion as it is drawn: in which square, and how wide, its area by its share. */
export interface Drawn extends Square {
  width: number;
}

/** The confusions of the trees in order; what lies outside them is left out. */
export function drawnOf(
  directed: readonly ConfusedPair[],
  order: readonly string[],
  side: number,
): (Drawn & { pair: ConfusedPair })[] {
  const place = new Map(order.map((id, i) => [id, i]));
  const most = Math.max(0.01, ...directed.map(({ rate }) => rate));
  return directed.flatMap((pair) => {
    const [row, column] = [place.get(pair.truth), place.get(pair.answer)];
    if (row === undefined || column === undefined) return [];
    return { pair, row, column, width: Math.max(3, (side - 1) * Math.sqrt(pair.rate / most)) };
  });
}

/** What a square says, in words. */
export function saysAt(
  { row, column }: Square,
  order: readonly string[],
  directed: readonly ConfusedPair[],
  nameOf: (id: string) => string,
): string {
  const [truth, answer] = [order[row]!, order[column]!];
  if (row === column) return t`${nameOf(truth)}: choose a square beside the diagonal.`;
  const held = directed.find((pair) => pair.truth === truth && pair.answer === answer);
  return held
    ? t`${nameOf(truth)} called ${nameOf(answer)}: ${held.count} of ${held.asked} answers, ${percent(held.rate)}.`
    : t`${nameOf(truth)} was never called ${nameOf(answer)}.`;
}
