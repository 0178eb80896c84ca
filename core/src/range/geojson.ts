import { cellsToMultiPolygon, polygonToCells } from 'h3-js';
import { done, refused, type Outcome } from '../outcome/index.ts';
import { cellAt } from './grid.ts';
import { RANGE_RESOLUTION, RANGE_STATUSES, type Range, type RangeCells, type RangeStatus } from './range.ts';

type Ring = [number, number][];
interface RangeFeature {
  type: 'Feature';
  properties: { scientificName: string; status: RangeStatus; note?: string };
  geometry: { type: 'MultiPolygon'; coordinates: Ring[][] };
}
export interface RangeCollection {
  type: 'FeatureCollection';
  features: RangeFeature[];
}

/** A range as GeoJSON (RFC 7946): one feature a status, its cells merged into polygons. Reading it back gives the same cells. */
export function rangeAsGeoJson(range: Range, scientificName: string): RangeCollection {
  return {
    type: 'FeatureCollection',
    features: RANGE_STATUSES.flatMap((status): RangeFeature[] => {
      const cells = Object.keys(range.cells).filter((cell) => range.cells[cell] === status);
      if (cells.length === 0) return [];
      return [
        {
          type: 'Feature',
          properties: { scientificName, status, ...(range.note ? { note: range.note } : {}) },
          geometry: { type: 'MultiPolygon', coordinates: cellsToMultiPolygon(cells, true) as Ring[][] },
        },
      ];
    }),
  };
}

export interface ReadRange {
  range: Range;
  /** Features that were passed over, and why. */
  ignored: string[];
}

interface LooseFeature {
  type?: unknown;
  properties?: Record<string, unknown> | null;
  geometry?: { type?: string; coordinates?: unknown; geometries?: unknown[] } | null;
}

/**
 * Reads a range from GeoJSON: a cell belongs to a polygon that holds its middle, or that is too small to hold any and covers
 * its middle point. Points count as the cell they lie in. The property `status` says what the feature is; native otherwise.
 */
export function readRangeGeoJson(text: string): Outcome<ReadRange> {
  let parsed: LooseFeature & { features?: LooseFeature[] };
  try {
    parsed = JSON.parse(text) as typeof parsed;
  } catch {
    return refused('The file is no GeoJSON: it could not be read as JSON. Export it again as GeoJSON.');
  }
  const features: LooseFeature[] =
    parsed?.type === 'FeatureCollection' && Array.isArray(parsed.features)
      ? parsed.features
      : parsed?.type === 'Feature'
        ? [parsed]
        : typeof parsed?.type === 'string' && 'coordinates' in parsed
          ? [{ type: 'Feature', geometry: parsed as LooseFeature['geometry'] & object }]
          : [];
  if (features.length === 0)
    return refused('The file has no GeoJSON feature. It needs polygons or points of where the taxon grows.');
  const cells: RangeCells = {};
  const ignored: string[] = [];
  let note: string | undefined;
  for (const [i, feature] of features.entries()) {
    const stated = feature.properties?.['status'];
    const status = RANGE_STATUSES.find((known) => known === stated) ?? 'native';
    if (typeof feature.properties?.['note'] === 'string') note = feature.properties['note'];
    if (stated !== undefined && stated !== status)
      ignored.push(`Feature ${i + 1}: the status “${String(stated)}” is not known; taken as native.`);
    const found = cellsOf(feature.geometry);
    if (typeof found === 'string') ignored.push(`Feature ${i + 1}: ${found}`);
    else for (const cell of found) cells[cell] = status;
  }
  if (Object.keys(cells).length === 0)
    return refused(`No cell could be taken from the file. ${ignored.join(' ')}`.trim());
  return done({ range: { cells, ...(note ? { note } : {}) }, ignored });
}

/**
 * Reads the ranges of several taxa from GeoJSON whose features name theirs in the property `scientificName`, as Hurrow writes it.
 *
 * @example
 * readNamedRanges('{"type":"FeatureCollection","features":[]}'); // { ok: false, problem: 'No feature of the file names …' }
 */
export function readNamedRanges(
  text: string,
): Outcome<{ ranges: { scientificName: string; range: Range }[]; ignored: string[] }> {
  let features: LooseFeature[];
  try {
    features = (JSON.parse(text) as { features?: LooseFeature[] }).features ?? [];
  } catch {
    return refused('The file is no GeoJSON: it could not be read as JSON. Export it again as GeoJSON.');
  }
  const byName = new Map<string, LooseFeature[]>();
  for (const feature of features) {
    const name = feature?.properties?.['scientificName'];
    if (typeof name === 'string') byName.set(name, [...(byName.get(name) ?? []), feature]);
  }
  if (byName.size === 0)
    return refused(
      'No feature of the file names its taxon in the property “scientificName”. For one taxon, open its range and take the file in there.',
    );
  const ranges: { scientificName: string; range: Range }[] = [];
  const ignored: string[] = [];
  for (const [scientificName, own] of byName) {
    const read = readRangeGeoJson(JSON.stringify({ type: 'FeatureCollection', features: own }));
    if (read.ok) ranges.push({ scientificName, range: read.value.range });
    ignored.push(
      ...(read.ok ? read.value.ignored : [read.problem]).map((why) => `${scientificName}: ${why}`),
    );
  }
  return done({ ranges, ignored });
}

function cellsOf(geometry: LooseFeature['geometry']): string[] | string {
  if (!geometry?.type) return 'it has no geometry.';
  try {
    switch (geometry.type) {
      case 'Polygon':
        return ofPolygon(geometry.coordinates as Ring[]);
      case 'MultiPolygon':
        return (geometry.coordinates as Ring[][]).flatMap(ofPolygon);
      case 'Point':
        return [ofPoint(geometry.coordinates as number[])];
      case 'MultiPoint':
        return (geometry.coordinates as number[][]).map(ofPoint);
      default:
        return `${geometry.type} is not read; use polygons or points.`;
    }
  } catch {
    return 'its coordinates could not be read; they must be longitude, latitude in degrees.';
  }
}

function ofPolygon(rings: Ring[]): string[] {
  for (const [longitude, latitude] of rings.flat()) ofPoint([longitude, latitude]);
  const cells = polygonToCells(rings, RANGE_RESOLUTION, true);
  if (cells.length > 0) return cells;
  const outline = rings[0]!;
  const mean = (axis: 0 | 1) => outline.reduce((sum, point) => sum + point[axis], 0) / outline.length;
  return [cellAt(mean(1), mean(0))];
}

function ofPoint([longitude, latitude]: number[]): string {
  const fits =
    typeof longitude === 'number' &&
    typeof latitude === 'number' &&
    Math.abs(latitude) <= 90 &&
    Math.abs(longitude) <= 180;
  if (!fits) throw new RangeError('not longitude and latitude');
  return cellAt(latitude, longitude);
}
