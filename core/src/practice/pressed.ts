import type { Spots } from './question.ts';

/** A press counts for a place within so many pixels of the picture: about the tip of a finger. */
const REACH = 52;

/**
 * What was pressed on one of two pictures: right where a place in which they differ is in reach, else the nearest place; undefined where nothing is.
 *
 * @param picture 0 for the first, 1 for the second
 * @param x of the press, in the pixels of the picture, as `y`
 * @example
 * pressed(question, 0, 90, 40); // { characterId: 'leaf.teeth', right: true }
 */
export function pressed(
  { spots, right }: Pick<Spots, 'spots' | 'right'>,
  picture: 0 | 1,
  x: number,
  y: number,
): { characterId: string; right: boolean } | undefined {
  const near = spots
    .map(({ characterId, at }) => ({
      characterId,
      right: right.includes(characterId),
      far: Math.hypot(at[picture][0] - x, at[picture][1] - y),
    }))
    .filter(({ far }) => far <= REACH)
    .sort((a, b) => Number(b.right) - Number(a.right) || a.far - b.far)[0];
  return near && { characterId: near.characterId, right: near.right };
}
