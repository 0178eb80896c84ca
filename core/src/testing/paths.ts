const tenths = (n: number): number => Math.round(n * 10) / 10;

/**
 * The points that a drawn path runs through, absolute, as its data says them, in tenths: `M` and `l` with their pairs.
 *
 * @example
 * pointsOfPath('M10 20l-2.5.5 3-4z'); // [[10, 20], [7.5, 20.5], [10.5, 16.5]]
 */
export function pointsOfPath(data: string): [x: number, y: number][] {
  const points: [number, number][] = [];
  for (const [, command, rest] of data.matchAll(/([Ml])([^Mlz]*)/g)) {
    const numbers = (rest!.match(/-?(?:\d+(?:\.\d*)?|\.\d+)/g) ?? []).map(Number);
    for (let i = 0; i + 1 < numbers.length; i += 2) {
      const [x, y] = [numbers[i]!, numbers[i + 1]!];
      const [fromX, fromY] = (command === 'l' && points.at(-1)) || [0, 0];
      points.push([tenths(fromX + x), tenths(fromY + y)]);
    }
  }
  return points;
}
