import { cellArea, getHexagonEdgeLengthAvg, gridDisk, greatCircleDistance, UNITS } from 'h3-js';
import type { Place } from '../season/index.ts';
import { cellAt, middleOf } from './grid.ts';
import { presentCells, RANGE_RESOLUTION, type RangeCells, type RangeStatus } from './range.ts';

/** Area of some cells in km². */
export const areaOf = (cells: readonly string[]): number =>
  cells.reduce((sum, cell) => sum + cellArea(cell, UNITS.km2), 0);

/** Share of the area of one range that lies inside another, 0–1; 0 for an empty range. Extirpated cells do not count. */
export function shareInside(inner: RangeCells, outer: RangeCells): number {
  const cells = presentCells(inner);
  const whole = areaOf(cells);
  const other = new Set(presentCells(outer));
  return whole === 0 ? 0 : areaOf(cells.filter((cell) => other.has(cell))) / whole;
}

/** Distance in km from a place to the nearest cell of a range, 0 inside it; undefined for an empty range. */
export function distanceTo(
  place: { latitude: number; longitude: number },
  cells: RangeCells,
): number | undefined {
  const present = presentCells(cells);
  if (present.length === 0) return undefined;
  if (present.includes(cellAt(place.latitude, place.longitude))) return 0;
  const nearest = Math.min(
    ...present.map((cell) => {
      const { latitude, longitude } = middleOf(cell);
      return greatCircleDistance([place.latitude, place.longitude], [latitude, longitude], UNITS.km);
    }),
  );
  return Math.max(0, nearest - getHexagonEdgeLengthAvg(RANGE_RESOLUTION, UNITS.km));
}

/** Elevations in metres between which a taxon grows; either end may be unknown. */
export interface ElevationBand {
  low?: number | undefined;
  high?: number | undefined;
}

export interface GrowsHere {
  answer: 'yes' | 'nearby' | 'no' | 'unknown';
  /** Status in the cell of the place, where there is one. */
  status?: RangeStatus;
  /** Distance in km to the nearest cell. */
  distance?: number;
  /** The place lies below or above the elevations at which the taxon is recorded. */
  elevation?: 'below' | 'above';
}

/** Cells around the place that still count as nearby. */
const NEARBY = 1;

/** Does a taxon grow at a place? By its range and its elevations; without either the answer is unknown. */
export function growsHere(place: Place, cells: RangeCells, band: ElevationBand): GrowsHere {
  const elevation =
    band.low !== undefined && place.elevation < band.low - 100
      ? { elevation: 'below' as const }
      : band.high !== undefined && place.elevation > band.high + 100
        ? { elevation: 'above' as const }
        : {};
  if (Object.keys(cells).length === 0) return { answer: 'unknown', ...elevation };
  const here = cellAt(place.latitude, place.longitude);
  const status = cells[here];
  const distance = distanceTo(place, cells);
  const found = {
    ...(status ? { status } : {}),
    ...(distance === undefined ? {} : { distance }),
    ...elevation,
  };
  if (status && status !== 'extirpated')
    return { answer: 'elevation' in elevation ? 'nearby' : 'yes', ...found };
  const present = new Set(presentCells(cells));
  const near = gridDisk(here, NEARBY).some((cell) => present.has(cell));
  return { answer: near ? 'nearby' : 'no', ...found };
}

/** Can two taxa be met at the place that was asked of both? Unknown where a range is not recorded. */
export function canMeet(a: GrowsHere, b: GrowsHere): 'yes' | 'no' | 'unknown' {
  if (a.answer === 'unknown' || b.answer === 'unknown') return 'unknown';
  return a.answer !== 'no' && b.answer !== 'no' ? 'yes' : 'no';
}
