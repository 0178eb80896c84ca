import { t } from '@lingui/core/macro';
import { degreesInWords, parseDegrees } from '@hurrow/core/range';

/** A place as it is typed; what is written stays, readable or not. */
export interface WrittenPlace {
  latitude: string;
  longitude: string;
  elevation: string;
}

/** The numbers of a written place, or what is wrong with it. */
export function readPlace(
  written: WrittenPlace,
): { latitude: number; longitude: number; elevation: number } | { problem: string } {
  const latitude = parseDegrees(written.latitude, 'latitude');
  if (!latitude.ok) return { problem: latitude.problem };
  const longitude = parseDegrees(written.longitude, 'longitude');
  if (!longitude.ok) return { problem: longitude.problem };
  const elevation = Number(written.elevation.trim().replace(/\s*m$/i, '').replace('−', '-'));
  if (!written.elevation.trim() || !Number.isFinite(elevation) || elevation < -450 || elevation > 6000)
    return { problem: t`Write the elevation in meters, such as 780.` };
  return { latitude: latitude.value, longitude: longitude.value, elevation };
}

/** A place with its numbers as one would write them. */
export const writtenPlace = (place: {
  latitude: number;
  longitude: number;
  elevation: number;
}): WrittenPlace => ({
  latitude: degreesInWords(place.latitude, 'latitude'),
  longitude: degreesInWords(place.longitude, 'longitude'),
  elevation: String(place.elevation),
});

/** A place put on a map, in the place of a written one. The elevation stays as it was written: a map does not tell it. */
export const putOnMap = (
  written: WrittenPlace,
  place: { latitude: number; longitude: number },
): WrittenPlace => ({
  ...written,
  latitude: degreesInWords(place.latitude, 'latitude'),
  longitude: degreesInWords(place.longitude, 'longitude'),
});

/** Metres to which a receiver must know its height for it to be taken. */
const HEIGHT_KNOWN = 60;

/**
 * Where a receiver says that one stands, in the place of a written one: to a hundredth of a degree, a kilometer, and its elevation to ten meters
 * where it knows that well enough.
 */
export function whereOneStands(
  written: WrittenPlace,
  {
    latitude,
    longitude,
    altitude,
    altitudeAccuracy,
  }: Pick<GeolocationCoordinates, 'latitude' | 'longitude' | 'altitude' | 'altitudeAccuracy'>,
): WrittenPlace {
  const round = (degrees: number) => Math.round(degrees * 100) / 100;
  const isHeightKnown = altitude !== null && altitudeAccuracy !== null && altitudeAccuracy <= HEIGHT_KNOWN;
  return {
    ...putOnMap(written, { latitude: round(latitude), longitude: round(longitude) }),
    elevation: isHeightKnown ? String(Math.round(altitude / 10) * 10) : written.elevation,
  };
}

/** What is said after a place was changed but not its elevation; nothing where that was changed too, or none was written. */
export const elevationDoubt = (before: WrittenPlace, after: WrittenPlace): string | undefined =>
  before.elevation.trim() !== '' &&
  before.elevation === after.elevation &&
  (before.latitude !== after.latitude || before.longitude !== after.longitude)
    ? t`The elevation, ${before.elevation} m, is still that of the place before: 122 m up shift spring by four days.`
    : undefined;
