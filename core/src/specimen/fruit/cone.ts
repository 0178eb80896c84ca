import { randomFrom, seedOf } from '../../random/index.ts';
import { add, band, curve, direction, place, scaleBy, type Point } from '../geometry.ts';
import { NATURAL, tinted } from '../palette.ts';
import { anchor, emptyScene, filled, stroke, type Scene, type Shape } from '../scene.ts';
import { TraitReader, type Traits } from '../traits.ts';

/** Width over length: long cones are slender. */
const slenderness = (length: number): number =>
  length < 28 ? 0.62 : length < 60 ? 0.56 : length < 90 ? 0.46 : length < 130 ? 0.38 : 0.27;

/**
 * A woody seed cone on its piece of branch: scales in spirals, each covering the next towards the tip; bracts between them as scored; hanging, erect or level; ripe ones open, or falling apart about their axis.
 */
export function seedCone(traits: Traits): Scene {
  const reader = new TraitReader(traits);
  const scene = emptyScene();
  const length = reader.mm('fruit.length', 60);
  const width = length * slenderness(length);
  const ripe = traits.values['cone.fate'] !== undefined;
  const fate = reader.state('cone.fate', 'falls');
  const open = ripe && (fate === 'falls' || fate === 'persists');
  const broken = ripe && fate === 'shatters';
  const color = NATURAL[reader.states('fruit.color')[0] ?? (ripe ? 'brown' : 'green')] ?? NATURAL['brown']!;
  const shapes = coneBody(reader, length, width, { open, broken, color });
  const stalk = reader.flag('cone.stalk') ? length * 0.14 : length * 0.03;

  // The cone is built along +x from its base; its attitude turns it, up being −y.
  const attitude = reader.state('cone.attitude', 'hanging');
  const turn = { hanging: Math.PI / 2, erect: -Math.PI / 2, level: 0.12 }[attitude] ?? Math.PI / 2;
  const twig = Math.max(0.5, Math.min(3, width * 0.07));
  const reach = width * 0.75;
  const branch: Point[] =
    attitude === 'level'
      ? [
          [-stalk - twig, -reach],
          [-stalk, 0],
          [-stalk - twig * 0.4, reach],
        ]
      : curve([-stalk - twig * 0.6, -reach], [-stalk, 0], [-stalk - twig * 0.6, reach], 8);
  const moved = (points: readonly Point[]) => place(points, [0, 0], turn);
  scene.shapes.push(filled('twig', moved(band(branch, () => twig)), NATURAL['greyBrown']!));
  scene.shapes.push(
    filled(
      'stalk',
      moved(
        band(
          [
            [-stalk - twig, 0],
            [length * 0.06, 0],
          ],
          () => twig * 0.8,
        ),
      ),
      NATURAL['brown']!,
    ),
  );
  for (const shape of shapes) scene.shapes.push({ ...shape, points: moved(shape.points) });
  const middle = moved([[length * 0.5, 0]])[0]!;
  anchor(
    scene,
    middle,
    'fruit.type',
    'fruit.length',
    'fruit.color',
    'cone.fate',
    'cone.attitude',
    'cone.scaleTip',
    'cone.armed',
    'cone.thickEnd',
    'fruit.seed',
  );
  anchor(scene, moved([[length * 0.45, width * 0.46]])[0]!, 'cone.bract');
  anchor(scene, moved([[-stalk * 0.5, 0]])[0]!, 'cone.stalk');
  if (reader.known('fruit.seed'))
    scene.insets.push({ title: 'seed', shows: 'fruit.seed', shapes: seedShapes(reader, length) });
  return scene;
}

interface ConeLook {
  open: boolean;
  broken: boolean;
  color: string;
}

