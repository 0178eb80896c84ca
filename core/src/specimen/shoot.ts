import { randomFrom, seedOf, type Random } from '../random/index.ts';
import { add, along, band, curve, direction, place, scaleBy, type Point } from './geometry.ts';
import { LARCH_GOLD, NATURAL, NEEDLE_GREENS } from './palette.ts';
import { emptyScene, type Inset, type Scene, type Shape } from './scene.ts';
import { TraitReader, type Traits } from './traits.ts';
import { budShapes, moveShapes, twigColor } from './twig.ts';

/** A shoot of a conifer whose leaves are needles: single, in bundles, or in tufts on spurs. */
export function needleShoot(traits: Traits, kind: string): Scene {
  const reader = new TraitReader(traits);
  if (kind === 'bundled') return bundleShoot(reader);
  if (kind === 'tufts') return spurShoot(reader);
  return singleShoot(reader);
}

const greens = (reader: TraitReader) =>
  reader.traits.autumn
    ? LARCH_GOLD
    : (NEEDLE_GREENS[reader.state('needle.color', 'green')] ?? NEEDLE_GREENS['green']!);

/** A needle is a body along +x from its base: a closed shape as wide as the score says, bent a little. */
function needleBody(length: number, width: number, bend: number, tip: string): Point[] {
  const line = curve([0, 0], [length * 0.5, bend * length], [length, bend * length * 0.6], 7);
  const taper = tip === 'pricking' || tip === 'soft' ? 0.3 : 0.1;
  const outline = band(
    line,
    (s) =>
      (width / 2) *
      (s < 0.08
        ? 0.55 + s * 5.6
        : s > 1 - taper
          ? Math.max(0.02, (1 - s) / taper) ** (tip === 'pricking' ? 1 : 0.5)
          : 1),
  );
  if (tip !== 'notched') return outline;
  // A notch: the last points of both sides stand beyond the middle.
  const middle = line.length;
  const end = line[line.length - 1]!;
  outline.splice(middle, 0, add(end, [-width * 0.35, 0]));
  return outline;
}

/** Pale stripes along a needle, `lines` of them. */
function stripes(length: number, width: number, bend: number, lines: number): Point[][] {
  return Array.from({ length: lines }, (_, i) => {
    const off = lines === 1 ? 0 : (i / (lines - 1) - 0.5) * width * 0.52;
    return curve(
      [length * 0.1, off],
      [length * 0.5, bend * length + off],
      [length * 0.9, bend * length * 0.68 + off],
      5,
    );
  });
}

interface NeedlePlace {
  at: Point;
  angle: number;
  length: number;
  bend: number;
  /** Back of the shoot: drawn first and darker. */
  far: boolean;
  /** Turned over, so that the lower face is seen. */
  turned: boolean;
}

/**
 * Single needles: spirally set on the twig and laid as the score says, two-ranked in the plane, swept up so that the twig
 * shows below, parted below, forward, or to all sides.
 */
