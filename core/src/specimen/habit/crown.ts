import { randomFrom, seedOf, type Random } from '../../random/index.ts';
import { add, band, direction, ellipse, scaleBy, type Point } from '../geometry.ts';
import { LEAF_GREEN, NATURAL, tinted } from '../palette.ts';
import { anchor, emptyScene, filled, stroke, type Scene, type Shape } from '../scene.ts';
import { TraitReader, type Traits } from '../traits.ts';

const PERSON = 1700;

/**
 * The silhouette of a mature tree, in leaf or bare, as tall and wide as its traits say, with a person for scale. Millimetres; the
 * ground lies at y = 0, the top at −height.
 */
export function crownOf(traits: Traits): Scene | undefined {
  const reader = new TraitReader(traits);
  const needed = ['habit.height', 'habit.crownForm', 'habit.stature'] as const;
  if (!needed.some((id) => reader.known(id))) return undefined;
  const random = randomFrom(seedOf(traits.seed, 'crown'));
  const STATURE: Record<string, number> = { shrub: 3, small: 7, medium: 17, large: 35, veryLarge: 55 };
  const height = reader.mm('habit.height', (STATURE[reader.state('habit.stature', 'medium')] ?? 17) * 1000);
  const form = reader.state('habit.crownForm', 'decurrent');
  const conifer = form === 'excurrent' || form === 'spire';
  const SPREAD: Record<string, number> = {
    excurrent: 0.34,
    spire: 0.16,
    columnar: 0.22,
    decurrent: 0.62,
    flatTopped: 0.8,
    weeping: 0.6,
    irregular: 0.55,
  };
  const spread = reader.mm('habit.crownSpread', height * (SPREAD[form] ?? 0.55));
  const stems = reader.state('habit.stems', 'single');
  const scene = emptyScene();
  const green = traits.autumn
    ? (NATURAL[reader.states('leaf.autumnColor')[0] ?? 'yellow'] ?? LEAF_GREEN)
    : conifer || reader.state('foliage.kind', 'broad') !== 'broad'
      ? '#4f7a4c'
      : LEAF_GREEN;
  const trunk = Math.max(height * 0.012, reader.mm('habit.dbh', height * 0.02) / 2);
  const shrubby = stems !== 'single';
  if (conifer && !shrubby)
    scene.shapes.push(...coniferCrown(reader, height, spread, trunk, green, form, traits.leafy, random));
  else scene.shapes.push(...broadCrown(form, height, spread, trunk, green, stems, traits.leafy, random));
  if (reader.state('habit.leader', 'erect') === 'nodding') scene.shapes.push(noddingLeader(height, trunk));
  const side = spread / 2 + Math.max(height * 0.06, 900);
  scene.shapes.push(...person([side, 0]));
  scene.shapes.push(
    stroke('ground', [
      [-spread / 2 - height * 0.04, 0],
      [side + 700, 0],
    ]),
  );
  anchor(
    scene,
    [0, -height * 0.6],
    'habit.crownForm',
    'habit.height',
    'habit.crownSpread',
    'habit.stature',
    'habit.persistence',
    'habit.marcescent',
    'foliage.present',
    'leaf.autumnColor',
  );
  anchor(scene, [0, -height * 0.98], 'habit.leader');
  anchor(scene, [spread * 0.25, -height * 0.5], 'habit.branchAngle');
  anchor(scene, [0, -height * 0.05], 'habit.stems', 'habit.dbh', 'habit.suckers');
  return scene;
}

