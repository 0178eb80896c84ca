/** One line of the table: what was measured, the median of the runs, and what the design asks for. */
export interface Row {
  what: string;
  value: string;
  wanted?: string;
}

export const median = (values: readonly number[]): number =>
  [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)]!;

export const milliseconds = (value: number): string =>
  value < 10 ? `${value.toFixed(2)} ms` : `${Math.round(value)} ms`;

/** Median time of `runs` calls after `warm` uncounted ones. */
export function timed(work: () => void, runs = 7, warm = 2): number {
  for (let i = 0; i < warm; i += 1) work();
  return median(
    Array.from({ length: runs }, () => {
      const start = performance.now();
      work();
      return performance.now() - start;
    }),
  );
}
