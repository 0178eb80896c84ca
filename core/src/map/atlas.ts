import type { FeatureCollection, Geometry, MultiLineString } from 'geojson';
import { feature, mesh } from 'topojson-client';
import type { GeometryCollection, Topology } from 'topojson-specification';

type Named = GeometryCollection<{ name: string }>;
type Places = FeatureCollection<Geometry, { name: string }>;

/** Land, countries and states with their lines, in degrees. */
export interface Atlas {
  land: FeatureCollection;
  countries: Places;
  states: Places;
  borders: MultiLineString;
  stateLines: MultiLineString;
  countyLines: MultiLineString;
}

/** What the files of the atlas hold, ready to be drawn and asked; each layer is made when it is first asked for: the lines of three thousand counties take a while. */
export function atlasOf(
  world: Topology<{ countries: Named; land: Named }>,
  us: Topology<{ counties: Named; states: Named }>,
): Atlas {
  const land = once(() => feature(world, world.objects.land) as FeatureCollection);
  const countries = once(() => feature(world, world.objects.countries));
  const states = once(() => feature(us, us.objects.states));
  const borders = once(() => mesh(world, world.objects.countries, (a, b) => a !== b));
  const stateLines = once(() => mesh(us, us.objects.states, (a, b) => a !== b));
  const countyLines = once(() => mesh(us, us.objects.counties, (a, b) => a !== b));
  return {
    get land() {
      return land();
    },
    get countries() {
      return countries();
    },
    get states() {
      return states();
    },
    get borders() {
      return borders();
    },
    get stateLines() {
      return stateLines();
    },
    get countyLines() {
      return countyLines();
    },
  };
}

function once<T>(make: () => T): () => T {
  let made: { value: T } | undefined;
  return () => (made ??= { value: make() }).value;
}