/** A trunk to the top with tiers of branches, hanging, level or rising. */
function coniferCrown(
  reader: TraitReader,
  height: number,
  spread: number,
  trunk: number,
  green: string,
  form: string,
  leafy: boolean,
  random: Random,
): Shape[] {
  const low = form === 'spire' ? 0.04 : 0.14;
  const angle =
    { drooping: 0.3, level: 0.02, ascending: -0.4 }[reader.state('habit.branchAngle', 'level')] ?? 0;
  const shapes: Shape[] = [
    filled(
      'trunk',
      [
        [-trunk, 0],
        [-trunk * 0.15, -height],
        [trunk * 0.15, -height],
        [trunk, 0],
      ],
      NATURAL['greyBrown']!,
    ),
  ];
  const tiers = 17;
  const reach = (t: number) =>
    (spread / 2) * (form === 'spire' ? (1 - t) ** 0.85 : (1 - t) ** 0.9 * Math.min(1, 0.72 + 1.4 * t));
  const widest = Math.max(...Array.from({ length: tiers }, (_, i) => reach(i / tiers)));
  for (let i = tiers - 1; i >= 0; i -= 1) {
    const t = i / tiers;
    const y = -height * (low + (1 - low) * t);
    for (const side of [-1, 1]) {
      const long =
        (reach(t) / widest) * (spread / 2) * (i === 0 || reach(t) === widest ? 1 : random.between(0.8, 1));
      const drop = long * Math.tan(angle);
      const tip: Point = [side * long, Math.min(-height * 0.005, y + drop)];
      if (!leafy) {
        shapes.push(stroke('limb', [[0, y], [tip[0] * 0.6, y + drop * 0.5], tip], trunk * 0.25));
        continue;
      }
      const thick = (height * (1 - low)) / tiers;
      const n = 5;
      const upper = Array.from({ length: n + 1 }, (_, k): Point => [
        (tip[0] * k) / n,
        y - thick * 0.75 * (1 - k / n) + (drop * k) / n,
      ]);
      const lower = Array.from({ length: n * 2 + 1 }, (_, k): Point => {
        const s = 1 - k / (n * 2);
        return [
          tip[0] * s * (k % 2 ? 0.97 : 1),
          Math.min(-height * 0.004, y + drop * s + thick * (k % 2 ? 0.62 : 0.3) * (1 - 0.55 * s)),
        ];
      });
      shapes.push(
        filled(
          'crown',
          [...upper, ...lower],
          tinted(green, (side > 0 ? -0.12 : 0.03) + random.between(-0.05, 0.05)),
        ),
      );
    }
  }
  if (leafy)
    shapes.push(
      filled(
        'crown',
        [
          [-height * 0.008, -height * 0.93],
          [0, -height],
          [height * 0.008, -height * 0.93],
        ],
        green,
      ),
    );
  return shapes;
}

/** Half-width of a broad crown at a share of its height, 1 at its widest. */
function profile(form: string, t: number): number {
  switch (form) {
    case 'columnar':
      return Math.sin(Math.PI * Math.min(1, 0.12 + 0.85 * t)) ** 0.4;
    case 'flatTopped':
      return t > 0.97 ? 0.7 : 0.35 + 0.65 * t ** 0.7;
    case 'weeping':
      return Math.sin(Math.PI * (0.3 + 0.66 * t)) ** 0.5;
    default:
      return Math.sin(Math.PI * Math.min(1, 0.14 + 0.84 * t)) ** 0.6;
  }
}

