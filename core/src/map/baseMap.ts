import { geoAzimuthalEqualArea, geoContains, geoGraticule10, geoPath, type GeoProjection } from 'd3-geo';
import { cellToBoundary } from 'h3-js';
import type { Geometry } from 'geojson';
import type { Atlas } from './atlas.ts';

export interface MapView {
  latitude: number;
  longitude: number;
  /** Pixels per radian. */
  scale: number;
  width: number;
  height: number;
}

/** An equal-area projection about the middle of the view: cells keep their size wherever one looks. */
export const projectionOf = ({ latitude, longitude, scale, width, height }: MapView): GeoProjection =>
  geoAzimuthalEqualArea()
    .rotate([-longitude, -latitude])
    .scale(scale)
    .translate([width / 2, height / 2])
    .clipAngle(80)
    .clipExtent([
      [-20, -20],
      [width + 20, height + 20],
    ])
    .precision(0.5);

/** County lines are drawn from this scale up, in pixels per radian. */
const COUNTIES_FROM = 2600;

/** The lines of the base map as SVG paths; without an atlas, the graticule alone. */
export function baseMap(view: MapView, atlas: Atlas | undefined) {
  const path = geoPath(projectionOf(view)).digits(1);
  return {
    graticule: path(geoGraticule10()) ?? '',
    land: (atlas && path(atlas.land)) ?? '',
    borders: (atlas && path(atlas.borders)) ?? '',
    states: (atlas && path(atlas.stateLines)) ?? '',
    counties: (atlas && view.scale >= COUNTIES_FROM && path(atlas.countyLines)) || '',
  };
}

/** The cells of a range as one shape. */
export const outline = (cells: readonly string[]) => ({
  type: 'MultiPolygon' as const,
  // d3 takes rings clockwise, the other way round from RFC 7946.
  coordinates: cells.map((cell) => [[...cellToBoundary(cell, true)].reverse()]),
});

/** State or country that a place lies in; undefined at sea. */
export function placeName(atlas: Atlas, longitude: number, latitude: number): string | undefined {
  const inside = ({ geometry }: { geometry: Geometry }) =>
    couldHold(geometry, longitude, latitude) && geoContains(geometry, [longitude, latitude]);
  return (atlas.states.features.find(inside) ?? atlas.countries.features.find(inside))?.properties.name;
}

/** A degree is more than a border between two points of it bows out. */
const BOW = 1;
const frames = new WeakMap<Geometry, [west: number, south: number, east: number, north: number]>();

/** Whether a place lies within the frame of a state or country: of a hundred, one or two are left to be looked at closely. */
function couldHold(geometry: Geometry, longitude: number, latitude: number): boolean {
  let frame = frames.get(geometry);
  if (!frame) {
    frame = [180, 90, -180, -90];
    const take = (coordinates: unknown): void => {
      const [first, second] = coordinates as unknown[];
      if (typeof first !== 'number' || typeof second !== 'number') {
        (coordinates as unknown[]).forEach(take);
        return;
      }
      frame![0] = Math.min(frame![0], first);
      frame![1] = Math.min(frame![1], second);
      frame![2] = Math.max(frame![2], first);
      frame![3] = Math.max(frame![3], second);
    };
    if ('coordinates' in geometry) take(geometry.coordinates);
    frames.set(geometry, frame);
  }
  const [west, south, east, north] = frame;
  // What reaches over the date line, or round a pole, has no frame of use.
  if (east - west > 180) return true;
  return (
    longitude >= west - BOW && longitude <= east + BOW && latitude >= south - BOW && latitude <= north + BOW
  );
}
