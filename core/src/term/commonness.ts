import { gridDisk } from 'h3-js';
import type { ProfiledTaxon } from '../evidence/index.ts';
import { cellAt, type Range, type RangeStatus } from '../range/index.ts';
import type { Place } from '../season/index.ts';

/** Cells of some 40 km around the place: what a class can meet on a day's drive. */
const AROUND = 3;
const COUNTS: Record<RangeStatus, number> = {
  native: 1,
  introduced: 0.8,
  planted: 0.4,
  rare: 0.2,
  extirpated: 0,
};
/** Outside the elevations that it grows at, a tree is met less often. */
const OFF_ITS_ELEVATION = 0.6;
/** Metres by which the elevations of a tree are stretched. */
const SLACK = 150;

/**
 * How common each species is around a place, 0–1, from its range and the elevations it grows at; by id. Species without a recorded range
 * are left out.
 *
 * @example
 * commonnessAt(list, { latitude: 47.6, longitude: -116.4, elevation: 780 }, rangeOf).get('abies-lasiocarpa'); // 0.6
 */
export function commonnessAt(
  list: readonly ProfiledTaxon[],
  place: Place,
  rangeOf: (taxonId: string) => Range | undefined,
): Map<string, number> {
  const around = gridDisk(cellAt(place.latitude, place.longitude), AROUND);
  return new Map(
    list.flatMap(({ taxon, scores }) => {
      const cells = rangeOf(taxon.id)?.cells;
      if (!cells || Object.keys(cells).length === 0) return [];
      const share =
        around.reduce((sum, cell) => sum + (cells[cell] ? COUNTS[cells[cell]] : 0), 0) / around.length;
      const band = scores.find(({ characterId }) => characterId === 'site.elevation')?.value;
      const isOff =
        band?.kind === 'range' &&
        ((band.low !== undefined && place.elevation < band.low - SLACK) ||
          (band.high !== undefined && place.elevation > band.high + SLACK));
      return [[taxon.id, share * (isOff ? OFF_ITS_ELEVATION : 1)] as const];
    }),
  );
}