function singleShoot(reader: TraitReader): Scene {
  const random = randomFrom(seedOf(reader.traits.seed, 'shoot'));
  const length = reader.mm('needle.length', 22);
  const width = reader.mm('needle.width', Math.max(1, length / 14));
  const lie = reader.state('needle.lie', 'allRound');
  const twigLength = Math.max(60, Math.min(150, length * 4.2));
  const axis = curve(
    [0, 0],
    [twigLength * 0.5, random.between(-0.04, 0.04) * twigLength],
    [twigLength, random.between(-0.03, 0.03) * twigLength],
    24,
  );
  const spacing = lie === 'twoRanked' ? Math.max(1.15, width * 0.62) : Math.max(1.05, width * 0.5);
  const count = Math.min(150, Math.round(twigLength / spacing));
  const places = Array.from({ length: count }, (_, i) => needlePlace(i, count, axis, length, lie, random));
  const bands = reader.state('needle.bands', 'none');
  const tip = reader.state('needle.tip', 'blunt');
  const color = greens(reader);
  const scene = emptyScene();
  const draw = (spot: NeedlePlace) => {
    const body = needleBody(spot.length, width, spot.bend, tip);
    const role = spot.far ? 'needleFar' : spot.turned ? 'needleLower' : 'needle';
    scene.shapes.push({
      role,
      points: place(body, spot.at, spot.angle),
      closed: true,
      fill: spot.far ? color.far : color.near,
    });
    const lines = visibleBands(bands, spot.turned);
    if (lines && !spot.far)
      for (const stripe of stripes(spot.length, width, spot.bend, lines))
        scene.shapes.push({
          role: 'band',
          points: place(stripe, spot.at, spot.angle),
          closed: false,
          line: width * 0.17,
        });
    else if (!spot.far)
      scene.shapes.push({
        role: 'vein',
        points: place(stripes(spot.length, width, spot.bend, 1)[0]!, spot.at, spot.angle),
        closed: false,
      });
  };
  places.filter((spot) => spot.far).forEach(draw);
  const twigBand = band(axis, (s) => Math.max(0.9, reader.mm('twig.thickness', 2.6) / 2) * (1.25 - 0.4 * s));
  scene.shapes.push({ role: 'twig', points: twigBand, closed: true, fill: twigColor(reader, 'brown') });
  places.filter((spot) => !spot.far).forEach(draw);
  addTipBuds(scene, reader, axis);
  const mid = places.filter((spot) => !spot.far)[Math.floor(count * 0.3)] ?? places[0]!;
  scene.anchors['needle.lie'] = add(mid.at, scaleBy(direction(mid.angle), mid.length * 0.75));
  const shown = places.find((spot) => !spot.far && visibleBands(bands, spot.turned)) ?? mid;
  scene.anchors['needle.bands'] = add(shown.at, scaleBy(direction(shown.angle), shown.length * 0.5));
  scene.insets.push(bothFaces(length, width, bands, tip, color.near));
  if (reader.known('needle.scar')) scene.insets.push(scarInset(reader));
  return scene;
}

function needlePlace(
  i: number,
  count: number,
  axis: Point[],
  length: number,
  lie: string,
  random: Random,
): NeedlePlace {
  const share = 0.04 + 0.93 * ((i + random.between(-0.3, 0.3)) / count);
  const { point, angle } = along(axis, share);
  const around = i * 2.39996; // golden angle: the needles are set spirally whatever their lie
  const up = -Math.sin(around);
  const grown = length * random.between(0.86, 1.04) * (share > 0.9 ? 1 - (share - 0.9) * 3 : 1);
  const turned = random.uniform() < 0.22;
  const sign = i % 2 ? 1 : -1;
  switch (lie) {
    case 'twoRanked': {
      // Both ranks in the plane, the upper layer of needles shorter than the lower.
      const short = i % 4 < 2;
      return {
        at: point,
        angle: angle + sign * random.between(1.12, 1.36),
        length: grown * (short ? 0.68 : 1),
        bend: sign * 0.05,
        far: !short && random.uniform() < 0.5,
        turned,
      };
    }
    case 'sweptUp':
      // All needles curve to the light, so that from the side the twig shows below them.
      return {
        at: point,
        angle: angle - random.between(0.55, 1.25),
        length: grown,
        bend: -random.between(0.1, 0.24),
        far: up < 0,
        turned,
      };
    case 'forward':
      return {
        at: point,
        angle: angle + sign * random.between(0.18, 0.5),
        length: grown,
        bend: -sign * 0.06,
        far: up < 0,
        turned,
      };
    case 'parted':
      return {
        at: point,
        angle: angle + (up > 0.5 ? -random.between(0.9, 1.4) : sign * random.between(0.75, 1.25)),
        length: grown * (up > 0.5 ? 0.8 : 1),
        bend: sign * 0.05,
        far: up < -0.2,
        turned,
      };
    case 'threes': {
      const ring = Math.floor(i / 3);
      const at = along(axis, 0.05 + 0.9 * ((ring * 3) / count)).point;
      return {
        at,
        angle: angle + [-0.95, 0.95, -0.15][i % 3]!,
        length: grown,
        bend: 0,
        far: i % 3 === 2,
        turned: false,
      };
    }
    default: {
      const spread = Math.cos(around);
      return {
        at: point,
        angle: angle + spread * random.between(0.95, 1.35),
        length: grown * (0.72 + 0.28 * Math.abs(spread)),
        bend: -spread * 0.05,
        far: up < 0,
        turned,
      };
    }
  }
}

