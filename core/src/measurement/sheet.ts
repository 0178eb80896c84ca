import type { RangeValue } from '../score/index.ts';
import type { Character } from '../vocabulary/index.ts';

/** Statistics of own measurements of one character, in stored units. */
export interface SheetStatistics {
  n: number;
  mean: number;
  /** Sample standard deviation, n − 1 in the denominator; 0 for one value. */
  deviation: number;
  min: number;
  /** 5th and 95th percentile. */
  low: number;
  high: number;
  max: number;
  median: number;
}

/**
 * The p-quantile of a sorted sample by linear interpolation between order statistics: position (n−1)·p, the common
 * definition 7 of Hyndman & Fan (1996). Throws on an empty sample.
 */
export function quantile(sorted: readonly number[], p: number): number {
  if (sorted.length === 0) throw new Error('A quantile needs at least one value');
  const at = (sorted.length - 1) * p;
  const below = Math.floor(at);
  const next = sorted[Math.min(sorted.length - 1, below + 1)]!;
  return sorted[below]! + (at - below) * (next - sorted[below]!);
}

/** Statistics of a sheet; undefined where nothing is written. Values that are not finite are left out. */
export function sheetStatistics(values: readonly number[]): SheetStatistics | undefined {
  const sorted = values.filter(Number.isFinite).sort((a, b) => a - b);
  const n = sorted.length;
  if (n === 0) return undefined;
  const mean = sorted.reduce((sum, value) => sum + value, 0) / n;
  const squares = sorted.reduce((sum, value) => sum + (value - mean) ** 2, 0);
  return {
    n,
    mean,
    deviation: n > 1 ? Math.sqrt(squares / (n - 1)) : 0,
    min: sorted[0]!,
    low: quantile(sorted, 0.05),
    high: quantile(sorted, 0.95),
    max: sorted[n - 1]!,
    median: quantile(sorted, 0.5),
  };
}

/**
 * A sheet as a score: low–high is the 5th–95th percentile, min and max the extremes where they lie beyond, and the median
 * the typical value. Counts are rounded inward to whole numbers. `n` goes with it.
 */
export function sheetAsScore(values: readonly number[], character: Character): RangeValue | undefined {
  const statistics = sheetStatistics(values);
  if (!statistics) return undefined;
  const count = character.kind === 'count';
  const low = count ? Math.ceil(statistics.low) : neat(statistics.low);
  const high = count ? Math.max(low, Math.floor(statistics.high)) : neat(statistics.high);
  const [min, max] = [neat(statistics.min), neat(statistics.max)];
  return {
    kind: 'range',
    ...(min < low ? { min } : {}),
    low,
    high,
    ...(max > high ? { max } : {}),
    n: statistics.n,
  };
}

const neat = (value: number) => Number(value.toPrecision(6));
