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
  return whenAsked<Atlas>({
    land: () => feature(world, world.objects.land) as FeatureCollection,
    countries: () => feature(world, world.objects.countries),
    states: () => feature(us, us.objects.states),
    borders: () => mesh(world, world.objects.countries, (a, b) => a !== b),
    stateLines: () => mesh(us, us.objects.states, (a, b) => a !== b),
    countyLines: () => mesh(us, us.objects.counties, (a, b) => a !== b),
  });
}

/** What these make, each made once, when it is first asked for. */
function whenAsked<T extends object>(makers: { [K in keyof T]: () => T[K] }): T {
  const made = {} as T;
  for (const key of Object.keys(makers) as (keyof T)[])
    Object.defineProperty(made, key, {
      enumerable: true,
      configurable: true,
      get: () => {
        const value = makers[key]();
        Object.defineProperty(made, key, { enumerable: true, value });
        return value;
      },
    });
  return made;
}
