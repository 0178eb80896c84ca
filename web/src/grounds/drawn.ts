import type { FeatureFacts, FeatureKind, GroundFeature, LatLon } from '@hurrow/core/grounds';

/** What is being drawn on the map. */
export interface Drawing {
  facts: FeatureFacts;
  points: LatLon[];
}

const SHAPE: Record<FeatureKind, 'Point' | 'LineString' | 'Polygon'> = {
  path: 'LineString',
  road: 'LineString',
  water: 'LineString',
  building: 'Polygon',
  plot: 'Polygon',
  hazard: 'Point',
  meeting: 'Point',
};
const LEAST = { Point: 1, LineString: 2, Polygon: 3 };
/** Six decimals of a degree are a hand's breadth. */
const six = (degrees: number): number => Number(degrees.toFixed(6));

/** Points enough for what it is: two of a path, three of a building, one of a hazard that is named. */
export const enoughPoints = ({ facts, points }: Drawing): boolean =>
  points.length >= LEAST[SHAPE[facts.kind]] && (facts.kind !== 'hazard' || facts.hazard !== undefined);

/** What was drawn as a feature of the map: areas are closed, of a point the last press counts. */
export function asFeature({ facts, points }: Drawing): GroundFeature {
  const at = points.map(({ latitude, longitude }) => [six(longitude), six(latitude)]);
  const shape = SHAPE[facts.kind];
  const { kind, name, steps, hazard } = facts;
  return {
    type: 'Feature',
    properties: {
      kind,
      name: name.trim(),
      ...(kind === 'path' && steps ? { steps } : {}),
      ...(kind === 'hazard' && hazard ? { hazard } : {}),
    },
    geometry:
      shape === 'Point'
        ? { type: 'Point', coordinates: at.at(-1)! }
        : shape === 'LineString'
          ? { type: 'LineString', coordinates: at }
          : { type: 'Polygon', coordinates: [[...at, at[0]!]] },
  };
}
