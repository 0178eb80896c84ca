import { DAYS, wrapDay, type Arc } from './arc.ts';

/** A place: degrees north and east, metres above the sea. */
export interface Place {
  latitude: number;
  longitude: number;
  elevation: number;
}

/**
 * Hopkins' bioclimatic law (A. D. Hopkins 1918, Monthly Weather Review Supplement 9): spring comes 4 days later for
 * each degree of latitude northward, each 5° of longitude eastward and each 122 m (400 ft) upward.
 * @returns days by which spring at `site` is later than at `reference` (negative: earlier).
 */
export function hopkinsDelay(reference: Place, site: Place): number {
  const north = site.latitude - reference.latitude;
  const east = (site.longitude - reference.longitude) / 5;
  const up = (site.elevation - reference.elevation) / 122;
  return 4 * (north + east + up);
}

const MIDSUMMER = 196; // 15 July: before it dates are of spring, after it of autumn

/** Shifts an arc by the delay: dates of spring later, dates of autumn earlier. A year-round arc stays. */
export function shiftArc(arc: Arc, delay: number): Arc {
  if (arc.from === 1 && arc.to >= DAYS) return arc;
  const shift = (day: number) => (day < MIDSUMMER ? day + delay : day - delay);
  const from = Math.round(shift(arc.from));
  const to = Math.round(shift(arc.to));
  if (arc.from <= arc.to && from > to) {
    const middle = Math.round((from + to) / 2);
    return { from: wrapDay(middle), to: wrapDay(middle) };
  }
  return { from: wrapDay(from), to: wrapDay(to) };
}
