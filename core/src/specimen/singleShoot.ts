import { randomFrom, seedOf, type Random } from '../random/index.ts';
import { add, along, band, curve, direction, place, scaleBy, type Point } from './geometry.ts';
import { addTipBuds, greens, needleBody, stripes } from './needles.ts';
import { emptyScene, type Inset, type Scene, type Shape } from './scene.ts';
import type { TraitReader } from './traits.ts';
import { twigColor } from './twig.ts';

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
export function singleShoot(reader: TraitReader): Scene {
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
