import { t } from '@lingui/core/macro';
import type { PathOptions } from 'leaflet';
import { FEATURE_TITLES, type FeatureFacts, type GroundFeatures, type LatLon } from '@hurrow/core/grounds';
import { COLORS } from '../app/tokens.ts';
import type { TreeLook } from './mapTrees.ts';
import { inField } from '../language/inField.ts';

const LINES: Record<FeatureFacts['kind'], () => PathOptions> = {
  path: () => ({ color: COLORS.ink2, weight: 1.6, fill: false }),
  road: () => ({ color: COLORS.line2, weight: 7, fill: false }),
  water: () => ({
    color: COLORS.rangeRare,
    weight: 2.5,
    fillColor: COLORS.sea,
    fillOpacity: 0.8,
    fill: true,
  }),
  building: () => ({ color: COLORS.ink2, weight: 1, fillColor: COLORS.line2, fillOpacity: 1 }),
  plot: () => ({
    color: COLORS.line2,
    weight: 1,
    dashArray: '2 4',
    fillColor: COLORS.chosen,
    fillOpacity: 0.8,
  }),
  hazard: () => ({ color: COLORS.rust, weight: 2, fillColor: COLORS.rustPale, fillOpacity: 1 }),
  meeting: () => ({ color: COLORS.ink, weight: 2, fillColor: COLORS.sheet, fillOpacity: 1 }),
};

/** How a feature is drawn: thin lines; steps in short strokes. */
export const lookOf = ({ kind, steps }: FeatureFacts): PathOptions => ({
  ...LINES[kind](),
  ...(steps ? { dashArray: '1 5', weight: 3 } : {}),
});

/** Trees are told apart by line and fill, and by colour as well: what may be cut is full, what may be looked at is an empty ring. */
export const TREE_LOOK: Record<TreeLook, PathOptions> = {
  cut: { color: COLORS.good, weight: 1.4, fillColor: COLORS.leaf, fillOpacity: 0.55 },
  ask: {
    color: COLORS.gold,
    weight: 1.6,
    dashArray: '4 3',
    fillColor: COLORS.goldPale,
    fillOpacity: 0.7,
  },
  look: { color: COLORS.rust, weight: 1.8, fillOpacity: 0 },
  unnamed: { color: COLORS.ink3, weight: 1.2, dashArray: '1 3', fillOpacity: 0 },
};

export const TREE_LOOK_WORDS: Record<TreeLook, string> = {
  cut: t`may be cut from`,
  ask: t`ask first`,
  look: t`look, do not cut`,
  unnamed: t`not named yet`,
};

export const nameOnMap = ({ kind, name, hazard }: FeatureFacts): string =>
  kind === 'hazard'
    ? [name, hazard && inField(hazard)].filter(Boolean).join(': ')
    : name || inField(FEATURE_TITLES[kind]);

/** South-west and north-east corner of what is to be seen: of the trees or the way, else of all that is drawn; undefined where there is nothing. */
export function boundsOf(
  places: readonly LatLon[],
  { features }: GroundFeatures,
): [[number, number], [number, number]] | undefined {
  const drawn = features.flatMap(({ geometry }) =>
    (geometry.type === 'Point'
      ? [geometry.coordinates]
      : geometry.type === 'LineString'
        ? geometry.coordinates
        : geometry.coordinates.flat()
    ).map(([longitude = 0, latitude = 0]) => ({ latitude, longitude })),
  );
  const all = places.length > 0 ? places : drawn;
  if (all.length === 0) return undefined;
  const latitudes = all.map(({ latitude }) => latitude);
  const longitudes = all.map(({ longitude }) => longitude);
  return [
    [Math.min(...latitudes), Math.min(...longitudes)],
    [Math.max(...latitudes), Math.max(...longitudes)],
  ];
}
