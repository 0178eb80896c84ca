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
    return { problem: 'Write the elevation in meters, such as 780.' };
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
