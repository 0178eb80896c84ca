import type { FeatureCollection, Point } from 'geojson';
import { XMLBuilder, XMLParser, XMLValidator } from 'fast-xml-parser';
import type { TreeFacts } from '../grounds/index.ts';
import { done, refused, type Outcome } from '../outcome/index.ts';
import { columnKey, readTable, withPoint, writeTable, type RowProblem } from './table.ts';
import { READ_NAMES, TREE_COLUMNS, treeOf, treeRecord } from './treeRecord.ts';

type NameOf = (taxonId: string) => string;
type TaxonOf = (name: string) => string | undefined;

/** Trees as they were read of a file. */
export interface ReadTrees {
  trees: TreeFacts[];
  /** Rows, features or points that are no tree, by their number in the file. */
  problems: RowProblem[];
  remarks: string[];
  /** Columns of which nothing was read. */
  ignored: string[];
}

const MOST_TREES = 5000;

/** Trees as CSV, one a line. */
export const writeTreeTable = (trees: readonly TreeFacts[], nameOf: NameOf): string =>
  writeTable(
    TREE_COLUMNS,
    trees.map((tree) => {
      const record = treeRecord(tree, nameOf);
      // West of Greenwich a text would be taken for a formula.
      return TREE_COLUMNS.map((column) =>
        column === 'latitude' || column === 'longitude' ? Number(record[column]) : record[column],
      );
    }),
  );

/** Reads trees from CSV with a column of latitudes and one of longitudes; what other columns say is read where it is known. */
export function readTreeTable(csv: string, taxonOf: TaxonOf): Outcome<ReadTrees> {
  const table = readTable(csv, [
    ['latitude', 'lat', 'decimalLatitude', 'y'],
    ['longitude', 'lon', 'lng', 'long', 'decimalLongitude', 'x'],
  ]);
  if (!table.ok) return table;
  const { rows, columns } = table.value;
  const records = rows.map(({ line, cells }) => ({
    line,
    record: Object.fromEntries(
      Object.entries(cells).map(([key, text]) => [key, withPoint(text, table.value)]),
    ),
  }));
  return treesOf(records, columns, taxonOf);
}

/** Trees as a GeoJSON feature collection of points. */
export const writeTreeGeoJson = (trees: readonly TreeFacts[], nameOf: NameOf): FeatureCollection<Point> => ({
  type: 'FeatureCollection',
  features: trees.map((tree) => {
    const { latitude, longitude, ...properties } = treeRecord(tree, nameOf);
    return {
      type: 'Feature',
      geometry: { type: 'Point', coordinates: [Number(longitude), Number(latitude)] },
      properties,
    };
  }),
});

/** Reads trees from the points of a GeoJSON feature collection. */
export function readTreeGeoJson(text: string, taxonOf: TaxonOf): Outcome<ReadTrees> {
  let value: unknown;
  try {
    value = JSON.parse(text);
  } catch {
    return refused('The file is no JSON. Save the trees as GeoJSON, GPX or CSV.');
  }
  const { features } = (value ?? {}) as { features?: unknown };
  if (!Array.isArray(features))
    return refused('The file is no GeoJSON feature collection. Save the trees as points of one.');
  const names = new Set<string>();
  const records = features.flatMap((feature: unknown, i) => {
    const { geometry, properties } = (feature ?? {}) as {
      geometry?: { type?: string; coordinates?: unknown };
      properties?: object;
    };
    if (geometry?.type !== 'Point' || !Array.isArray(geometry.coordinates)) return [];
    const [longitude, latitude, elevation] = geometry.coordinates as unknown[];
    const said = Object.entries(properties ?? {}).filter(
      ([, each]) => typeof each === 'string' || typeof each === 'number',
    );
    said.forEach(([name]) => names.add(name));
    const record: Record<string, string> = {
      ...(elevation === undefined ? {} : { elevationm: String(elevation) }),
      ...Object.fromEntries(said.map(([name, each]) => [columnKey(name), String(each)])),
      latitude: String(latitude),
      longitude: String(longitude),
    };
    return [{ line: i + 1, record }];
  });
  if (records.length === 0)
    return refused('The file has no points. Trees are points; lines and areas belong to the map.');
  return treesOf(records, [...names], taxonOf);
}

const NAMESPACE = 'urn:hurrow:tree:1';

