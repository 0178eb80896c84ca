import type { Feature, FeatureCollection, LineString, Point, Polygon } from 'geojson';
import { done, refused, type Outcome } from '../outcome/index.ts';
import { HAZARDS, type Hazard } from './tree.ts';

/** What is drawn on a map of grounds beside its trees. */
export const FEATURE_KINDS = ['path', 'road', 'water', 'building', 'plot', 'hazard', 'meeting'] as const;
export type FeatureKind = (typeof FEATURE_KINDS)[number];

export const FEATURE_TITLES: Record<FeatureKind, string> = {
  path: 'path',
  road: 'road',
  water: 'water',
  building: 'building',
  plot: 'plot',
  hazard: 'hazard',
  meeting: 'meeting point',
};

export interface FeatureFacts {
  kind: FeatureKind;
  name: string;
  /** Of a path: it has steps, or is too rough for wheels. */
  steps?: boolean;
  /** Of a hazard. */
  hazard?: Hazard;
}

export type GroundFeature = Feature<LineString | Polygon | Point, FeatureFacts>;
export type GroundFeatures = FeatureCollection<LineString | Polygon | Point, FeatureFacts>;

export const NO_FEATURES: GroundFeatures = { type: 'FeatureCollection', features: [] };

const MOST_FEATURES = 2000;
const MOST_POINTS = 20_000;

/** What GeoJSON of others calls what we call otherwise, by words that are met in its properties. */
const OTHER_WORDS: readonly [RegExp, FeatureKind][] = [
  [/\b(path|footway|track|trail|steps|walk|bridleway|cycleway|pedestrian)\b/i, 'path'],
  [/\b(road|street|residential|primary|secondary|tertiary|service|highway)\b/i, 'road'],
  [/\b(water|stream|river|creek|pond|lake|canal|ditch|wetland)\b/i, 'water'],
  [/\b(building|house|shed|barn|hall|school)\b/i, 'building'],
  [/\b(hazard|danger)\b/i, 'hazard'],
];

/**
 * Reads the paths, water, buildings and plots of grounds from GeoJSON, our own or another’s: kinds are known by their properties, lines
 * of which nothing is said are taken for paths, areas for plots. Multi-geometries fall into their parts; what is no place is left out.
 *
 * @param value parsed JSON
 * @returns the features, with a sentence for what was left out or taken for something, or what is wrong with the whole
 */
export function readFeatures(value: unknown): Outcome<{ features: GroundFeatures; remarks: string[] }> {
  const collection = value as Partial<FeatureCollection> | null;
  const given: unknown[] =
    collection?.type === 'FeatureCollection' && Array.isArray(collection.features)
      ? collection.features
      : (value as Partial<Feature> | null)?.type === 'Feature'
        ? [value]
        : [];
  if (given.length === 0)
    return refused(
      'This is no GeoJSON with features. Save the lines and areas as a GeoJSON feature collection.',
    );
  const features = given.flatMap(partsOf);
  const kept = features.filter(({ geometry }) => pointsOf(geometry).every(isPlace));
  if (kept.length === 0)
    return refused(
      'No line, area or point in it has degrees of longitude and latitude. Save it in WGS 84, longitude first.',
    );
  const points = kept.reduce((sum, { geometry }) => sum + pointsOf(geometry).length, 0);
  if (kept.length > MOST_FEATURES || points > MOST_POINTS)
    return refused(
      `It has ${kept.length} features of ${points} points; a map of grounds has room for ${MOST_FEATURES} and ${MOST_POINTS}. Cut it to the grounds, or simplify its lines.`,
    );
  const read = kept.map(asOurs);
  const left = given.length - new Set(kept.map(({ from }) => from)).size;
  const guessed = read.filter(({ guessed: isGuess }) => isGuess).length;
  const remarks = [
    ...(left > 0
      ? [`${left} of ${given.length} features have no place on the ground, and were left out.`]
      : []),
    ...(guessed > 0
      ? [`${guessed} do not say what they are: lines were taken for paths, areas for plots.`]
      : []),
  ];
  return done({
    features: { type: 'FeatureCollection', features: read.map(({ feature }) => feature) },
    remarks,
  });
}

interface Piece {
  from: number;
  geometry: LineString | Polygon | Point;
  properties: Record<string, unknown>;
}

function partsOf(value: unknown, from: number): Piece[] {
  const { geometry, properties } = (value ?? {}) as { geometry?: unknown; properties?: unknown };
  const { type, coordinates } = (geometry ?? {}) as { type?: string; coordinates?: unknown };
  if (!type || !Array.isArray(coordinates)) return [];
  const piece = (one: string, at: unknown): Piece => ({
    from,
    geometry: { type: one, coordinates: at } as LineString,
    properties: (properties ?? {}) as Record<string, unknown>,
  });
  if (type === 'LineString' || type === 'Polygon' || type === 'Point') return [piece(type, coordinates)];
  const single = /^Multi(LineString|Polygon|Point)$/.exec(type)?.[1];
  return single ? coordinates.map((each) => piece(single, each)) : [];
}

const pointsOf = ({ type, coordinates }: Piece['geometry']): unknown[] =>
  type === 'Point'
    ? [coordinates]
    : type === 'LineString'
      ? coordinates
      : (coordinates as unknown[][]).flat();

const isPlace = (point: unknown): boolean =>
  Array.isArray(point) &&
  point.length >= 2 &&
  point.every((each) => typeof each === 'number' && Number.isFinite(each)) &&
  Math.abs(point[0] as number) <= 180 &&
  Math.abs(point[1] as number) <= 90;

function asOurs({ geometry, properties }: Piece): { feature: GroundFeature; guessed: boolean } {
  const said = properties['kind'];
  const words = Object.entries(properties)
    .filter(([, value]) => typeof value === 'string')
    .map(([key, value]) => `${key} ${String(value)}`)
    .join(' ');
  const own = FEATURE_KINDS.find((kind) => kind === said);
  const known = own ?? OTHER_WORDS.find(([pattern]) => pattern.test(words))?.[1];
  const byShape = geometry.type === 'LineString' ? 'path' : geometry.type === 'Polygon' ? 'plot' : 'meeting';
  const kind = known ?? byShape;
  const hazard = HAZARDS.find((each) => each === properties['hazard']);
  const facts: FeatureFacts = {
    kind,
    name: String(properties['name'] ?? properties['title'] ?? '').slice(0, 80),
    ...(kind === 'path' && (properties['steps'] === true || /\bsteps\b/i.test(words)) ? { steps: true } : {}),
    ...(hazard ? { hazard } : {}),
  };
  return { feature: { type: 'Feature', properties: facts, geometry }, guessed: known === undefined };
}