/** How many pale stripes the face turned to us shows. */
function visibleBands(bands: string, turned: boolean): number {
  if (bands === 'both' || bands === 'all') return 2;
  if (bands === 'lower') return turned ? 2 : 0;
  if (bands === 'upper') return turned ? 0 : 2;
  return 0;
}

/** Two needles side by side, the upper face and the lower one. */
function bothFaces(length: number, width: number, bands: string, tip: string, color: string): Inset {
  const l = Math.min(length, width * 9);
  const shapes: Shape[] = [];
  for (const [row, turned] of [
    [-1, false],
    [1, true],
  ] as const) {
    const at: Point = [-l / 2, row * width * 1.15];
    shapes.push({
      role: turned ? 'needleLower' : 'needle',
      points: place(needleBody(l, width, 0, tip), at, 0),
      closed: true,
      fill: color,
    });
    const lines = visibleBands(bands, turned);
    for (const stripe of stripes(l, width, 0, lines || 1))
      shapes.push({
        role: lines ? 'band' : 'vein',
        points: place(stripe, at, 0),
        closed: false,
        line: width * 0.2,
      });
  }
  return { title: 'both faces', magnification: 5, shows: 'needle.bands', shapes };
}

/** A piece of bare twig with the marks that needles leave. */
function scarInset(reader: TraitReader): Inset {
  const r = Math.max(1, reader.mm('twig.thickness', 2.6) / 2);
  const scar = reader.state('needle.scar', 'flush');
  const shapes: Shape[] = [
    {
      role: 'twig',
      points: band(
        [
          [-r * 4.4, 0],
          [r * 4.4, 0],
        ],
        () => r,
      ),
      closed: true,
      fill: twigColor(reader, 'brown'),
    },
  ];
  const circle = (at: Point, rx: number, ry: number): Point[] =>
    Array.from({ length: 14 }, (_, i): Point => [
      at[0] + rx * Math.cos((2 * Math.PI * i) / 14),
      at[1] + ry * Math.sin((2 * Math.PI * i) / 14),
    ]);
  for (let i = 0; i < 6; i += 1) {
    const at: Point = [(-3.3 + i * 1.3) * r, (i % 2 ? 0.42 : -0.42) * r];
    const edge: Point = [at[0], i % 2 ? r : -r];
    const out = i % 2 ? 1 : -1;
    if (scar === 'flush') shapes.push({ role: 'scar', points: circle(at, 0.3 * r, 0.3 * r), closed: true });
    else if (scar === 'raisedOval') {
      shapes.push({ role: 'scar', points: circle(at, 0.38 * r, 0.26 * r), closed: true });
      shapes.push({
        role: 'scar',
        points: [add(edge, [-0.4 * r, 0]), add(edge, [0, out * 0.22 * r]), add(edge, [0.4 * r, 0])],
        closed: true,
      });
    } else if (scar === 'smallPeg' || scar === 'woodyPeg') {
      const tall = scar === 'woodyPeg' ? 0.6 : 0.32;
      const wide = scar === 'woodyPeg' ? 0.26 : 0.16;
      shapes.push({
        role: 'twig',
        points: [
          add(edge, [-wide * r, 0]),
          add(edge, [-wide * r * 0.4, out * tall * r]),
          add(edge, [wide * r * 1.6, out * tall * r]),
          add(edge, [wide * r, 0]),
        ],
        closed: true,
        fill: twigColor(reader, 'brown'),
      });
      shapes.push({ role: 'scar', points: circle(at, wide * r, wide * r), closed: true });
    } else
      shapes.push({ role: 'mark', points: [add(at, [-0.9 * r, 0]), add(at, [0.5 * r, 0])], closed: false });
  }
  return { title: 'needle scars', magnification: 5, shows: 'needle.scar', shapes };
}

