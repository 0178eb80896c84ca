import type { Random } from '../../random/index.ts';
import { add, curve, type Point } from '../geometry.ts';
import { tinted } from '../palette.ts';
import type { TraitReader } from '../traits.ts';
import { BARK_SIZE, lens, type Mark } from './mark.ts';

const FURROW_WIDTH: Record<string, number> = { none: 1.5, under1: 5, to3: 11, over3: 17 };

/** Furrows between ridges: side by side, netted in diamonds, zigzag, or parting broad plates. */
export function furrows(mark: Mark, random: Random, reader: TraitReader, base: string, deep: boolean): void {
  const wide = FURROW_WIDTH[reader.state('bark.furrowDepth', deep ? 'to3' : 'under1')] ?? 5;
  const pattern = reader.state('bark.ridges', deep ? 'diamonds' : 'parallel');
  const columns = Math.max(6, Math.min(12, Math.round(BARK_SIZE / (wide * 1.9 + 8))));
  const step = BARK_SIZE / columns;
  const furrow = (at: Point, high: number, lean: number) => {
    const across = wide * random.between(0.8, 1.2);
    // A lit wall, the dark hollow, and its darkest line.
    mark(
      'barkTint',
      lens(add(at, [across * 0.26, 0]), across * 1.3, high * 1.02, lean, random),
      true,
      tinted(base, 0.2),
    );
    mark('barkDark', lens(at, across, high, lean, random), true, tinted(base, deep ? -0.42 : -0.3));
    mark(
      'barkDark',
      lens(add(at, [-across * 0.12, 0]), across * 0.45, high * 0.84, lean, random),
      true,
      tinted(base, -0.62),
    );
  };
  for (let c = 0; c < columns; c += 1) {
    const x = (c + 0.5) * step;
    switch (pattern) {
      case 'diamonds':
        // Neighbors sway against each other: ridges that part and join again enclose upright diamonds.
        crack(mark, random, base, deep, {
          x,
          wide: wide * 0.85,
          sway: step * 0.34,
          waves: 3,
          phase: c % 2 ? 0.5 : 0,
          broken: deep ? 0.1 : 0.3,
        });
        break;
      case 'zigzag':
        for (let r = 0; r < 6; r += 1)
          furrow(
            [x, ((r + 0.5) * BARK_SIZE) / 6],
            BARK_SIZE / 5,
            (r % 2 ? 0.7 : -0.7) * (step / (BARK_SIZE / 6)),
          );
        break;
      case 'plates':
        for (let r = 0; r < 3; r += 1) {
          const y = ((r + (c % 2 ? 0.5 : 0)) * BARK_SIZE) / 3;
          furrow([x, y], BARK_SIZE / 2.9, random.between(-0.04, 0.04));
          mark(
            'barkDark',
            lens([x + step / 2, y + random.between(-20, 20)], step * 0.95, wide * 0.5, 0, random),
            true,
            tinted(base, -0.5),
          );
        }
        break;
      default:
        crack(mark, random, base, deep, {
          x: x + random.between(-0.22, 0.22) * step,
          wide: wide * (deep ? 1.05 : 0.6),
          sway: step * 0.13,
          waves: 2,
          phase: random.uniform(),
          broken: deep ? 0.05 : 0.45,
        });
    }
  }
  for (let i = 0; i < 70; i += 1) {
    const at: Point = [random.between(0, BARK_SIZE), random.between(0, BARK_SIZE)];
    mark('veinlet', [at, add(at, [random.between(-1, 1), random.between(5, 16)])], false);
  }
}

interface Crack {
  x: number;
  /** Width where it gapes most, millimetres. */
  wide: number;
  /** How far it wanders to either side. */
  sway: number;
  /** How often it wanders in the height of the field; a whole number, so that the field goes on above and below. */
  waves: number;
  phase: number;
  /** Share of its length that is closed: there the ridges beside it are one. */
  broken: number;
}

const STEPS = 72;