function coneBody(
  reader: TraitReader,
  length: number,
  width: number,
  { open, broken, color }: ConeLook,
): Shape[] {
  const random = randomFrom(seedOf(reader.traits.seed, 'cone'));
  const shapes: Shape[] = [];
  // Ovoid: widest below the middle, closed at both ends.
  const radius = (t: number) => (width / 2) * Math.sin(Math.PI * Math.min(1, 0.1 + 0.9 * t ** 0.8)) ** 0.62;
  const end = broken ? 0.58 : 1;
  if (broken)
    shapes.push(
      filled(
        'stalk',
        band(
          [
            [length * 0.3, 0],
            [length, 0],
          ],
          (s) => width * 0.05 * (1.2 - s),
        ),
        NATURAL['brown']!,
      ),
    );
  shapes.push(
    filled(
      'fruit',
      band(
        Array.from({ length: 17 }, (_, i): Point => [length * end * (0.02 + (0.95 * i) / 16), 0]),
        (s) => Math.max(0.02, radius(s * end) * (open ? 0.8 : 0.92)),
      ),
      tinted(color, open ? -0.5 : -0.3),
    ),
  );
  const bract = reader.state('cone.bract', 'hidden');
  for (const scale of scalesOf(length, width, radius)) {
    const { t, around, size } = scale;
    if (t > end) continue;
    const [depth, across] = [Math.cos(around), Math.sin(around)];
    // Towards the rim a scale is seen from its side; open ones stand off there, closed ones follow the outline.
    const wide = size * (open ? 1.16 : 1.22) * Math.max(0.42, depth);
    const long = size * (open ? 1.25 : 1.08);
    const at: Point = [t * length - long * 0.45, radius(t) * across * (open ? 0.9 : 0.94)];
    const lean = across * (open ? 0.78 : 0.3) + random.between(-0.03, 0.03);
    const put = (points: readonly Point[]) => place(points, at, lean);
    if (bract !== 'hidden' && t > 0.08 && t < 0.94) shapes.push(...bractShapes(bract, put, long, wide));
    shapes.push(
      ...scaleShapes(reader, put, long, wide, depth).map((shape) =>
        shape.role === 'fruitScale'
          ? {
              ...shape,
              fill: tinted(
                color,
                0.1 * depth - 0.04 - (across > 0 ? 0.1 * across : 0) + random.between(-0.02, 0.02),
              ),
            }
          : shape,
      ),
    );
  }
  return shapes;
}

interface ScalePlace {
  /** Share of the way from base to tip. */
  t: number;
  /** Angle about the axis; 0 faces the viewer. */
  around: number;
  /** Width of a scale that faces the viewer. */
  size: number;
}

/**
 * Where the visible scales of a cone stand, in the order in which they are drawn: from the tip to the base, since each covers the foot of
 * the one above it, and in a row from the rim to the middle. A row is half a step turned against the one below and climbs a little about
 * the axis, so that the eye follows spirals both ways.
 */
function scalesOf(length: number, width: number, radius: (t: number) => number): ScalePlace[] {
  const perTurn = length < 28 ? 7 : length < 60 ? 8 : length < 130 ? 9 : 10;
  const step = (2 * Math.PI) / perTurn;
  const facing = (step * width) / 2;
  const rows = Math.max(5, Math.round(length / (facing * 0.52)));
  const places: ScalePlace[] = [];
  for (let row = rows - 1; row >= 0; row -= 1) {
    const t = (row + 0.6) / (rows + 0.2);
    const here: ScalePlace[] = [];
    for (let k = -perTurn; k <= perTurn; k += 1) {
      const around = (k + (row % 2) / 2) * step;
      if (Math.abs(around) > Math.PI * 0.52) continue;
      const climb = (around / Math.PI) * (0.7 / rows);
      here.push({
        t: Math.min(0.99, Math.max(0.01, t + climb)),
        around,
        size: facing * (0.45 + (1.1 * radius(t)) / width),
      });
    }
    places.push(...here.sort((a, b) => Math.abs(b.around) - Math.abs(a.around)));
  }
  return places;
}

/** One scale with what its end carries: a thickened end with its keel and boss, a prickle. */
function scaleShapes(
  reader: TraitReader,
  put: (points: readonly Point[]) => Point[],
  long: number,
  wide: number,
  depth: number,
): Shape[] {
  const jagged = reader.state('cone.scaleTip', 'even') === 'jagged';
  const shapes: Shape[] = [filled('fruitScale', put(scaleOutline(long, wide, jagged)))];
  if (reader.flag('cone.thickEnd')) {
    // The end of a pine's scale is a shield, wider than long, with a keel across and a boss in the middle.
    shapes.push(
      stroke(
        'mark',
        put([
          [long * 0.7, -wide * 0.44],
          [long * 0.62, 0],
          [long * 0.7, wide * 0.44],
        ]),
      ),
    );
    if (depth > 0.3)
      shapes.push(
        stroke(
          'mark',
          put(curve([long * 0.78, -wide * 0.1], [long * 0.86, 0], [long * 0.78, wide * 0.1], 4)),
        ),
      );
  }
  if (reader.flag('cone.armed') && depth > -0.05)
    shapes.push(
      filled(
        'thorn',
        put([
          [long * 0.76, -wide * 0.07],
          [long * 1.14, wide * 0.03],
          [long * 0.76, wide * 0.07],
        ]),
      ),
    );
  return shapes;
}

