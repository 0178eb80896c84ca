import { geoAzimuthalEqualArea, geoContains, geoGraticule10, geoPath, type GeoProjection } from 'd3-geo';
import { feature, mesh } from 'topojson-client';
import type { FeatureCollection, Geometry, MultiLineString } from 'geojson';
import type { GeometryCollection, Topology } from 'topojson-specification';
import world from 'world-atlas/countries-50m.json';
import counties from 'us-atlas/counties-10m.json';

type Named = GeometryCollection<{ name: string }>;
const WORLD = world as unknown as Topology<{ countries: Named; land: Named }>;
const US = counties as unknown as Topology<{ counties: Named; states: Named; nation: Named }>;

const LAND = feature(WORLD, WORLD.objects.land) as FeatureCollection<Geometry>;
const COUNTRIES = feature(WORLD, WORLD.objects.countries) as FeatureCollection<Geometry, { name: string }>;
const STATES = feature(US, US.objects.states) as FeatureCollection<Geometry, { name: string }>;
const BORDERS: MultiLineString = mesh(WORLD, WORLD.objects.countries, (a, b) => a !== b);
const STATE_LINES: MultiLineString = mesh(US, US.objects.states, (a, b) => a !== b);
const COUNTY_LINES: MultiLineString = mesh(US, US.objects.counties, (a, b) => a !== b);

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

/** The lines of the base map as SVG paths. */
export function baseMap(view: MapView) {
  const path = geoPath(projectionOf(view)).digits(1);
  return {
    graticule: path(geoGraticule10()) ?? '',
    land: path(LAND) ?? '',
    borders: path(BORDERS) ?? '',
    states: path(STATE_LINES) ?? '',
    counties: view.scale >= COUNTIES_FROM ? (path(COUNTY_LINES) ?? '') : '',
  };
}

/** State or country that a place lies in; undefined at sea. */
export function placeName(longitude: number, latitude: number): string | undefined {
  const inside = (entry: { geometry: Geometry }) => geoContains(entry.geometry, [longitude, latitude]);
  return (STATES.features.find(inside) ?? COUNTRIES.features.find(inside))?.properties.name;
}