/** Bundles of needles with their sheath, set round the end of the twig; far ones first and darker. */
function bundleShoot(reader: TraitReader): Scene {
  const random = randomFrom(seedOf(reader.traits.seed, 'bundles'));
  const length = reader.mm('needle.length', 60);
  const width = Math.max(0.9, reader.mm('needle.width', Math.max(1, length / 90)));
  const per = Math.max(1, Math.round(reader.number('needle.perBundle', 2)));
  const sheath = reader.state('needle.sheath', 'kept');
  const color = greens(reader);
  const tip = reader.state('needle.tip', 'pricking');
  const bands = reader.state('needle.bands', 'none');
  const twigLength = Math.max(34, length * 0.72);
  const axis = curve(
    [0, 0],
    [twigLength * 0.55, random.between(-0.03, 0.03) * twigLength],
    [twigLength, random.between(-0.06, 0.02) * twigLength],
    16,
  );
  const bundles = Math.max(12, Math.min(26, Math.round(90 / per + 4)));
  const scene = emptyScene();
  const drawBundle = (i: number, far: boolean) => {
    const share = 0.3 + 0.69 * (i / bundles);
    const { point, angle } = along(axis, share);
    const spread = Math.cos(i * 2.39996);
    const heading = angle + spread * (1.15 - 0.55 * (i / bundles)) + random.between(-0.08, 0.08);
    const open = ((5 + random.between(0, 9)) * Math.PI) / 180;
    for (let k = 0; k < per; k += 1) {
      const off = per === 1 ? 0 : (k / (per - 1) - 0.5) * open;
      const bend = random.between(-0.05, 0.05) + spread * 0.05;
      const grown = length * random.between(0.88, 1.02);
      scene.shapes.push({
        role: far ? 'needleFar' : 'needle',
        points: place(needleBody(grown, width, bend, tip), point, heading + off),
        closed: true,
        fill: far ? color.far : color.near,
      });
      if (bands !== 'none' && !far)
        scene.shapes.push({
          role: 'band',
          points: place(stripes(grown, width, bend, 1)[0]!, point, heading + off),
          closed: false,
          line: width * 0.22,
        });
    }
    if (sheath === 'kept')
      scene.shapes.push({
        role: 'sheath',
        points: place(
          band(
            [
              [0, 0],
              [Math.min(10, 4 + length * 0.06), 0],
            ],
            () => width * (0.5 + per * 0.16),
          ),
          point,
          heading,
        ),
        closed: true,
      });
    if (i === Math.floor(bundles * 0.55)) {
      scene.anchors['needle.perBundle'] = add(point, scaleBy(direction(heading), length * 0.55));
      scene.anchors['needle.sheath'] = add(point, scaleBy(direction(heading), 4));
    }
  };
  const order = Array.from({ length: bundles }, (_, i) => i);
  const isFar = (i: number) => Math.sin(i * 2.39996) > 0.15;
  order.filter(isFar).forEach((i) => drawBundle(i, true));
  scene.shapes.push({
    role: 'twig',
    points: band(axis, (s) => Math.max(2, reader.mm('twig.thickness', 5) / 2) * (1.15 - 0.3 * s)),
    closed: true,
    fill: twigColor(reader, 'brown'),
  });
  order.filter((i) => !isFar(i)).forEach((i) => drawBundle(i, false));
  addTipBuds(scene, reader, axis);
  scene.insets.push(bundleInset(per, width, sheath, color.near));
  return scene;
}

