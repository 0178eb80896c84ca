import { uniformFloat64 } from 'pure-rand/distribution/uniformFloat64';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';

export { normalCdf } from './normal.ts';

/** A stream of random numbers that depends on its seed alone. */
export interface Random {
  /** Uniform in [0, 1). */
  uniform(): number;
  /** Uniform in [from, to). */
  between(from: number, to: number): number;
  /** Standard normal (Box & Muller 1958). */
  normal(): number;
  /** An index drawn in proportion to the weights. */
  weighted(weights: readonly number[]): number;
  pick<T>(list: readonly T[]): T;
}

export function randomFrom(seed: number): Random {
  const generator = xoroshiro128plus(seed | 0);
  const uniform = () => uniformFloat64(generator);
  const normal = () => Math.sqrt(-2 * Math.log(1 - uniform())) * Math.cos(2 * Math.PI * uniform());
  const weighted = (weights: readonly number[]) => {
    let left = uniform() * weights.reduce((sum, w) => sum + w, 0);
    for (let i = 0; i < weights.length; i += 1) {
      left -= weights[i]!;
      if (left < 0) return i;
    }
    return weights.length - 1;
  };
  return {
    uniform,
    normal,
    weighted,
    between: (from, to) => from + (to - from) * uniform(),
    pick: (list) => list[Math.min(list.length - 1, Math.floor(uniform() * list.length))]!,
  };
}

/** A seed from a text, for streams that must not depend on one another (FNV-1a, 32 bits). */
export function seedOf(...parts: (string | number)[]): number {
  let hash = 0x811c9dc5;
  for (const char of parts.join('|')) {
    hash ^= char.codePointAt(0)!;
    hash = Math.imul(hash, 0x01000193);
  }
  return hash | 0;
}
