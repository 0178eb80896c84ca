import { geoDistance } from 'd3-geo';

/** A place on the ground, degrees north and east. */
export interface LatLon {
  latitude: number;
  longitude: number;
}

const EARTH_RADIUS = 6_371_009;
const RADIAN = Math.PI / 180;

/** Great-circle distance in metres, on the mean radius: a minute of latitude is 1,853 m. */
export const metresBetween = (a: LatLon, b: LatLon): number =>
  EARTH_RADIUS * geoDistance([a.longitude, a.latitude], [b.longitude, b.latitude]);

/** A place in metres on a plane about `origin`, x to the east and y to the north: good to a thousandth within some kilometres. */
export const onPlane = (place: LatLon, origin: LatLon): { x: number; y: number } => ({
  x: (place.longitude - origin.longitude) * RADIAN * EARTH_RADIUS * Math.cos(origin.latitude * RADIAN),
  y: (place.latitude - origin.latitude) * RADIAN * EARTH_RADIUS,
});

/** The place of a point on the plane about `origin`: the way back of `onPlane`. */
export const fromPlane = ({ x, y }: { x: number; y: number }, origin: LatLon): LatLon => ({
  latitude: origin.latitude + y / RADIAN / EARTH_RADIUS,
  longitude: origin.longitude + x / RADIAN / EARTH_RADIUS / Math.cos(origin.latitude * RADIAN),
});
