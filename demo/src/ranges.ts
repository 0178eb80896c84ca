import { readFileSync } from 'node:fs';
import { parse } from 'yaml';
import {
  paint,
  RANGE_STATUSES,
  readRangeGeoJson,
  type Range,
  type RangeCells,
  type RangeStatus,
} from '@hurrow/core/range';

interface RangesFile {
  note: string;
  /** Outlines as corners, longitude before latitude, not closed. */
  regions: Record<string, [number, number][]>;
  taxa: Record<string, Partial<Record<RangeStatus, string[]>>>;
}

/** The ranges of a file of outlines as cells, by the id of the taxon. Throws on a region that is not there. */
function rangesIn(name: string): Record<string, Range> {
  const file = parse(readFileSync(new URL(`../${name}`, import.meta.url), 'utf8')) as RangesFile;
  const regions = new Map(
    Object.entries(file.regions).map(([region, outline]) => [region, cellsOf(region, outline, name)]),
  );
  return Object.fromEntries(
    Object.entries(file.taxa).map(([id, statuses]) => {
      let cells: RangeCells = {};
      for (const status of RANGE_STATUSES)
        for (const region of statuses[status] ?? []) {
          const within = regions.get(region);
          if (!within) throw new Error(`demo/${name} has no region “${region}”`);
          cells = paint(cells, within, status);
        }
      return [id, { cells, note: file.note }];
    }),
  );
}

export const demoRanges = (): Record<string, Range> => rangesIn('ranges.yaml');
export const lowlandRanges = (): Record<string, Range> => rangesIn('starters/lowlandRanges.yaml');

function cellsOf(region: string, outline: readonly [number, number][], name: string): string[] {
  const read = readRangeGeoJson(JSON.stringify({ type: 'Polygon', coordinates: [[...outline, outline[0]]] }));
  if (!read.ok) throw new Error(`demo/${name}, ${region}: ${read.problem}`);
  return Object.keys(read.value.range.cells);
}
