import { randomFrom, seedOf } from '../random/index.ts';
import { add, along, band, curve, direction, place, scaleBy, type Point } from './geometry.ts';
import { addTipBuds, greens, needleBody, stripes } from './needles.ts';
import { emptyScene, type Inset, type Scene, type Shape } from './scene.ts';
import type { TraitReader } from './traits.ts';
import { twigColor } from './twig.ts';

/** Bundles of needles with their sheath, set round the end of the twig; far ones first and darker. */
export function bundleShoot(reader: TraitReader): Scene {
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