/** Limbs from one trunk or several stems, and clumps of leaves on them. */
function broadCrown(
  form: string,
  height: number,
  spread: number,
  trunk: number,
  green: string,
  stems: string,
  leafy: boolean,
  random: Random,
): Shape[] {
  const shapes: Shape[] = [];
  const n = stems === 'single' ? 1 : stems === 'several' ? 4 : 8;
  const clear = stems === 'single' ? 0.22 : 0.06;
  const lean =
    form === 'irregular'
      ? Math.min(0.1, (0.14 * spread) / height) * random.between(0.5, 1) * (random.uniform() < 0.5 ? -1 : 1)
      : 0;
  const limbs = (at: Point, heading: number, length: number, half: number, depth: number) => {
    const droop = form === 'weeping' && depth > 1 ? 0.5 : 0;
    const way = direction(heading);
    const tip = add(at, scaleBy(way, length));
    if (tip[1] < -height * 0.985 || Math.abs(tip[0]) > spread * 0.48) return;
    shapes.push(
      stroke(
        'limb',
        [at, add(at, scaleBy(direction(heading + random.between(-0.1, 0.1)), length * 0.5)), tip],
        half * 2,
      ),
    );
    if (depth >= 5) return;
    const forks = depth === 0 ? 3 : 2;
    for (let k = 0; k < forks; k += 1) {
      const off = (k - (forks - 1) / 2) * (form === 'columnar' ? 0.4 : 0.75) + random.between(-0.15, 0.15);
      limbs(
        tip,
        heading + off + Math.sign(Math.cos(heading)) * droop * 0.4,
        length * random.between(0.66, 0.82),
        half * 0.6,
        depth + 1,
      );
    }
  };
  for (let i = 0; i < n; i += 1) {
    const off = n === 1 ? 0 : i / (n - 1) - 0.5;
    const foot: Point = [off * spread * (stems === 'thicket' ? 0.7 : 0.16), 0];
    const heading = -Math.PI / 2 + lean + off * (stems === 'thicket' ? 0.3 : 0.9);
    const half = n === 1 ? trunk : Math.max(trunk * 0.5, height * 0.008);
    const top = add(foot, scaleBy(direction(heading), height * clear));
    shapes.push(
      filled(
        'trunk',
        band([foot, top], (s) => half * (1 - 0.25 * s)),
        NATURAL['greyBrown']!,
      ),
    );
    limbs(top, heading, height * (1 - clear) * 0.26, half * 0.6, 0);
  }
  if (!leafy) return [...shapes, ...extent(height, spread, clear, form, lean)];
  const reach = (t: number) => (spread / 2) * profile(form, t);
  // The branches of a weeping tree hang almost to the ground.
  const foot = form === 'weeping' ? HANGS_TO : clear;
  const low = -height * foot;
  const rise = height * (1 - foot);
  const lift = (x: number, y: number): Point => [
    Math.max(-spread / 2, Math.min(spread / 2, x + lean * -y)),
    y,
  ];
  // The body of the crown is as high and as wide as the tree; clumps of leaves break its edge and its surface.
  const widest = [0.3, 0.35, 0.4, 0.45, 0.5, 0.55, 0.6, 0.7, 0.8, 0.9, 1].reduce(
    (best, t) => (profile(form, t) > profile(form, best) ? t : best),
    0.3,
  );
  const outline = (sign: number): Point[] =>
    Array.from({ length: 23 }, (_, i) => {
      const t = i / 22;
      const edge = i % 2 || Math.abs(t - widest) < 0.03 ? 1 : 0.92;
      const y = low - rise * t * (i % 2 || i === 22 ? 1 : 0.985);
      return Math.abs(t - widest) < 0.03 ? [(sign * spread) / 2, y] : lift(sign * reach(t) * edge, y);
    });
  shapes.push(filled('crown', [...outline(-1), ...outline(1).reverse()], tinted(green, -0.08)));
  const size = Math.min(rise, spread);
  for (let i = 0; i < 46; i += 1) {
    const t = random.between(0.06, 0.95);
    const r = size * random.between(0.07, 0.14);
    const x = random.between(-1, 1) * Math.max(0, reach(t) - r * 0.9);
    const y = Math.min(low - r * 0.3, Math.max(-height + r, low - rise * t));
    const [cx, cy] = lift(x, y);
    const centre: Point = [Math.max(-spread / 2 + r, Math.min(spread / 2 - r, cx)), cy];
    const phase = random.between(0, 6);
    shapes.push(
      filled(
        'crown',
        Array.from({ length: 13 }, (_, k) => {
          const turn = (2 * Math.PI * k) / 13;
          return add(centre, scaleBy(direction(turn), r * (0.86 + 0.14 * Math.sin(5 * turn + phase))));
        }),
        tinted(
          green,
          0.06 - (0.16 * x) / spread - (0.1 * (height + cy)) / height + random.between(-0.04, 0.04),
        ),
      ),
    );
  }
  if (form === 'weeping') shapes.push(...curtain(height, spread, green, random));
  return shapes;
}

/** How near the ground, as a share of its height, the branches of a weeping tree come. */
const HANGS_TO = 0.08;

