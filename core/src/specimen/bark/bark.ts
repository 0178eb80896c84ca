import { randomFrom, seedOf, type Random } from '../../random/index.ts';
import {
  add,
  boundsOf,
  clipLine,
  clipOutline,
  curve,
  ellipse,
  type Bounds,
  type Point,
} from '../geometry.ts';
import { blend, NATURAL, tinted } from '../palette.ts';
import { anchor, emptyScene, type Role, type Scene, type Shape } from '../scene.ts';
import { TraitReader, type Traits } from '../traits.ts';

/** A piece of bark is so wide and so high, millimetres. Its pattern repeats without a seam at every edge. */
export const BARK_SIZE = 240;

type Mark = (role: Role, points: Point[], closed: boolean, fill?: string) => void;

/**
 * A field of bark, the trunk's long way upright: its color, then furrows, plates, scales, strips, lenticels, blisters, patches or
 * warts as scored. Several surfaces that occur together are drawn one over the other.
 */
export function barkField(traits: Traits): Scene | undefined {
  const reader = new TraitReader(traits);
  const surfaces = reader.states('bark.surface');
  const colors = reader.states('bark.color');
  if (surfaces.length === 0 && colors.length === 0) return undefined;
  const random = randomFrom(seedOf(traits.seed, 'bark'));
  const base = NATURAL[colors[0] ?? 'grey'] ?? NATURAL['grey']!;
  const second = NATURAL[colors[1] ?? ''] ?? tinted(base, 0.16);
  const scene = emptyScene();
  scene.field = true;
  const box: Bounds = { left: 0, top: 0, right: BARK_SIZE, bottom: BARK_SIZE };
  scene.shapes.push({
    role: 'bark',
    points: [
      [0, 0],
      [BARK_SIZE, 0],
      [BARK_SIZE, BARK_SIZE],
      [0, BARK_SIZE],
    ],
    closed: true,
    fill: base,
  });
  const mark: Mark = (role, points, closed, fill) => {
    const own = boundsOf([points]);
    // What crosses an edge comes in again at the other.
    for (const dx of turns(own.left, own.right))
      for (const dy of turns(own.top, own.bottom)) {
        const moved = dx || dy ? points.map((p): Point => [p[0] + dx, p[1] + dy]) : points;
        const inside =
          own.left + dx >= 0 &&
          own.right + dx <= BARK_SIZE &&
          own.top + dy >= 0 &&
          own.bottom + dy <= BARK_SIZE;
        if (inside) scene.shapes.push(shape(role, moved, closed, fill));
        else if (closed) {
          const part = clipOutline(moved, box);
          if (part.length > 2) scene.shapes.push(shape(role, part, true, fill));
        } else for (const part of clipLine(moved, box)) scene.shapes.push(shape(role, part, false, fill));
      }
  };
  const has = (state: string) => surfaces.includes(state);
  if (has('exfoliating')) patches(mark, random, second, 16);
  else if (colors.length > 1) mottling(mark, random, blend(base, second));
  if (has('fluted')) fluted(mark, base);
  if (has('jigsaw')) plates(mark, random, base, second, 46, 82, true);
  else if (has('squareBlocks')) plates(mark, random, base, second, 34, 36, false);
  else if (has('deepFurrows') || has('shallowFissures'))
    furrows(mark, random, reader, base, has('deepFurrows'));
  if (has('thinScales')) scales(mark, random, base);
  if (has('fibrousStrips')) strips(mark, random, base, second);
  if (has('papery'))
    paper(mark, random, base, NATURAL[reader.state('bark.innerColor', 'cinnamon')] ?? NATURAL['cinnamon']!);
  if (has('banded')) lenticels(mark, random, has('papery'));
  if (has('resinBlistered')) blisters(mark, random, base);
  if (has('wartyRidges')) warts(mark, random, base);
  if (has('smooth') && surfaces.length === 1) fineLines(mark, random);
  anchor(
    scene,
    [BARK_SIZE * 0.5, BARK_SIZE * 0.5],
    'bark.surface',
    'bark.color',
    'bark.furrowDepth',
    'bark.ridges',
    'bark.odor',
    'bark.innerColor',
  );
  return scene;
}