/** A scale from its foot to its tip: narrow where it is attached, broadest near the rounded or ragged end. */
function scaleOutline(long: number, wide: number, jagged: boolean): Point[] {
  const foot: [Point, Point] = [
    [0, -wide * 0.26],
    [0, wide * 0.26],
  ];
  if (jagged)
    return [
      foot[0],
      [long * 0.5, -wide * 0.5],
      [long * 0.86, -wide * 0.34],
      [long * 0.84, -wide * 0.2],
      [long, -wide * 0.1],
      [long * 0.9, 0.02 * wide],
      [long * 0.99, wide * 0.12],
      [long * 0.84, wide * 0.22],
      [long * 0.87, wide * 0.35],
      [long * 0.5, wide * 0.5],
      foot[1],
    ];
  const rim = Array.from({ length: 9 }, (_, i): Point => {
    const turn = (Math.PI * (i - 4)) / 8;
    return [long * (0.56 + 0.44 * Math.cos(turn)), (wide / 2) * Math.sin(turn)];
  });
  return [foot[0], ...rim, foot[1]];
}

/** Bracts pass between the scales: three points, one point, or bent back. */
function bractShapes(
  kind: string,
  put: (points: readonly Point[]) => Point[],
  long: number,
  wide: number,
): Shape[] {
  const fill = '#c9b184';
  if (kind === 'bentBack')
    return [
      filled(
        'bract',
        put([
          ...curve([long * 0.7, -wide * 0.12], [long * 1.25, 0], [long * 0.75, wide * 0.42], 5),
          [long * 0.7, wide * 0.12],
        ]),
        fill,
      ),
    ];
  if (kind === 'straight')
    return [
      filled(
        'bract',
        put([
          [long * 0.6, -wide * 0.12],
          [long * 1.45, 0],
          [long * 0.6, wide * 0.12],
        ]),
        fill,
      ),
    ];
  return [
    filled(
      'bract',
      put([
        [long * 0.6, -wide * 0.2],
        [long * 1.2, -wide * 0.34],
        [long * 1.08, -wide * 0.08],
        [long * 1.62, 0],
        [long * 1.08, wide * 0.08],
        [long * 1.2, wide * 0.34],
        [long * 0.6, wide * 0.2],
      ]),
      fill,
    ),
  ];
}

/** A conifer's seed with its wing, or without one. */
function seedShapes(reader: TraitReader, coneLength: number): Shape[] {
  const size = Math.max(3, coneLength * 0.07);
  const nut: Shape = filled(
    'nut',
    band(
      [
        [0, 0],
        [size * 0.5, 0],
        [size, 0],
      ],
      (s) => size * 0.3 * Math.sin(Math.PI * (0.08 + 0.88 * s)),
    ),
    NATURAL['brown']!,
  );
  if (reader.state('fruit.seed', 'winged') !== 'winged') return [nut];
  return [
    filled(
      'wing',
      [
        [size * 0.4, -size * 0.2],
        ...curve([size * 1.2, -size * 0.5], [size * 3, -size * 0.75], [size * 3.4, 0], 6),
        ...curve([size * 3.4, 0], [size * 2, size * 0.35], [size * 0.4, size * 0.2], 6),
      ],
      '#d9c59b',
    ),
    nut,
  ];
}

/** Small woody cones of a broad-leaved tree, in a branched bunch. */
export function catkinCones(traits: Traits): Scene {
  const reader = new TraitReader(traits);
  const random = randomFrom(seedOf(traits.seed, 'strobiles'));
  const scene = emptyScene();
  const length = reader.mm('fruit.length', 15);
  const color = NATURAL[reader.states('fruit.color')[0] ?? 'green'] ?? NATURAL['brown']!;
  const axis: Point[] = curve([0, 0], [length * 0.9, -length * 0.2], [length * 2, length * 0.1], 8);
  scene.shapes.push(
    filled(
      'stalk',
      band(axis, (s) => length * 0.04 * (1.3 - 0.5 * s)),
      NATURAL['brown']!,
    ),
  );
  const places = [
    { at: axis[3]!, angle: 1.0 },
    { at: axis[4]!, angle: -0.75 },
    { at: axis[6]!, angle: 0.85 },
    { at: axis[8]!, angle: 0.15 },
  ];
  for (const { at, angle } of places) {
    const heading = angle + random.between(-0.12, 0.12);
    const size = length * random.between(0.88, 1.04);
    const stalk = size * 0.4;
    const base = add(at, scaleBy(direction(heading), stalk));
    scene.shapes.push(
      filled(
        'stalk',
        band([at, base], () => length * 0.035),
        NATURAL['brown']!,
      ),
    );
    const body = coneBody(reader, size, size * 0.62, {
      open: traits.values['fruit.strobile'] !== undefined,
      broken: false,
      color,
    });
    for (const shape of body) scene.shapes.push({ ...shape, points: place(shape.points, base, heading) });
  }
  const last = places[3]!;
  anchor(
    scene,
    add(last.at, scaleBy(direction(last.angle), length * 0.9)),
    'fruit.type',
    'fruit.length',
    'fruit.color',
    'fruit.strobile',
    'fruit.seed',
  );
  return scene;
}

