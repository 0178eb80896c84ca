import { areaOf, type GrowsHere } from './facts.ts';
import { middleOf } from './grid.ts';
import { RANGE_STATUSES, type Range } from './range.ts';

/** A range in words, for those who do not see the map: what status, how much land, between which degrees. */
export function rangeInWords(range: Range): string {
  const parts = RANGE_STATUSES.flatMap((status) => {
    const cells = Object.keys(range.cells).filter((cell) => range.cells[cell] === status);
    if (cells.length === 0) return [];
    const middles = cells.map(middleOf);
    const north = middles.map((middle) => middle.latitude);
    const east = middles.map((middle) => middle.longitude);
    const span = (values: number[], plus: string, minus: string) => {
      const [from, to] = [Math.min(...values), Math.max(...values)].map(Math.round) as [number, number];
      const side = (n: number) => `${Math.abs(n)}° ${n < 0 ? minus : plus}`;
      return from === to ? `at ${side(from)}` : `from ${side(from)} to ${side(to)}`;
    };
    const area = Number(areaOf(cells).toPrecision(2)).toLocaleString('en-US');
    return [
      `${status} in ${cells.length} ${cells.length === 1 ? 'cell' : 'cells'}, about ${area} km², ${span(north, 'N', 'S')}, ${span(east, 'E', 'W')}`,
    ];
  });
  if (parts.length === 0) return 'No range is recorded.';
  return `${capital(parts.join('; '))}.`;
}

/** The answer to "does it grow here?" as a sentence. */
export function growsHereInWords(found: GrowsHere, name: string): string {
  const km = found.distance === undefined ? '' : `${Math.round(found.distance).toLocaleString('en-US')} km`;
  const height =
    found.elevation === 'below'
      ? ' The place lies below the elevations recorded for it.'
      : found.elevation === 'above'
        ? ' The place lies above the elevations recorded for it.'
        : '';
  switch (found.answer) {
    case 'unknown':
      return `No range of ${name} is recorded, so this cannot be said.${height}`;
    case 'yes':
      return `Yes: ${name} is ${found.status} here.${height}`;
    case 'nearby':
      return found.status && found.status !== 'extirpated'
        ? `The range of ${name} holds this place (${found.status}).${height}`
        : `Nearly: the range of ${name} begins about ${km} away.${height}`;
    case 'no':
      return found.status === 'extirpated'
        ? `No longer: ${name} has died out here.${height}`
        : km
          ? `Not recorded: the nearest cell of ${name} is about ${km} away.${height}`
          : `Not recorded: ${name} is known only from where it has died out.${height}`;
  }
}

const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1);
