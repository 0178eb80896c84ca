import type { Sentence } from './sentence.ts';

/** A place that a receiver gives. */
export interface Fix {
  /** Degrees north and east. */
  latitude: number;
  longitude: number;
  /** Metres above the sea; undefined where it is not said. */
  elevation: number | undefined;
  /** Expected error on the ground, metres, one standard deviation: dilution of precision times five metres. */
  error: number;
  satellites: number;
  /** Time of the day by the receiver, seconds since midnight UTC. */
  seconds: number;
}

/** Error of a plain receiver where the satellites stand well, metres. */
const PLAIN_ERROR = 5;

/** What a GGA sentence says of where it is; undefined without a fix, or where a field cannot be. */
export function fixOf({ kind, fields }: Sentence): Fix | undefined {
  if (kind !== 'GGA') return undefined;
  const [
    time = '',
    lat = '',
    north = '',
    lon = '',
    east = '',
    quality = '',
    satellites = '',
    hdop = '',
    up = '',
  ] = fields;
  const clock = /^(\d\d)(\d\d)(\d\d(?:\.\d+)?)$/.exec(time);
  const latitude = degreesOf(lat, 2, north, 'NS', 90);
  const longitude = degreesOf(lon, 3, east, 'EW', 180);
  if (!clock || latitude === undefined || longitude === undefined || !/^[1-8]$/.test(quality))
    return undefined;
  return {
    latitude,
    longitude,
    elevation: /^-?\d+(\.\d+)?$/.test(up) ? Number(up) : undefined,
    error: PLAIN_ERROR * Math.max(0.5, Number(hdop) || 2),
    satellites: Number(satellites) || 0,
    seconds: Number(clock[1]) * 3600 + Number(clock[2]) * 60 + Number(clock[3]),
  };
}

/** Degrees from degrees and minutes in one number, “4736.0000”, and a letter. */
function degreesOf(
  text: string,
  digits: number,
  side: string,
  sides: string,
  most: number,
): number | undefined {
  const found = new RegExp(String.raw`^(\d{${digits}})(\d\d(?:\.\d+)?)$`).exec(text);
  if (!found || side.length !== 1 || !sides.includes(side)) return undefined;
  const degrees = Number(found[1]) + Number(found[2]) / 60;
  if (Number(found[2]) >= 60 || degrees > most) return undefined;
  return side === sides[1] ? -degrees : degrees;
}

/** A fix as the fields of a GGA sentence, for the simulated receiver. */
export function ggaOf(
  fix: Pick<Fix, 'latitude' | 'longitude' | 'seconds'> & { elevation: number },
): string[] {
  const { latitude, longitude, elevation, seconds } = fix;
  const two = (n: number) => String(Math.floor(n)).padStart(2, '0');
  const minutes = (value: number, digits: number) => {
    const size = Math.round(Math.abs(value) * 60e4) / 1e4;
    const whole = Math.floor(size / 60);
    return `${String(whole).padStart(digits, '0')}${(size - 60 * whole).toFixed(4).padStart(7, '0')}`;
  };
  return [
    `${two(seconds / 3600)}${two((seconds % 3600) / 60)}${two(seconds % 60)}.00`,
    minutes(latitude, 2),
    latitude < 0 ? 'S' : 'N',
    minutes(longitude, 3),
    longitude < 0 ? 'W' : 'E',
    '1',
    '09',
    '0.9',
    elevation.toFixed(1),
    'M',
    '0.0',
    'M',
    '',
    '',
  ];
}
