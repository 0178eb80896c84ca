import type { Said } from './against.ts';

/** A character that two entries speak of, or one of them. */
export interface Beside {
  characterId: string;
  first: Said[];
  second: Said[];
  how: 'same' | 'other' | 'only first' | 'only second';
}

/**
 * Two entries side by side, by character: those in which they differ first, then those that only one of them saw, then where they agree.
 *
 * @example
 * besideEachOther([{ characterId: 'bark.color', state: 'grey' }], [{ characterId: 'bark.color', state: 'brown' }])[0]!.how; // 'other'
 */
export function besideEachOther(first: readonly Said[], second: readonly Said[]): Beside[] {
  const ids = [...new Set([...first, ...second].map(({ characterId }) => characterId))];
  const made = ids.map((characterId): Beside => {
    const [a, b] = [first, second].map((said) => said.filter((each) => each.characterId === characterId));
    const how =
      a!.length === 0 ? 'only second' : b!.length === 0 ? 'only first' : isSame(a!, b!) ? 'same' : 'other';
    return { characterId, first: a!, second: b!, how };
  });
  const order = ['other', 'only first', 'only second', 'same'];
  return made.sort((x, y) => order.indexOf(x.how) - order.indexOf(y.how));
}

/** Numbers within a tenth of each other are the same. */
const NEAR = 0.1;

const isSame = (a: readonly Said[], b: readonly Said[]): boolean =>
  a.some((x) =>
    b.some((y) =>
      x.value !== undefined && y.value !== undefined
        ? Math.abs(x.value - y.value) <= NEAR * Math.max(x.value, y.value)
        : x.state === y.state && Boolean(x.denied) === Boolean(y.denied),
    ),
  );
