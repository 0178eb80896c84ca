import type { Sentence } from './sentence.ts';

/** One shot of a range-finder. */
export interface Shot {
  /** Straight distance, metres. */
  distance: number;
  /** Degrees above the level; below it negative. */
  angle: number;
  /** Degrees from north, clockwise; undefined where it has no compass. */
  bearing: number | undefined;
}

const FURTHEST = 2000;

/**
 * What an XDR sentence says of a shot: a linear displacement in metres and the angle of the line of sight. It is the standard’s own
 * sentence for transducers, so that any instrument that speaks it can take the place of the simulated one. Undefined where either is
 * missing or cannot be.
 *
 * @example
 * shotOf({ talker: 'YX', kind: 'XDR', fields: ['D', '21.4', 'M', 'SLOPE', 'A', '38.2', 'D', 'INCL'] }); // { distance: 21.4, angle: 38.2, … }
 */
export function shotOf({ kind, fields }: Sentence): Shot | undefined {
  if (kind !== 'XDR') return undefined;
  const said = new Map<string, number>();
  for (let i = 0; i + 3 < fields.length; i += 4) {
    const [type, value = '', unit, name = ''] = fields.slice(i, i + 4);
    if (!/^-?\d+(\.\d+)?$/.test(value)) continue;
    if ((type === 'D' && unit === 'M') || (type === 'A' && unit === 'D'))
      said.set(`${type} ${name}`, Number(value));
  }
  const distance = said.get('D SLOPE');
  const angle = said.get('A INCL');
  const bearing = said.get('A AZIM');
  if (distance === undefined || distance <= 0 || distance > FURTHEST) return undefined;
  if (angle === undefined || Math.abs(angle) > 90) return undefined;
  return {
    distance,
    angle,
    bearing: bearing !== undefined && bearing >= 0 && bearing < 360 ? bearing : undefined,
  };
}

/** A shot as the fields of an XDR sentence, for the simulated range-finder. */
export const xdrOf = ({ distance, angle, bearing }: Shot): string[] => [
  ...['D', distance.toFixed(2), 'M', 'SLOPE'],
  ...['A', angle.toFixed(1), 'D', 'INCL'],
  ...(bearing === undefined ? [] : ['A', bearing.toFixed(1), 'D', 'AZIM']),
];
