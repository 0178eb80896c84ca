import type { GroundFeatures, FeatureKind } from './features.ts';
import { onPlane, type LatLon } from './metres.ts';

/** Something drawn on a printed map: points in its own units from the upper left, y down. */
export interface MapShape {
  kind: FeatureKind | 'way' | 'tree' | 'stop';
  /** SVG path; of a tree or stop the middle and radius are given instead. */
  d?: string;
  x?: number;
  y?: number;
  radius?: number;
  /** Number of a stop. */
  label?: string;
}

export interface DrawnMap {
  width: number;
  height: number;
  shapes: MapShape[];
  /** Length of the bar of the scale, in units of the map, and the metres that it stands for. */
  scale: { length: number; metres: number };
}

const MARGIN = 14;
const BARS = [10, 20, 50, 100, 200, 500, 1000, 2000, 5000];
/** A crown is drawn at its size, but never too small to see. */
const SMALLEST_CROWN = 1.6;

/**
 * A map of grounds for print: paths, water and buildings, trees as circles of their crowns, a way with its numbered stops; fitted to
 * the way where there is one, to everything otherwise.
 *
 * @param frame width and height of the paper it is to fill, in its units
 * @returns shapes from below to above
 */
export function drawMap(
  { features }: GroundFeatures,
  trees: readonly (LatLon & { spread: number | null })[],
  way: readonly LatLon[],
  stops: readonly LatLon[],
  frame: { width: number; height: number },
): DrawnMap {
  const placesOf = features.flatMap(({ geometry }) =>
    (geometry.type === 'Point'
      ? [geometry.coordinates]
      : geometry.type === 'LineString'
        ? geometry.coordinates
        : geometry.coordinates.flat()
    ).map(([longitude = 0, latitude = 0]) => ({ latitude, longitude })),
  );
  const shown = way.length > 1 ? [...way, ...stops] : [...trees, ...placesOf];
  const origin = shown[0] ?? { latitude: 0, longitude: 0 };
  const points = shown.map((place) => onPlane(place, origin));
  const ends = (of: (point: { x: number; y: number }) => number) =>
    [Math.min(...points.map(of), 0), Math.max(...points.map(of), 0)] as const;
  const [west, east] = ends(({ x }) => x);
  const [south, north] = ends(({ y }) => y);
  const scale = Math.min(
    (frame.width - 2 * MARGIN) / Math.max(east - west, 20),
    (frame.height - 2 * MARGIN) / Math.max(north - south, 20),
  );
  const at = (place: LatLon) => {
    const { x, y } = onPlane(place, origin);
    return {
      x: frame.width / 2 + scale * (x - (west + east) / 2),
      y: frame.height / 2 - scale * (y - (south + north) / 2),
    };
  };
  const lineOf = (places: readonly LatLon[], closed = false) =>
    places.map((place, i) => `${i === 0 ? 'M' : 'L'}${say(at(place))}`).join('') + (closed ? 'Z' : '');
  const ofCoordinates = (coordinates: readonly number[][]) =>
    coordinates.map(([longitude = 0, latitude = 0]) => ({ latitude, longitude }));
  const drawn = features.flatMap(({ geometry, properties: { kind } }): MapShape[] => {
    if (geometry.type === 'LineString') return [{ kind, d: lineOf(ofCoordinates(geometry.coordinates)) }];
    if (geometry.type === 'Polygon')
      return [{ kind, d: geometry.coordinates.map((ring) => lineOf(ofCoordinates(ring), true)).join('') }];
    return [{ kind, ...at(ofCoordinates([geometry.coordinates])[0]!), radius: 2.5 }];
  });
  const bar = BARS.findLast((metres) => metres * scale <= frame.width / 4) ?? BARS[0]!;
  return {
    ...frame,
    shapes: [
      ...drawn.sort((a, b) => LAYERS.indexOf(a.kind) - LAYERS.indexOf(b.kind)),
      ...trees.map((tree): MapShape => ({
        kind: 'tree',
        ...at(tree),
        radius: Math.max(SMALLEST_CROWN, (scale * (tree.spread ?? 3)) / 2),
      })),
      ...(way.length > 1 ? [{ kind: 'way' as const, d: lineOf(way) }] : []),
      ...stops.map((stop, i): MapShape => ({ kind: 'stop', ...at(stop), radius: 6, label: String(i + 1) })),
    ],
    scale: { length: bar * scale, metres: bar },
  };
}

const LAYERS: readonly MapShape['kind'][] = [
  'plot',
  'water',
  'building',
  'road',
  'path',
  'hazard',
  'meeting',
];
const say = ({ x, y }: { x: number; y: number }): string => `${x.toFixed(1)} ${y.toFixed(1)}`;