/** Hanging branches in leaf, long and narrow, over the whole face of a weeping crown. */
function curtain(height: number, spread: number, green: string, random: Random): Shape[] {
  return Array.from({ length: 40 }, (_, i): Shape => {
    const across = -0.96 + (1.92 * i) / 39;
    const half = spread * random.between(0.014, 0.022);
    const x = Math.max(-spread / 2 + half * 1.2, Math.min(spread / 2 - half * 1.2, (across * spread) / 2));
    const top = -height * (0.9 - 0.42 * across * across) * random.between(0.8, 1);
    const end = -height * random.between(HANGS_TO * 0.7, 0.2);
    const outward = Math.sign(across) * half * 0.8;
    return filled(
      'crown',
      [
        [x - outward, top],
        [x - half, top + (end - top) * 0.35],
        [x - half * 0.8, top + (end - top) * 0.8],
        [x, end],
        [x + half * 0.8, top + (end - top) * 0.8],
        [x + half, top + (end - top) * 0.35],
      ],
      tinted(green, random.between(-0.1, 0.1) - 0.06 * across),
    );
  });
}

/** Fine twigs to the edge of a bare crown. */
function extent(height: number, spread: number, clear: number, form: string, lean: number): Shape[] {
  return Array.from({ length: 44 }, (_, i): Shape => {
    const side = i % 2 ? 1 : -1;
    const t = i === 0 ? 1 : ((i * 7) % 44) / 44;
    const y = -height * (clear + (1 - clear) * t);
    const x = i === 0 ? 0 : side * (spread / 2) * profile(form, t) + lean * -y;
    const tip: Point = [
      Math.max(-spread / 2, Math.min(spread / 2, i === 2 ? spread / 2 : i === 3 ? -spread / 2 : x)),
      y,
    ];
    if (form === 'weeping' && i > 3) return hanging(i, height, spread);
    // Fine branches come from within the crown, below their tips.
    const from: Point = [tip[0] * 0.22, Math.min(-height * clear * 0.95, y + height * 0.2)];
    const bend: Point = [tip[0] * 0.68, Math.min(-height * clear * 0.9, y + height * 0.06)];
    return stroke('limb', [from, bend, tip], height * 0.002);
  });
}

/** One fine branch of a bare weeping crown: out from a limb, over, and down. */
function hanging(i: number, height: number, spread: number): Shape {
  const [across, lower] = [0.12 + (0.86 * ((i * 13) % 44)) / 44, ((i * 5) % 9) / 9];
  const x = ((i % 2 ? 1 : -1) * spread * across) / 2;
  const top = -height * (0.94 - 0.4 * across * across - 0.12 * lower);
  const end = -height * (HANGS_TO + 0.2 * lower);
  return stroke(
    'limb',
    [
      [x * 0.45, top * 0.86],
      [x * 0.7, top * 0.98],
      [x * 0.86, top],
      [x * 0.96, top * 0.95],
      [x, top * 0.8],
      [x, end],
    ],
    height * 0.002,
  );
}

const noddingLeader = (height: number, trunk: number): Shape =>
  stroke(
    'limb',
    [
      [0, -height * 0.94],
      [height * 0.004, -height * 0.99],
      [height * 0.022, -height * 0.995],
      [height * 0.038, -height * 0.965],
    ],
    trunk * 0.3,
  );

function person(at: Point): Shape[] {
  const p = (x: number, y: number): Point => [at[0] + x * PERSON, at[1] - y * PERSON];
  const half: [number, number][] = [
    [0.035, 0],
    [0.075, 0.01],
    [0.085, 0.28],
    [0.09, 0.47],
    [0.075, 0.62],
    [0.1, 0.5],
    [0.125, 0.42],
    [0.135, 0.46],
    [0.12, 0.68],
    [0.105, 0.79],
    [0.04, 0.84],
    [0.03, 0.87],
  ];
  return [
    filled('person', [...half.map(([x, y]) => p(x, y)), ...[...half].reverse().map(([x, y]) => p(-x, y))]),
    filled('person', ellipse(p(0, 0.93), PERSON * 0.055, PERSON * 0.07, 0, 14)),
  ];
}
