import { randomFrom, seedOf, type Random } from '../../random/index.ts';
import { add, along, band, curve, direction, place, scaleBy, type Point } from '../geometry.ts';
import { anchor, emptyScene, filled, type Scene } from '../scene.ts';
import type { TraitReader } from '../traits.ts';
import { twigColor } from '../twig/twig.ts';
import { baseInset, facesInset, visibleBands } from './insets.ts';
import { addTipBuds, greens, needleAnchors, needleBody, stripes, type NeedleForm } from './needles.ts';

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
 * Single needles or awls: spirally set on the twig and laid as the score says, two-ranked in the plane, swept up so that the
 * twig shows below, parted below, forward, to all sides, or in whorls of three.
 */
export function singleShoot(reader: TraitReader, kind: string): Scene {
  const random = randomFrom(seedOf(reader.traits.seed, 'shoot'));
  const length = reader.mm('needle.length', kind === 'awls' ? 12 : 22);
  const width = reader.mm('needle.width', Math.max(0.8, length / 14));
  const form: NeedleForm = {
    width,
    tip: reader.state('needle.tip', kind === 'awls' ? 'pricking' : 'blunt'),
    awl: kind === 'awls',
    stalk: reader.flag('needle.stalk') ? length * 0.09 : 0,
  };
  const lie = reader.state('needle.lie', kind === 'awls' ? 'threes' : 'allRound');
  const twigLength = Math.max(55, Math.min(150, length * 4.2));
  const axis = curve(
    [0, 0],
    [twigLength * 0.5, random.between(-0.04, 0.04) * twigLength],
    [twigLength, random.between(-0.03, 0.03) * twigLength],
    24,
  );
  const spacing =
    lie === 'threes'
      ? Math.max(1.4, length * 0.14)
      : Math.max(0.9, width * (lie === 'twoRanked' ? 0.66 : 0.56));
  const count = Math.min(140, Math.round(twigLength / spacing));
  const places = Array.from({ length: count }, (_, i) => needlePlace(i, count, axis, length, lie, random));
  const bands = reader.state('needle.bands', 'none');
  const color = greens(reader);
  const scene = emptyScene();
  const draw = (spot: NeedlePlace) => {
    const { far, turned } = spot;
    scene.shapes.push(
      filled(
        far ? 'needleFar' : turned ? 'needleLower' : 'needle',
        place(needleBody(spot.length, form, spot.bend), spot.at, spot.angle),
        far ? color.far : color.near,
      ),
    );
    if (far) return;
    const lines = visibleBands(bands, turned);
    for (const stripe of stripes(spot.length, width, spot.bend, lines || 1))
      scene.shapes.push({
        role: lines ? 'band' : 'veinlet',
        points: place(stripe, spot.at, spot.angle),
        closed: false,
        ...(lines ? { line: width * 0.17 } : {}),
      });
  };
  places.filter((spot) => spot.far).forEach(draw);
  const thickness = reader.mm('twig.thickness', 2.6);
  scene.shapes.push(
    filled(
      'twig',
      band(axis, (s) => (Math.max(1, thickness) / 2) * (1.2 - 0.4 * s)),
      twigColor(reader, 'brown'),
    ),
  );
  const near = places.filter((spot) => !spot.far);
  near.forEach(draw);
  addTipBuds(scene, reader, axis);
  const shown =
    near.find((spot, i) => i > near.length * 0.3 && visibleBands(bands, spot.turned)) ??
    near[Math.floor(near.length * 0.4)];
  const mid = near[Math.floor(near.length * 0.6)] ?? places[0]!;
  const on = (spot: NeedlePlace, share: number) =>
    add(spot.at, scaleBy(direction(spot.angle), spot.length * share));
  needleAnchors(scene, on(mid, 0.6));
  anchor(scene, on(mid, 0.75), 'needle.lie');
  anchor(scene, on(shown ?? mid, 0.5), 'needle.bands');
  anchor(scene, on(mid, 0.98), 'needle.tip');
  anchor(
    scene,
    along(axis, 0.06).point,
    'twig.color',
    'twig.hair',
    'twig.thickness',
    'needle.scar',
    'needle.stalk',
    'twig.odor',
    'twig.coating',
  );
  scene.insets.push(facesInset(reader, length, form, color.near));
  if (reader.known('needle.scar') || reader.flag('needle.stalk'))
    scene.insets.push(baseInset(reader, form, color.near));
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
  const share = 0.03 + 0.95 * ((i + random.between(-0.25, 0.25)) / count);
  const { point, angle } = along(axis, share);
  const around = i * 2.39996; // golden angle: the needles are set spirally whatever their lie
  const up = -Math.sin(around);
  const tipward = share > 0.88 ? 1 - (share - 0.88) * 3 : 1;
  const grown = length * random.between(0.86, 1.02) * tipward;
  const turned = random.uniform() < 0.22;
  const sign = i % 2 ? 1 : -1;
  // Towards the tip of a shoot the needles close about the bud.
  const close = share > 0.8 ? 1 - (share - 0.8) * 2.6 : 1;
  switch (lie) {
    case 'twoRanked': {
      // Both ranks in the plane, the upper layer of needles shorter than the lower.
      const short = i % 4 < 2;
      return {
        at: point,
        angle: angle + sign * random.between(1.1, 1.34) * close,
        length: grown * (short ? 0.66 : 1),
        bend: sign * 0.05,
        far: !short && random.uniform() < 0.5,
        turned: turned && !short,
      };
    }
    case 'sweptUp':
      // All needles curve to the light, so that from the side the twig shows below them.
      return {
        at: add(point, [0, random.between(-0.6, 0.3)]),
        angle: angle - random.between(0.6, 1.3) * close,
        length: grown,
        bend: -random.between(0.08, 0.2) * (random.uniform() < 0.5 ? 1 : 0.4),
        far: up < 0,
        turned,
      };
    case 'forward':
      return {
        at: point,
        angle: angle + sign * random.between(0.22, 0.6) * close,
        length: grown,
        bend: -sign * 0.06,
        far: up < 0,
        turned,
      };
    case 'parted':
      return {
        at: point,
        angle: angle + (up > 0.5 ? -random.between(0.8, 1.4) : sign * random.between(0.75, 1.25)) * close,
        length: grown * (up > 0.5 ? 0.8 : 1),
        bend: sign * 0.05,
        far: up < -0.2,
        turned,
      };
    case 'threes': {
      const ring = Math.floor(i / 3);
      const at = along(axis, 0.04 + 0.93 * ((ring * 3) / count));
      return {
        at: at.point,
        angle: at.angle + [-0.95, 0.95, -0.12][i % 3]! * random.between(0.92, 1.08),
        length: grown * (i % 3 === 2 ? 0.7 : 1),
        bend: 0,
        far: false,
        turned: false,
      };
    }
    default: {
      const spread = Math.cos(around);
      return {
        at: point,
        angle: angle + spread * random.between(0.95, 1.35) * close,
        length: grown * (0.72 + 0.28 * Math.abs(spread)),
        bend: -spread * 0.05,
        far: up < 0,
        turned,
      };
    }
  }
}