/** One bundle near its base, and its cross-section: a circle cut in as many parts as there are needles. */
function bundleInset(per: number, width: number, sheath: string, color: string): Inset {
  const w = Math.max(1, width);
  const shapes: Shape[] = [];
  for (let k = 0; k < per; k += 1) {
    const off = per === 1 ? 0 : k / (per - 1) - 0.5;
    shapes.push({
      role: 'needle',
      points: band(
        curve([-5 * w, 0], [-1 * w, off * w * 0.5], [4.5 * w, off * w * 4.6], 8),
        (s) => w * (0.3 + 0.2 * Math.min(1, s * 3)),
      ),
      closed: true,
      fill: color,
    });
  }
  if (sheath === 'kept')
    shapes.push({
      role: 'sheath',
      points: band(
        [
          [-5.4 * w, 0],
          [-2.3 * w, 0],
        ],
        () => w * (0.55 + per * 0.12),
      ),
      closed: true,
    });
  const centre: Point = [0.4 * w, -3.7 * w];
  const r = 1.5 * w;
  const ring = Array.from({ length: 40 }, (_, i): Point =>
    add(centre, scaleBy(direction((2 * Math.PI * i) / 40), r)),
  );
  shapes.push({ role: 'needle', points: ring, closed: true, fill: color });
  if (per > 1)
    for (let k = 0; k < per; k += 1)
      shapes.push({
        role: 'paper',
        points:
          per === 2
            ? [add(centre, [0, -r]), add(centre, [0, r])]
            : [centre, add(centre, scaleBy(direction(-Math.PI / 2 + (2 * Math.PI * k) / per), r))],
        closed: false,
      });
  return { title: 'a bundle', magnification: 5, shows: 'needle.perBundle', shapes };
}

/** Needles in tufts on short spurs, or the bare spurs in winter. */
function spurShoot(reader: TraitReader): Scene {
  const random = randomFrom(seedOf(reader.traits.seed, 'spurs'));
  const length = reader.mm('needle.length', 32);
  const width = Math.max(0.55, reader.mm('needle.width', 0.8));
  const leafy = reader.traits.leafy;
  const color = greens(reader);
  const axis = curve([0, 0], [60, random.between(-5, 5)], [125, random.between(-6, 6)], 24);
  const scene = emptyScene();
  const thickness = Math.max(2.4, reader.mm('twig.thickness', 3.2));
  const spurs = 9;
  const per = Math.round(reader.number('needle.perSpur', 22));
  const stand = (i: number) => {
    const { point, angle } = along(axis, 0.06 + (0.86 * i) / (spurs - 1));
    const sign = i % 2 ? 1 : -1;
    const heading = angle + sign * random.between(1.1, 1.5);
    return { base: add(point, scaleBy(direction(heading), thickness * 0.3)), heading };
  };
  const places = Array.from({ length: spurs }, (_, i) => stand(i));
  scene.shapes.push({
    role: 'twig',
    points: band(axis, (s) => (thickness / 2) * (1.2 - 0.5 * s)),
    closed: true,
    fill: twigColor(reader, 'brown'),
  });
  for (const { base, heading } of places) {
    const top = add(base, scaleBy(direction(heading), 4.2));
    const spur = band([base, top], (s) => 2.1 + 0.5 * s);
    if (leafy) {
      for (let k = 0; k < per; k += 1) {
        const off = ((k + 0.5) / per - 0.5) * 2.5 + random.between(-0.06, 0.06);
        const far = k % 2 === 0;
        scene.shapes.push({
          role: far ? 'needleFar' : 'needle',
          points: place(
            needleBody(
              length * random.between(0.82, 1.04) * (1 - 0.12 * Math.abs(off)),
              width,
              off * 0.05,
              'soft',
            ),
            top,
            heading + off,
          ),
          closed: true,
          fill: far ? color.far : color.near,
        });
      }
    }
    scene.shapes.push({ role: 'twig', points: spur, closed: true, fill: twigColor(reader, 'brown') });
    for (const s of [0.3, 0.55, 0.8]) {
      const ring = add(base, scaleBy(direction(heading), 4.2 * s));
      const across = scaleBy(direction(heading + Math.PI / 2), 2.2);
      scene.shapes.push({
        role: 'mark',
        points: [add(ring, across), add(ring, scaleBy(across, -1))],
        closed: false,
      });
    }
    if (!leafy)
      scene.shapes.push(
        ...moveShapes(budShapes(reader, Math.min(3.4, reader.mm('bud.length', 3))), top, heading),
      );
  }
  addTipBuds(scene, reader, axis);
  const third = places[3]!;
  scene.anchors['foliage.kind'] = add(
    third.base,
    scaleBy(direction(third.heading), leafy ? length * 0.7 : 4),
  );
  scene.anchors['needle.perSpur'] = scene.anchors['foliage.kind']!;
  scene.anchors['twig.spurs'] = add(third.base, scaleBy(direction(third.heading), 3));
  return scene;
}