/**
 * One fissure down the whole field: it wanders, gapes and closes as the trunk has grown, and no two stretches are alike. The dark hollow has a
 * lit wall on its right, since light comes from the upper left.
 */
function crack(
  mark: Mark,
  random: Random,
  base: string,
  deep: boolean,
  { x, wide, sway, waves, phase, broken }: Crack,
): void {
  const rough = [2, 3, 5, 7].map((wave) => ({ wave: wave + waves, at: random.uniform() }));
  const noise = (t: number, k: number) =>
    rough.reduce(
      (sum, { wave, at }, i) => sum + Math.sin(2 * Math.PI * (wave * t + at + k * 0.37)) / (i + 1.5),
      0,
    );
  const middle = (t: number) => x + sway * (Math.sin(2 * Math.PI * (waves * t + phase)) + 0.45 * noise(t, 0));
  const gape = (t: number) => wide * Math.max(0, 0.62 + 0.36 * noise(t, 1) - broken * 0.7);
  let from = 0;
  while (from < STEPS) {
    let to = from;
    while (to < STEPS && gape(to / STEPS) > wide * 0.06) to += 1;
    if (to - from >= 3) {
      const edge = (share: number) =>
        Array.from({ length: to - from + 1 }, (_, i): Point => {
          const t = (from + i) / STEPS;
          // It runs out to a point at both ends of a stretch.
          const taper = Math.min(1, i / 2.5, (to - from - i) / 2.5);
          return [middle(t) + gape(t) * taper * share, t * BARK_SIZE];
        });
      const between = (left: number, right: number): Point[] => [...edge(left), ...edge(right).reverse()];
      mark('barkTint', between(0.3, 0.92), true, tinted(base, 0.2));
      mark('barkDark', between(-0.55, 0.5), true, tinted(base, deep ? -0.42 : -0.32));
      mark('barkDark', between(-0.4, 0.1), true, tinted(base, -0.62));
    }
    from = to + 1;
  }
}

/** Plates parted by dark gaps, their edges uneven; a jigsaw flakes in contour lines. */
export function plates(
  mark: Mark,
  random: Random,
  base: string,
  second: string,
  wide: number,
  high: number,
  flaking: boolean,
): void {
  const columns = Math.round(BARK_SIZE / wide);
  const rows = Math.round(BARK_SIZE / high);
  mark(
    'barkDark',
    [
      [0, 0],
      [BARK_SIZE, 0],
      [BARK_SIZE, BARK_SIZE],
      [0, BARK_SIZE],
    ],
    true,
    tinted(base, -0.55),
  );
  for (let c = 0; c < columns; c += 1)
    for (let r = 0; r < rows; r += 1) {
      const centre: Point = [
        ((c + 0.5) * BARK_SIZE) / columns + random.between(-3, 3),
        ((r + (c % 2 ? 0.5 : 0)) * BARK_SIZE) / rows + random.between(-5, 5),
      ];
      const outline = (shrink: number, seedAngle: number): Point[] =>
        Array.from({ length: 18 }, (_, i) => {
          const t = (2 * Math.PI * i) / 18;
          // A rounded rectangle whose edge wanders.
          const power = 0.62;
          const cos = Math.sign(Math.cos(t)) * Math.abs(Math.cos(t)) ** power;
          const sin = Math.sign(Math.sin(t)) * Math.abs(Math.sin(t)) ** power;
          const wobble =
            1 +
            (flaking ? 0.07 : 0.05) * Math.sin(3 * t + seedAngle) +
            0.04 * Math.sin(7 * t + 2 * seedAngle);
          return [
            centre[0] + cos * (BARK_SIZE / columns) * 0.485 * shrink * wobble,
            centre[1] + sin * (BARK_SIZE / rows) * 0.49 * shrink * wobble,
          ];
        });
      const phase = random.between(0, 6);
      const tone = random.uniform() < 0.35 ? second : base;
      mark('barkPale', outline(1, phase), true, tinted(tone, random.between(-0.06, 0.06)));
      // Flakes part along stretches of contour.
      if (flaking)
        for (const s of [0.8, 0.6, 0.42]) {
          const from = Math.floor(random.between(0, 18));
          const ring = outline(s * random.between(0.92, 1.05), phase + s * 5);
          const stretch = Array.from({ length: 7 }, (_, k) => ring[(from + k) % ring.length]!);
          mark('mark', stretch, false);
        }
    }
}

