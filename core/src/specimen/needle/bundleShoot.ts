import { randomFrom, seedOf } from '../../random/index.ts';
import { add, along, band, curve, direction, place, scaleBy } from '../geometry.ts';
import { anchor, emptyScene, filled, stroke, type Scene } from '../scene.ts';
import type { TraitReader } from '../traits.ts';
import { twigColor } from '../twig/twig.ts';
import { bundleInset } from './insets.ts';
import { addTipBuds, greens, needleAnchors, needleBody, stripes } from './needles.ts';

/** Bundles of needles with their sheath, set round the end of the twig; far ones first and darker. */
export function bundleShoot(reader: TraitReader): Scene {
  const random = randomFrom(seedOf(reader.traits.seed, 'bundles'));
  const length = reader.mm('needle.length', 60);
  const width = reader.mm('needle.width', Math.max(0.8, length / 90));
  const per = Math.max(1, Math.round(reader.number('needle.perBundle', 2)));
  const sheath = reader.state('needle.sheath', 'kept');
  const color = greens(reader);
  const form = { width, tip: reader.state('needle.tip', 'pricking') };
  const bands = reader.state('needle.bands', 'none');
  const twigLength = Math.max(34, length * 0.72);
  const axis = curve(
    [0, 0],
    [twigLength * 0.55, random.between(-0.03, 0.03) * twigLength],
    [twigLength, random.between(-0.06, 0.02) * twigLength],
    16,
  );
  const bundles = Math.max(14, Math.min(34, Math.round(96 / per + 6)));
  const scene = emptyScene();
  const drawBundle = (i: number, far: boolean) => {
    const share = 0.3 + 0.69 * (i / bundles);
    const { point, angle } = along(axis, share);
    const spread = Math.cos(i * 2.39996);
    const heading = angle + spread * (1.2 - 0.6 * (i / bundles)) + random.between(-0.08, 0.08);
    const open = ((5 + random.between(0, 10)) * Math.PI) / 180;
    for (let k = 0; k < per; k += 1) {
      const off = per === 1 ? 0 : (k / (per - 1) - 0.5) * open;
      const bend = random.between(-0.05, 0.05) + spread * 0.06;
      const grown = length * random.between(0.9, 1.02);
      scene.shapes.push(
        filled(
          far ? 'needleFar' : 'needle',
          place(needleBody(grown, form, bend), point, heading + off),
          far ? color.far : color.near,
        ),
      );
      if (bands !== 'none' && !far)
        scene.shapes.push(
          stroke('band', place(stripes(grown, width, bend, 1)[0]!, point, heading + off), width * 0.22),
        );
    }
    if (sheath === 'kept')
      scene.shapes.push(
        filled(
          'sheath',
          place(
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
        ),
      );
    if (i === Math.floor(bundles * 0.55)) {
      const shown = add(point, scaleBy(direction(heading), length * 0.55));
      needleAnchors(scene, shown);
      anchor(scene, shown, 'needle.perBundle', 'needle.bands', 'needle.lie');
      anchor(scene, add(point, scaleBy(direction(heading), 4)), 'needle.sheath');
    }
  };
  const order = Array.from({ length: bundles }, (_, i) => i);
  const isFar = (i: number) => Math.sin(i * 2.39996) > 0.15;
  order.filter(isFar).forEach((i) => drawBundle(i, true));
  scene.shapes.push(
    filled(
      'twig',
      band(axis, (s) => (reader.mm('twig.thickness', 5) / 2) * (1.15 - 0.3 * s)),
      twigColor(reader, 'brown'),
    ),
  );
  // Scales of fallen leaves make the bare part of a pine's twig rough.
  for (let i = 0; i < 10; i += 1) {
    const { point, angle } = along(axis, 0.02 + i * 0.028);
    const across = scaleBy(
      direction(angle + Math.PI / 2),
      (i % 2 ? 1 : -1) * reader.mm('twig.thickness', 5) * 0.3,
    );
    scene.shapes.push(
      stroke('mark', curve(add(point, across), add(point, [0.8, 0]), add(point, scaleBy(across, 0.2)), 4)),
    );
  }
  order.filter((i) => !isFar(i)).forEach((i) => drawBundle(i, false));
  addTipBuds(scene, reader, axis);
  anchor(
    scene,
    along(axis, 0.06).point,
    'twig.color',
    'twig.hair',
    'twig.thickness',
    'twig.odor',
    'twig.coating',
  );
  scene.insets.push(bundleInset(per, width, sheath, color.near));
  return scene;
}