const shape = (role: Role, points: readonly Point[], closed: boolean, fill?: string): Shape => ({
  role,
  points,
  closed,
  ...(fill ? { fill } : {}),
});

/** Shifts by the size of the field that bring an extent into it. */
const turns = (from: number, to: number): number[] =>
  [-BARK_SIZE, 0, BARK_SIZE].filter((by) => to + by > 0 && from + by < BARK_SIZE);

/** An upright lens: a furrow `high` long and `wide` across, leaning by `lean` of its length, its middle wandering a little. */
function lens(at: Point, wide: number, high: number, lean: number, random: Random): Point[] {
  const n = 10;
  const [phase, sway] = [random.between(0, 6.3), random.between(0.1, 0.3) * wide];
  const side = (sign: number): Point[] =>
    Array.from({ length: n + 1 }, (_, i) => {
      const t = i / n;
      const half =
        (wide / 2) * Math.sin(Math.PI * t) ** 0.55 * (0.86 + 0.14 * Math.sin(i * 2.3 + sign + phase));
      return [
        at[0] + sway * Math.sin(phase + 5 * t) + lean * high * (t - 0.5) + sign * half,
        at[1] + (t - 0.5) * high,
      ];
    });
  return [...side(-1), ...side(1).reverse()];
}

const FURROW_WIDTH: Record<string, number> = { none: 1.5, under1: 5, to3: 11, over3: 17 };

/** Furrows between ridges: side by side, netted in diamonds, zigzag, or parting broad plates. */
function furrows(mark: Mark, random: Random, reader: TraitReader, base: string, deep: boolean): void {
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
        for (let r = 0; r < 4; r += 1)
          // Ridges that part and join again enclose upright diamonds.
          furrow(
            [
              x + random.between(-4, 4),
              ((r + (c % 2 ? 0.5 : 0) + random.between(-0.08, 0.08)) * BARK_SIZE) / 4,
            ],
            (BARK_SIZE / 3.4) * random.between(0.85, 1.1),
            random.between(-0.09, 0.09),
          );
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
      default: {
        const rows = deep ? 2 : 3;
        for (let r = 0; r < rows; r += 1)
          furrow(
            [x + random.between(-3, 3), ((r + (c % 2 ? 0.5 : 0.1)) * BARK_SIZE) / rows],
            (BARK_SIZE / rows) * random.between(0.78, 1),
            random.between(-0.05, 0.05),
          );
      }
    }
  }
  for (let i = 0; i < 70; i += 1) {
    const at: Point = [random.between(0, BARK_SIZE), random.between(0, BARK_SIZE)];
    mark('veinlet', [at, add(at, [random.between(-1, 1), random.between(5, 16)])], false);
  }
}

/** Plates parted by dark gaps, their edges uneven; a jigsaw flakes in contour lines. */
function plates(
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

function scales(mark: Mark, random: Random, base: string): void {
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

function strips(mark: Mark, random: Random, base: string, second: string): void {
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

/** Sheets that peel sideways: a torn edge that curls and shows the inner color. */
function paper(mark: Mark, random: Random, base: string, inner: string): void {
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

function lenticels(mark: Mark, random: Random, dark: boolean): void {
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

function blisters(mark: Mark, random: Random, base: string): void {
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

function warts(mark: Mark, random: Random, base: string): void {
  for (let i = 0; i < 34; i += 1) {
    const at: Point = [random.between(0, BARK_SIZE), random.between(0, BARK_SIZE)];
    const high = random.between(14, 46);
    mark('barkDark', lens(add(at, [3, 2]), 9, high, 0, random), true, tinted(base, -0.4));
    mark('barkPale', lens(at, 7, high, 0, random), true, tinted(base, 0.14));
  }
}

function fluted(mark: Mark, base: string): void {
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

/** A second color in soft upright flecks. */
function mottling(mark: Mark, random: Random, fill: string): void {
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

function patches(mark: Mark, random: Random, fill: string, n: number): void {
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

function fineLines(mark: Mark, random: Random): void {
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