export function scales(mark: Mark, random: Random, base: string): void {
  for (let r = 0; r < 16; r += 1)
    for (let c = 0; c < 11; c += 1) {
      const at: Point = [
        ((c + (r % 2 ? 0.5 : 0)) * BARK_SIZE) / 11 + random.between(-7, 7),
        (r * BARK_SIZE) / 16 + random.between(-6, 6),
      ];
      if (random.uniform() < 0.12) continue;
      const [w, h, skew] = [random.between(7, 14), random.between(9, 19), random.between(-4, 4)];
      const fill = tinted(base, random.between(-0.13, 0.15));
      const outline: Point[] = [
        add(at, [-w * 0.8, -h * 0.4]),
        ...curve(add(at, [-w, h * 0.1]), add(at, [-w * 0.9 + skew, h * 1.05]), add(at, [skew, h]), 4),
        ...curve(add(at, [skew, h]), add(at, [w * 0.9 + skew, h]), add(at, [w, h * 0.05]), 4),
        add(at, [w * 0.8, -h * 0.4]),
      ];
      mark('barkTint', outline, true, fill);
      // Only the free lower edge casts a line.
      mark('mark', outline.slice(1, -1), false);
    }
}

export function strips(mark: Mark, random: Random, base: string, second: string): void {
  for (let c = 0; c < 20; c += 1) {
    const x = ((c + 0.5) * BARK_SIZE) / 20 + random.between(-2, 2);
    const y = random.between(0, BARK_SIZE);
    const high = random.between(110, 200);
    const w = random.between(3, 6);
    const line = curve(
      [x, y],
      [x + random.between(-6, 6), y + high / 2],
      [x + random.between(-3, 3), y + high],
      10,
    );
    mark(
      'barkPale',
      [
        ...line.map((p): Point => [p[0] - w, p[1]]),
        ...[...line].reverse().map((p): Point => [p[0] + w * 0.8, p[1]]),
      ],
      true,
      tinted(c % 3 ? base : second, random.between(-0.08, 0.1)),
    );
    mark(
      'barkDark',
      line.map((p): Point => [p[0] + w, p[1]]),
      false,
    );
  }
}

export function fluted(mark: Mark, base: string): void {
  const folds = 3;
  const pitch = BARK_SIZE / folds;
  /** A stretch along a fold, from one share of its width to another; it sways as muscles do, and ends where it began. */
  const stretch = (fold: number, from: number, to: number): Point[] => {
    const edge = (share: number, lag: number) =>
      Array.from({ length: 25 }, (_, i): Point => {
        const t = i / 24;
        const sway = 0.09 * Math.sin(2 * Math.PI * (t + lag)) + 0.04 * Math.sin(4 * Math.PI * t + fold);
        return [(fold + share + sway) * pitch, t * BARK_SIZE];
      });
    return [...edge(from, fold * 0.31), ...edge(to, fold * 0.31 + 0.04).reverse()];
  };
  // Light from the left: a bright crest, the far flank in shade, the hollow between two folds darkest.
  for (let fold = -1; fold <= folds; fold += 1) {
    mark('barkTint', stretch(fold, 0.14, 0.4), true, tinted(base, 0.14));
    mark('barkDark', stretch(fold, 0.58, 0.98), true, tinted(base, -0.12));
    mark('barkDark', stretch(fold, 0.74, 0.95), true, tinted(base, -0.24));
    mark('barkDark', stretch(fold, 0.84, 0.92), true, tinted(base, -0.42));
  }
}
