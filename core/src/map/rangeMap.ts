import { geoPath } from 'd3-geo';
import { middleOf, RANGE_STATUSES, type Range, type RangeCells, type RangeStatus } from '../range/index.ts';
import type { Atlas } from './atlas.ts';
import { baseMap, outline, projectionOf, type MapView } from './baseMap.ts';

/** The middle and scale at which a range fills the map; the course's site where there is none. */
export function viewOf(
  cells: RangeCells,
  site: { latitude: number; longitude: number } | undefined,
): MapView {
  const frame = { width: 720, height: 500 };
  const middles = Object.keys(cells).map(middleOf);
  if (middles.length === 0)
    return { ...frame, latitude: site?.latitude ?? 45, longitude: site?.longitude ?? -100, scale: 1600 };
  const ends = (values: number[]) => [Math.min(...values), Math.max(...values)] as const;
  const [south, north] = ends(middles.map((middle) => middle.latitude));
  const [west, east] = ends(middles.map((middle) => middle.longitude));
  const tall = ((north - south + 2) * Math.PI) / 180;
  const latitude = (south + north) / 2;
  const wide = (((east - west + 3) * Math.PI) / 180) * Math.cos((latitude * Math.PI) / 180);
  const scale = Math.min(5000, (frame.height * 0.9) / tall, (frame.width * 0.9) / wide);
  return { ...frame, latitude, longitude: (west + east) / 2, scale: Math.max(400, scale) };
}

/** One layer of a map as an SVG path: land, the cells of a status, or lines. */
export interface MapLayer {
  kind: 'land' | 'range' | 'graticule' | 'line';
  d: string;
  status?: RangeStatus;
}

/**
 * A range as it is looked at: the layers of its map from below, and where the course is on it, in pixels of the view.
 *
 * @param atlas land and borders; without one there are cells and graticule alone
 * @example
 * rangeLayers(range, { latitude: 47.6, longitude: -116.4 }, atlas).layers[0]!.kind; // 'land'
 */
export function rangeLayers(
  { cells }: Pick<Range, 'cells'>,
  site: { latitude: number; longitude: number },
  atlas: Atlas | undefined,
): { view: MapView; layers: MapLayer[]; here: [number, number] | undefined } {
  const view = viewOf(cells, site);
  const projection = projectionOf(view);
  const path = geoPath(projection).digits(1);
  const base = baseMap(view, atlas);
  const painted = RANGE_STATUSES.flatMap((status): MapLayer[] => {
    const held = Object.keys(cells).filter((cell) => cells[cell] === status);
    return held.length > 0 ? [{ kind: 'range', status, d: path(outline(held)) ?? '' }] : [];
  });
  const layers: MapLayer[] = [
    { kind: 'land', d: base.land },
    ...painted,
    { kind: 'graticule', d: base.graticule },
    ...[base.borders, base.states, base.counties].map((d): MapLayer => ({ kind: 'line', d })),
  ];
  const here = projection([site.longitude, site.latitude]) ?? undefined;
  return { view, layers: layers.filter(({ d }) => d !== ''), here };
}

/** The colors of a map. */
export interface MapLook {
  sea: string;
  land: string;
  line: string;
  ink: string;
  here: string;
  status: Record<RangeStatus, string>;
}

const STATUS_OPACITY = 0.75;

/** A range as a picture of its own, for slides and paper: `words` are its title and what stands beside the course’s site. */
export function rangeSvg(
  range: Pick<Range, 'cells'>,
  site: { latitude: number; longitude: number },
  atlas: Atlas | undefined,
  look: MapLook,
  words: { title: string; here: string },
): string {
  const { view, layers, here } = rangeLayers(range, site, atlas);
  const { width, height } = view;
  const paths = layers.map(({ kind, d, status }) =>
    kind === 'land' || kind === 'range'
      ? `<path d="${d}" fill="${status ? look.status[status] : look.land}"${status ? ` fill-opacity="${STATUS_OPACITY}"` : ''}/>`
      : `<path d="${d}" fill="none" stroke="${look.line}" stroke-width="${kind === 'graticule' ? 0.5 : 0.9}"/>`,
  );
  const mark = here
    ? `<circle cx="${Math.round(here[0])}" cy="${Math.round(here[1])}" r="6" fill="${look.here}" stroke="${look.sea}" stroke-width="2"/>` +
      `<text x="${Math.round(here[0]) + 11}" y="${Math.round(here[1]) + 5}" font-family="sans-serif" font-size="17" fill="${look.ink}">${escaped(words.here)}</text>`
    : '';
  return (
    `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${width} ${height}" width="${width}" height="${height}" role="img"><title>${escaped(words.title)}</title>` +
    `<rect width="${width}" height="${height}" fill="${look.sea}"/>${paths.join('')}${mark}</svg>`
  );
}

const escaped = (text: string): string =>
  text.replace(/&/g, '&amp;').replace(/</g, '&lt;').replace(/>/g, '&gt;');