/** Soft catkin-like cones that crumble into winged nutlets. */
export function samaraCones(traits: Traits): Scene {
  const reader = new TraitReader(traits);
  const random = randomFrom(seedOf(traits.seed, 'birch'));
  const scene = emptyScene();
  const length = reader.mm('fruit.length', 30);
  const color = NATURAL[reader.states('fruit.color')[0] ?? 'green'] ?? NATURAL['greenish']!;
  const crumbles = reader.state('fruit.strobile', 'persists') === 'shatters';
  const twig: Point[] = [
    [-length * 0.5, -length * 0.06],
    [length * 0.1, 0],
    [length * 0.55, length * 0.02],
  ];
  scene.shapes.push(
    filled(
      'twig',
      band(twig, () => length * 0.03),
      NATURAL['redBrown']!,
    ),
  );
  for (const x of [-0.2, 0.38]) {
    const at: Point = [length * x, length * 0.02];
    const heading = Math.PI / 2 + random.between(-0.14, 0.14);
    const stalk = length * 0.22;
    const base = add(at, scaleBy(direction(heading), stalk));
    scene.shapes.push(
      filled(
        'stalk',
        band([at, base], () => length * 0.018),
        NATURAL['greenish']!,
      ),
    );
    const whole = crumbles && x > 0 ? 0.62 : 1;
    const rows = Math.round(15 * whole);
    const half = length * 0.12;
    const body = band(
      Array.from({ length: 10 }, (_, i): Point => [(length * whole * i) / 9, 0]),
      (s) => half * Math.min(1, 0.55 + 3 * s) * (whole === 1 ? Math.min(1, (1 - s) * 5 + 0.2) : 1),
    );
    scene.shapes.push(filled('fruit', place(body, base, heading), color));
    for (let row = 1; row < rows; row += 1)
      for (const across of row % 2 ? [-0.5, 0.5] : [-0.9, 0, 0.9]) {
        const s = row / 15;
        const bract: Point[] = [
          [s * length - half * 0.4, across * half],
          [s * length + half * 0.3, across * half - half * 0.36],
          [s * length + half * 0.55, across * half],
          [s * length + half * 0.3, across * half + half * 0.36],
        ];
        scene.shapes.push(
          filled('fruitScale', place(bract, base, heading), tinted(color, across > 0 ? -0.1 : 0.06)),
        );
      }
    if (whole < 1) {
      const tip = add(base, scaleBy(direction(heading), length * whole));
      scene.shapes.push(
        filled(
          'stalk',
          band([tip, add(base, scaleBy(direction(heading), length))], () => length * 0.01),
        ),
      );
      for (let i = 0; i < 4; i += 1) {
        const spot = add(tip, [random.between(-0.3, 0.3) * length, random.between(0.12, 0.42) * length]);
        scene.shapes.push(...nutlet(spot, length * 0.09, random.between(0, 6)));
      }
    }
  }
  anchor(
    scene,
    [length * 0.38, length * 0.6],
    'fruit.type',
    'fruit.length',
    'fruit.color',
    'fruit.strobile',
    'fruit.seed',
  );
  return scene;
}

const nutlet = (at: Point, size: number, angle: number): Shape[] => [
  filled(
    'wing',
    place(
      [
        [0, -size],
        [size * 0.5, -size * 0.5],
        [0, 0],
        [size * 0.5, size * 0.5],
        [0, size],
        [-size * 0.5, size * 0.5],
        [-size * 0.2, 0],
        [-size * 0.5, -size * 0.5],
      ],
      at,
      angle,
    ),
    '#d9c59b',
  ),
  filled(
    'nut',
    place(
      [
        [size * 0.42, 0],
        [0, size * 0.28],
        [-size * 0.4, 0],
        [0, -size * 0.28],
      ],
      at,
      angle,
    ),
    NATURAL['brown']!,
  ),
];
