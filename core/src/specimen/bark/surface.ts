import type { Random } from '../../random/index.ts';
import { add, curve, ellipse, type Point } from '../geometry.ts';
import { tinted } from '../palette.ts';
import { BARK_SIZE, lens, type Mark } from './mark.ts';

/** Sheets that peel sideways: a torn edge that curls and shows the inner color. */
export function paper(mark: Mark, random: Random, base: string, inner: string): void {
  for (let i = 0; i < 9; i += 1) {
    const at: Point = [random.between(0, BARK_SIZE), (i * BARK_SIZE) / 9 + random.between(-6, 6)];
    const long = random.between(50, 120);
    const high = random.between(8, 20);
    mark(
      'barkInner',
      [
        at,
        ...curve(at, add(at, [long * 0.5, high * 1.3]), add(at, [long, high * 0.2]), 8),
        ...curve(add(at, [long, 0]), add(at, [long * 0.5, high * 0.2]), at, 8),
      ],
      true,
      inner,
    );
    mark(
      'barkPale',
      [
        at,
        ...curve(at, add(at, [long * 0.5, high * 0.5]), add(at, [long, 0]), 8),
        ...curve(add(at, [long, -2]), add(at, [long * 0.5, -4]), at, 8),
      ],
      true,
      tinted(base, 0.3),
    );
    mark('mark', curve(at, add(at, [long * 0.5, high * 1.3]), add(at, [long, high * 0.2]), 8), false);
  }
}

export function lenticels(mark: Mark, random: Random, dark: boolean): void {
  for (let r = 0; r < 17; r += 1)
    for (let k = 0; k < 5; k += 1) {
      const at: Point = [random.between(0, BARK_SIZE), (r * BARK_SIZE) / 17 + random.between(-4, 4)];
      const long = random.between(10, 34);
      mark(
        'barkDark',
        ellipse(add(at, [long / 2, 0]), long / 2, random.between(0.8, 1.6), 0, 10),
        true,
        dark ? '#4a4038' : '#c9b7a2',
      );
    }
}

export function blisters(mark: Mark, random: Random, base: string): void {
  for (let i = 0; i < 26; i += 1) {
    const at: Point = [random.between(0, BARK_SIZE), random.between(0, BARK_SIZE)];
    const [rx, ry] = [random.between(5, 11), random.between(3, 6)];
    mark('barkPale', ellipse(at, rx, ry, 0, 16), true, tinted(base, 0.1));
    mark(
      'barkDark',
      curve(add(at, [-rx * 0.9, ry * 0.6]), add(at, [0, ry * 1.7]), add(at, [rx * 0.9, ry * 0.6]), 6),
      false,
    );
    mark(
      'barkPale',
      curve(add(at, [-rx * 0.5, -ry * 0.3]), add(at, [0, -ry * 0.75]), add(at, [rx * 0.4, -ry * 0.35]), 5),
      false,
    );
  }
}

export function warts(mark: Mark, random: Random, base: string): void {
  for (let i = 0; i < 34; i += 1) {
    const at: Point = [random.between(0, BARK_SIZE), random.between(0, BARK_SIZE)];
    const high = random.between(14, 46);
    mark('barkDark', lens(add(at, [3, 2]), 9, high, 0, random), true, tinted(base, -0.4));
    mark('barkPale', lens(at, 7, high, 0, random), true, tinted(base, 0.14));
  }
}

/** A second color in soft upright flecks. */
export function mottling(mark: Mark, random: Random, fill: string): void {
  for (let i = 0; i < 70; i += 1)
    mark(
      'barkTint',
      lens(
        [random.between(0, BARK_SIZE), random.between(0, BARK_SIZE)],
        random.between(5, 15),
        random.between(18, 70),
        random.between(-0.08, 0.08),
        random,
      ),
      true,
      fill,
    );
}

export function patches(mark: Mark, random: Random, fill: string, n: number): void {
  for (let i = 0; i < n; i += 1) {
    const at: Point = [random.between(0, BARK_SIZE), random.between(0, BARK_SIZE)];
    const [rx, ry] = [random.between(16, 34), random.between(20, 52)];
    const phase = random.between(0, 6);
    mark(
      'barkPale',
      Array.from({ length: 18 }, (_, k): Point => {
        const t = (2 * Math.PI * k) / 18;
        const r = 1 + 0.22 * Math.sin(3 * t + phase) + 0.1 * Math.sin(7 * t);
        return [at[0] + rx * r * Math.cos(t), at[1] + ry * r * Math.sin(t)];
      }),
      true,
      fill,
    );
  }
}

export function fineLines(mark: Mark, random: Random): void {
  for (let i = 0; i < 26; i += 1) {
    const at: Point = [random.between(0, BARK_SIZE), random.between(0, BARK_SIZE)];
    mark(
      'veinlet',
      curve(
        at,
        add(at, [random.between(6, 16), random.between(-2, 2)]),
        add(at, [random.between(18, 34), 0]),
        4,
      ),
      false,
    );
  }
}
