import type { ClassReport } from '@hurrow/contract/confusions';

/** One station in the plot; shares of 0 to 1. */
export interface Point {
  stationId: string;
  expected: number;
  observed: number;
}

/** What the plot shows: every station with all quizzes, and those that could be predicted without their own. */
export const pointsOf = ({
  stations,
}: Pick<ClassReport, 'stations'>): { all: Point[]; leftOut: Point[] } => ({
  all: stations.map(({ stationId, predicted, observed }) => ({ stationId, expected: predicted, observed })),
  leftOut: stations.flatMap(({ stationId, leftOut, observed }) =>
    leftOut === undefined ? [] : { stationId, expected: leftOut, observed },
  ),
});

/**
 * The two ends of a line `observed = intercept + slope × expected` within the square from 0 to 1.
 *
 * @example
 * lineWithin({ intercept: -0.1, slope: 1 }); // [{ x: 0.1, y: 0 }, { x: 1, y: 0.9 }]
 */
export function lineWithin({
  intercept,
  slope,
}: {
  intercept: number;
  slope: number;
}): [{ x: number; y: number }, { x: number; y: number }] {
  const at = (x: number) => intercept + slope * x;
  // Where the line meets floor and ceiling, if it does between the sides.
  const crossings = slope === 0 ? [] : [-intercept / slope, (1 - intercept) / slope];
  const xs = [0, ...crossings.filter((x) => x > 0 && x < 1), 1].filter(
    (x) => at(x) >= -1e-9 && at(x) <= 1 + 1e-9,
  );
  const end = (x: number) => ({ x: round(x), y: round(Math.min(1, Math.max(0, at(x)))) });
  return [end(Math.min(...xs, 1)), end(Math.max(...xs, 0))];
}

const round = (share: number): number => Number(share.toFixed(6));
