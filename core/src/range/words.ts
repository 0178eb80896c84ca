import { areaOf, type GrowsHere } from './facts.ts';
import { middleOf } from './grid.ts';
import { RANGE_STATUSES, type Range, type RangeStatus } from './range.ts';

/** How a range is said. What is given stands in the sentences as it is. */
export interface RangeSaying {
  /** Cells of a status, the km² that they cover, and between which degrees: “native in 7 cells, about 12,000 km², from …”. */
  part(status: RangeStatus, cells: number, area: number, north: string, east: string): string;
  at(degrees: string): string;
  between(from: string, to: string): string;
  /** North, south, east and west behind degrees. */
  sides: { north: string; south: string; east: string; west: string };
  none: string;
}

/** The same, with how it is said whether a tree grows somewhere. */
export interface RangeWording extends RangeSaying {
  lower: string;
  higher: string;
  unknown(name: string): string;
  yes(name: string, status: RangeStatus): string;
  holds(name: string, status: RangeStatus): string;
  /** @param km to the nearest cell */
  nearly(name: string, km: number | undefined): string;
  diedOut(name: string): string;
  /** @param km to the nearest cell; undefined where it is known only from where it has died out */
  no(name: string, km: number | undefined): string;
}

const written = (n: number) => n.toLocaleString('en-US');

/** As the heart says them, and files with it. */
export const RANGE_IN_ENGLISH: RangeWording = {
  part: (status, cells, area, north, east) =>
    `${status} in ${cells} ${cells === 1 ? 'cell' : 'cells'}, about ${written(area)} km², ${north}, ${east}`,
  at: (degrees) => `at ${degrees}`,
  between: (from, to) => `from ${from} to ${to}`,
  sides: { north: 'N', south: 'S', east: 'E', west: 'W' },
  none: 'No range is recorded.',
  lower: 'The place lies below the elevations recorded for it.',
  higher: 'The place lies above the elevations recorded for it.',
  unknown: (name) => `No range of ${name} is recorded, so this cannot be said.`,
  yes: (name, status) => `Yes: ${name} is ${status} here.`,
  holds: (name, status) => `The range of ${name} holds this place (${status}).`,
  nearly: (name, km) =>
    km === undefined
      ? `Nearly: the range of ${name} begins close by.`
      : `Nearly: the range of ${name} begins about ${written(km)} km away.`,
  diedOut: (name) => `No longer: ${name} has died out here.`,
  no: (name, km) =>
    km === undefined
      ? `Not recorded: ${name} is known only from where it has died out.`
      : `Not recorded: the nearest cell of ${name} is about ${written(km)} km away.`,
};

/** A range in words, for those who do not see the map: what status, how much land, between which degrees. */
export function rangeInWords(range: Range, wording: RangeSaying = RANGE_IN_ENGLISH): string {
  const { sides } = wording;
  const parts = RANGE_STATUSES.flatMap((status) => {
    const cells = Object.keys(range.cells).filter((cell) => range.cells[cell] === status);
    if (cells.length === 0) return [];
    const middles = cells.map(middleOf);
    const span = (values: number[], plus: string, minus: string) => {
      const [from, to] = [Math.min(...values), Math.max(...values)].map(Math.round) as [number, number];
      const side = (n: number) => `${Math.abs(n)}° ${n < 0 ? minus : plus}`;
      return from === to ? wording.at(side(from)) : wording.between(side(from), side(to));
    };
    return [
      wording.part(
        status,
        cells.length,
        Number(areaOf(cells).toPrecision(2)),
        span(
          middles.map(({ latitude }) => latitude),
          sides.north,
          sides.south,
        ),
        span(
          middles.map(({ longitude }) => longitude),
          sides.east,
          sides.west,
        ),
      ),
    ];
  });
  return parts.length === 0 ? wording.none : `${capital(parts.join('; '))}.`;
}

/** The answer to "does it grow here?" as a sentence. */
export function growsHereInWords(
  found: GrowsHere,
  name: string,
  wording: RangeWording = RANGE_IN_ENGLISH,
): string {
  const { elevation } = found;
  const height = elevation && (elevation === 'below' ? wording.lower : wording.higher);
  return [answerInWords(found, name, wording), height].filter(Boolean).join(' ');
}

function answerInWords({ answer, status, distance }: GrowsHere, name: string, wording: RangeWording): string {
  const km = distance === undefined ? undefined : Math.round(distance);
  switch (answer) {
    case 'unknown':
      return wording.unknown(name);
    case 'yes':
      return wording.yes(name, status!);
    case 'nearby':
      return status && status !== 'extirpated' ? wording.holds(name, status) : wording.nearly(name, km);
    case 'no':
      return status === 'extirpated' ? wording.diedOut(name) : wording.no(name, km);
  }
}

const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1);
