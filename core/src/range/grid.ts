import { cellToLatLng, getResolution, gridDisk, isValidCell, latLngToCell } from 'h3-js';
import { RANGE_RESOLUTION, type RangeCells, type RangeStatus } from './range.ts';

/** The cell at a place (degrees). Throws on a latitude or longitude that is not finite. */
export const cellAt = (latitude: number, longitude: number, resolution = RANGE_RESOLUTION): string =>
  latLngToCell(latitude, longitude, resolution);

/** The middle of a cell: latitude and longitude in degrees. */
export const middleOf = (cell: string): { latitude: number; longitude: number } => {
  const [latitude, longitude] = cellToLatLng(cell);
  return { latitude, longitude };
};

/** Is this text an H3 cell of the resolution that ranges use? */
export const isRangeCell = (text: string): boolean =>
  isValidCell(text) && getResolution(text) === RANGE_RESOLUTION;

/** The cells under a brush: 0 paints one cell, 1 seven, 2 nineteen. */
export const brush = (cell: string, radius: number): string[] => gridDisk(cell, radius);

/** A range with these cells set to a status, or erased with `undefined`. */
export function paint(
  cells: RangeCells,
  painted: readonly string[],
  status: RangeStatus | undefined,
): RangeCells {
  const next = new Map(Object.entries(cells));
  for (const cell of painted)
    if (status) next.set(cell, status);
    else next.delete(cell);
  return Object.fromEntries(next);
}
