import { diameterOf } from './girth.ts';

/**
 * The characters of a profile that measurements of a tree are own measurements of, with what makes their stored value, in metres as all
 * lengths are stored. Bark and age have no measured character there.
 */
const OF_PROFILE: Readonly<Record<string, { characterId: string; stored(metres: number): number }>> = {
  girth: { characterId: 'habit.dbh', stored: diameterOf },
  height: { characterId: 'habit.height', stored: (metres) => metres },
  spread: { characterId: 'habit.crownSpread', stored: (metres) => metres },
};

/**
 * A measurement as a value of a profile; undefined where profiles have no place for its kind.
 *
 * @param kind what was measured: girth, height, spread or another
 * @param metres what it came to
 * @example
 * asOfProfile('girth', 3.1416); // { characterId: 'habit.dbh', value: 1 }
 */
export function asOfProfile(
  kind: string,
  metres: number,
): { characterId: string; value: number } | undefined {
  const of = OF_PROFILE[kind];
  return of && { characterId: of.characterId, value: Number(of.stored(metres).toFixed(4)) };
}