function addTipBuds(scene: Scene, reader: TraitReader, axis: readonly Point[]): void {
  if (!reader.traits.buds) return;
  const { point, angle } = along(axis, 1);
  const length = reader.mm('bud.length', 4);
  const clustered = reader.state('bud.terminal', 'single') === 'clustered';
  if (clustered)
    for (const s of [-0.7, 0.7])
      scene.shapes.push(...moveShapes(budShapes(reader, length * 0.8), point, angle + s));
  scene.shapes.push(...moveShapes(budShapes(reader, length), point, angle));
  const tip = add(point, scaleBy(direction(angle), length * 0.6));
  for (const id of ['bud.resin', 'bud.shape', 'bud.length', 'bud.color', 'bud.scales', 'bud.terminal'])
    scene.anchors[id] = tip;
}

/** Flat or rounded sprays of scale leaves: side shoots in one plane, each covered by overlapping pairs. */
export function scaleSpray(traits: Traits): Scene {
  const reader = new TraitReader(traits);
  const random = randomFrom(seedOf(traits.seed, 'spray'));
  const color = NEEDLE_GREENS[reader.state('needle.color', 'yellowGreen')] ?? NEEDLE_GREENS['yellowGreen']!;
  const flat = reader.state('needle.scaleSpray', 'flatDrooping') !== 'rounded';
  const scene = emptyScene();
  const branchlet = (at: Point, angle: number, length: number, depth: number) => {
    const line = curve(
      at,
      add(at, place([[length * 0.5, length * 0.03]], [0, 0], angle)[0]!),
      add(at, scaleBy(direction(angle + 0.06), length)),
      10,
    );
    if (depth < 2) {
      const n = Math.floor(length / 9);
      for (let i = 1; i <= n; i += 1) {
        const { point, angle: a } = along(line, i / (n + 0.6));
        const sign = i % 2 ? 1 : -1;
        branchlet(
          point,
          a + sign * (flat ? 0.72 : random.between(0.4, 1)),
          length * (0.46 - 0.022 * i) * random.between(0.9, 1.1),
          depth + 1,
        );
      }
    }
    const scales = Math.floor(length / 1.9);
    for (let i = 0; i < scales; i += 1) {
      const { point, angle: a } = along(line, i / scales);
      for (const sign of [-1, 1])
        scene.shapes.push({
          role: 'needle',
          points: place(
            [
              [0, 0],
              [1.1, sign * (flat ? 1.15 : 0.8)],
              [3, sign * 0.35],
              [2.6, 0],
            ],
            point,
            a,
          ),
          closed: true,
          fill: i % 2 ? color.near : color.far,
        });
    }
  };
  branchlet([0, 0], random.between(-0.05, 0.05), 85, 0);
  scene.shapes.unshift({
    role: 'twig',
    points: band(
      [
        [-14, 0],
        [8, 0],
      ],
      () => 1.3,
    ),
    closed: true,
    fill: NATURAL['redBrown']!,
  });
  scene.anchors['foliage.kind'] = [40, 2];
  scene.anchors['needle.scaleSpray'] = [55, -8];
  return scene;
}