/** Trees as waypoints of GPX 1.1: name, height and note as any receiver shows them, the rest as an extension of our own. */
export function writeTreeGpx(trees: readonly TreeFacts[], nameOf: NameOf): string {
  const wpt = trees.map((tree) => {
    const { tag, latitude, longitude, note, elevation_m, ...rest } = treeRecord(tree, nameOf);
    return {
      '@_lat': latitude,
      '@_lon': longitude,
      ...(elevation_m ? { ele: elevation_m } : {}),
      name: tag,
      ...(note ? { desc: note } : {}),
      extensions: Object.fromEntries(
        Object.entries(rest)
          .filter(([, text]) => text)
          .map(([key, text]) => [`hurrow:${key}`, text]),
      ),
    };
  });
  return gpxOf({ wpt });
}

/** A line as a track of GPX 1.1, as a receiver leads along it. */
export const writeTrackGpx = (
  name: string,
  line: readonly { latitude: number; longitude: number }[],
  stops: readonly { latitude: number; longitude: number; name: string }[],
): string =>
  gpxOf({
    wpt: stops.map((stop) => ({
      '@_lat': stop.latitude.toFixed(7),
      '@_lon': stop.longitude.toFixed(7),
      name: stop.name,
    })),
    trk: {
      name,
      trkseg: {
        trkpt: line.map((at) => ({ '@_lat': at.latitude.toFixed(7), '@_lon': at.longitude.toFixed(7) })),
      },
    },
  });

const gpxOf = (content: object): string =>
  new XMLBuilder({ ignoreAttributes: false, format: true, suppressEmptyNode: true }).build({
    '?xml': { '@_version': '1.0', '@_encoding': 'UTF-8' },
    gpx: {
      '@_version': '1.1',
      '@_creator': 'Hurrow',
      '@_xmlns': 'http://www.topografix.com/GPX/1/1',
      '@_xmlns:hurrow': NAMESPACE,
      ...content,
    },
  });

/** Reads trees from the waypoints of GPX, ours or another’s. */
export function readTreeGpx(xml: string, taxonOf: TaxonOf): Outcome<ReadTrees> {
  const valid = XMLValidator.validate(xml);
  if (valid !== true) return refused(`The file is no XML: ${valid.err.msg} (line ${valid.err.line}).`);
  if (/<!ENTITY/i.test(xml))
    return refused('The file declares XML entities, which are not read. Save it without them.');
  const parsed = new XMLParser({
    ignoreAttributes: false,
    parseTagValue: false,
    parseAttributeValue: false,
    isArray: (name) => name === 'wpt',
  }).parse(xml) as { gpx?: { wpt?: Record<string, unknown>[] } };
  const points = parsed.gpx?.wpt ?? [];
  if (points.length === 0)
    return refused('The file has no waypoints. Trees are waypoints; tracks and routes are left out.');
  const text = (value: unknown): string =>
    typeof value === 'string' || typeof value === 'number' ? String(value) : '';
  const records = points.map((point, i) => {
    const extra = Object.entries((point['extensions'] ?? {}) as object).flatMap(([key, value]) =>
      key.startsWith('hurrow:') ? [[columnKey(key.slice('hurrow:'.length)), text(value)]] : [],
    );
    const record: Record<string, string> = {
      ...Object.fromEntries(extra),
      tag: text(point['name']),
      latitude: text(point['@_lat']),
      longitude: text(point['@_lon']),
      elevationm: text(point['ele']),
      note: text(point['desc']) || text(point['cmt']),
    };
    return { line: i + 1, record };
  });
  return treesOf(records, [], taxonOf);
}

function treesOf(
  records: readonly { line: number; record: Record<string, string> }[],
  columns: readonly string[],
  taxonOf: TaxonOf,
): Outcome<ReadTrees> {
  if (records.length > MOST_TREES)
    return refused(`The file has ${records.length} trees; ${MOST_TREES} are read at once. Split it.`);
  const read: ReadTrees = {
    trees: [],
    problems: [],
    remarks: [],
    ignored: columns.filter((column) => !READ_NAMES.has(columnKey(column))),
  };
  const tags = new Set<string>();
  for (const { line, record } of records) {
    const found = treeOf(record, taxonOf);
    if (typeof found === 'string') read.problems.push({ line, message: found });
    else if (tags.has(found.tree.tag.toLowerCase()))
      read.problems.push({
        line,
        message: `The tag ${found.tree.tag} stands in the file twice. Give each tree a tag of its own.`,
      });
    else {
      tags.add(found.tree.tag.toLowerCase());
      read.trees.push(found.tree);
      read.remarks.push(...found.remarks);
    }
  }
  return done(read);
}
