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

/** The ranges of `demo/ranges.yaml` as cells, by the id of the taxon. Throws on a region that is not there. */
export function demoRanges(): Record<string, Range> {
  const file = parse(readFileSync(new URL('../ranges.yaml', import.meta.url), 'utf8')) as RangesFile;
  return Object.fromEntries(
    Object.entries(file.taxa).map(([id, statuses]) => {
      let cells: RangeCells = {};
      for (const status of RANGE_STATUSES)
        for (const region of statuses[status] ?? []) cells = paint(cells, cellsOf(region, file), status);
      return [id, { cells, note: file.note }];
    }),
  );
}

function cellsOf(region: string, file: RangesFile): string[] {
  const outline = file.regions[region];
  if (!outline) throw new Error(`demo/ranges.yaml has no region “${region}”`);
  const read = readRangeGeoJson(JSON.stringify({ type: 'Polygon', coordinates: [[...outline, outline[0]]] }));
  if (!read.ok) throw new Error(`demo/ranges.yaml, ${region}: ${read.problem}`);
  return Object.keys(read.value.range.cells);
}
